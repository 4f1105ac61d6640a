import { chromium, type Page } from '@playwright/test'
import { CHROMIUM } from '../../playwright.config'
import { writeLessonFile } from '../../core/formats'
import { clientFor } from '../../test/api/client'
import { startApplication, temporaryFolder } from '../../test/application'
import { bigLesson } from './computations'
import { milliseconds, quantile, type Row, type Size } from './figures'

/** Results on the screen: from the click to graph and grade, and to the table, of 3,000 readings; beside it an ordinary class. */
export async function benchScreen(size: Size): Promise<Row[]> {
  const rounds = size === 'full' ? 9 : 1
  const { folder, remove } = temporaryFolder()
  const application = await startApplication({ data: folder })
  const browser = await chromium.launch(CHROMIUM)
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const many = await timesOf(page, application.base, { groups: 10, conditions: 15, repeats: 20 }, rounds)
    const usual = await timesOf(page, application.base, { groups: 7, conditions: 4, repeats: 3 }, rounds)
    return [
      row('graph and grade of 3,000 readings', many.graph, usual.graph),
      row('table of 3,000 readings', many.table, usual.table),
    ]
  } finally {
    await browser.close()
    await application.stop()
    remove()
  }
}

function row(what: string, time: number, usual: number): Row {
  return { what, figure: milliseconds(time), wanted: 'under 300 ms', reference: `84 readings: ${milliseconds(usual)}` }
}

async function timesOf(
  page: Page,
  base: string,
  size: Parameters<typeof bigLesson>[0],
  rounds: number,
): Promise<{ graph: number; table: number }> {
  const { plan, record } = bigLesson(size)
  const text = JSON.stringify(writeLessonFile(plan, record, [], new Date().toISOString()))
  const { body } = await clientFor(base).call<{ id: string }>('POST', '/api/lessons/open', { text })
  await page.goto(`${base}/lesson/${body.id}/agree`)
  const [graph, table]: number[][] = [[], []]
  for (let round = 0; round < rounds; round += 1) {
    await page.locator('[data-target="conclusion"]').waitFor()
    await page.waitForTimeout(500)
    graph!.push(await clicked(page, 'a[href$="/results"]', '.results-chart svg path'))
    table!.push(await clicked(page, '.parts [value="table"]', '.readings'))
    await page.keyboard.press('8')
  }
  return { graph: quantile(graph!, 0.5), table: quantile(table!, 0.5) }
}

/** Milliseconds from a click until something stands on the screen. Text, because it runs over there. */
function clicked(page: Page, link: string, shown: string): Promise<number> {
  return page.evaluate<number>(`(async () => {
    const start = performance.now()
    document.querySelector(${JSON.stringify(link)}).click()
    while (!document.querySelector(${JSON.stringify(shown)})) await new Promise((later) => setTimeout(later, 2))
    await new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn)))
    return performance.now() - start
  })()`)
}
