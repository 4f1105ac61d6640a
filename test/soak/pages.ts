import { chromium, type Page } from '@playwright/test'
import { CHROMIUM } from '../../playwright.config'

/** Tasks of more than 50 ms, during which a page does not answer. */
export interface PageFigures {
  board: LongTasks
  desk: LongTasks
}
export interface LongTasks {
  count: number
  longest: number
}

/** Opens the board and the desk of a lesson in a browser and notes their long tasks until they are closed. */
export async function watchPages(
  base: string,
  lesson: string,
  desk: { cookie: string },
): Promise<{ close(): Promise<PageFigures> }> {
  const browser = await chromium.launch(CHROMIUM)
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const [name, value] = desk.cookie.split(/=(.*)/)
  await context.addCookies([{ name: name!, value: value!, url: base }])
  const [board, stop] = [await context.newPage(), await context.newPage()]
  await board.goto(`${base}/board/${lesson}`)
  await board.locator('footer').getByRole('button').click()
  await board.getByRole('menuitemradio', { name: 'Testing' }).click()
  await stop.goto(`${base}/lesson/${lesson}/test`)
  await stop.getByRole('table').first().waitFor()
  for (const page of [board, stop]) await note(page)
  return {
    async close() {
      const figures = { board: await noted(board), desk: await noted(stop) }
      await browser.close()
      return figures
    },
  }
}

async function note(page: Page): Promise<void> {
  await page.evaluate(() => {
    const tasks: number[] = []
    Object.assign(window, { longTasks: tasks })
    new PerformanceObserver((list) => tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({
      type: 'longtask',
    })
  })
}

async function noted(page: Page): Promise<LongTasks> {
  const tasks = await page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks)
  return { count: tasks.length, longest: Math.round(Math.max(0, ...tasks)) }
}
