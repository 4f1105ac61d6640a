import { randomUUID } from 'node:crypto'
import { chromium } from '@playwright/test'
import { CHROMIUM } from '../../playwright.config'
import { writeLessonFile } from '../../core/formats'
import { clientFor, reading } from '../../test/api/client'
import { startApplication, temporaryFolder } from '../../test/application'
import { bigLesson } from './computations'
import { milliseconds, quantile, timeOf, type Row, type Size } from './figures'

const EVERY = 500
const LOADS = { full: { stations: 10, seconds: 20 }, small: { stations: 2, seconds: 3 } }

// The board's own page notes when each figure stands on it. Text, because it runs over there.
const NOTE_EACH_FIGURE = `
  window.seen = {}
  new MutationObserver(() => {
    const figure = /([\\d.]+)\\D*$/.exec(document.querySelector('.latest strong')?.textContent ?? '')?.[1]
    if (figure && !(figure in window.seen)) window.seen[figure] = Date.now()
  }).observe(document.querySelector('.test'), { subtree: true, childList: true, characterData: true })
`

/** The built server on an empty database: opening a large lesson, and ten stations entering twice a second with a board open. */
export async function benchServer(size: Size): Promise<Row[]> {
  const { folder, remove } = temporaryFolder()
  const application = await startApplication({ data: folder })
  try {
    return [await opening(application.base, size), ...(await stationsToBoard(application.base, LOADS[size]))]
  } finally {
    await application.stop()
    remove()
  }
}

async function opening(base: string, size: Size): Promise<Row> {
  const { call } = clientFor(base)
  const rounds = size === 'full' ? 20 : 1
  const { plan, record } = bigLesson({ groups: 10, conditions: 15, repeats: 20 })
  const text = JSON.stringify(writeLessonFile(plan, record, [], new Date().toISOString()))
  const { status, body } = await call<{ id: string }>('POST', '/api/lessons/open', { text })
  if (status !== 200) throw new Error(JSON.stringify(body))
  const time = await timeOf(() => call('GET', `/api/lessons/${body.id}`), rounds)
  const nothing = await timeOf(() => call('GET', '/api/investigations'), rounds)
  return {
    what: `a lesson with ${record.readings.length} readings opens`,
    figure: milliseconds(time),
    wanted: 'under 300 ms',
    reference: `${(time / nothing).toFixed(1)} x a route that asks no table (${milliseconds(nothing)})`,
  }
}

async function stationsToBoard(base: string, { stations, seconds }: { stations: number; seconds: number }): Promise<Row[]> {
  const { call, newLesson, open, joinStation } = clientFor(base)
  const { lesson } = await newLesson()
  const saved = await call('PUT', `/api/lessons/${lesson.id}/plan`, {
    plan: { ...lesson.plan, repeats: 20 },
    revision: lesson.revision,
  })
  if (saved.status !== 200) throw new Error(JSON.stringify(saved.body))
  const browser = await chromium.launch(CHROMIUM)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${base}/board/${lesson.id}`)
  await page.locator('footer').getByRole('button').click()
  await page.getByRole('menuitemradio', { name: 'Testing' }).click()
  // Numbers stay hidden until all are done unless the teacher says otherwise.
  await page.keyboard.press('q')
  await page.evaluate(NOTE_EACH_FIGURE)

  const started: Record<string, number> = {}
  const answered: number[] = []
  let count = 0
  const tokens = await Promise.all(
    Array.from({ length: stations }, (_, place) =>
      joinStation(lesson.code, lesson.plan.groups[place % lesson.plan.groups.length]!.id),
    ),
  )
  const station = async (place: number) => {
    await new Promise((next) => setTimeout(next, (place * EVERY) / stations))
    const group = lesson.plan.groups[place % lesson.plan.groups.length]!.id
    for (let entry = 0; entry < (seconds * 1000) / EVERY; entry += 1) {
      const due = Date.now() + EVERY
      // Every entry has a figure of its own, so that it is known again on the board.
      const value = 100 + (count += 1) / 1000
      const figure = String(value)
      started[figure] = Date.now()
      const condition = lesson.plan.conditions[entry % 4]!.id
      const row = reading(lesson.plan, { id: randomUUID(), group, condition, repeat: 1 + (entry % 20), value, entered: figure })
      const answer = await call('POST', '/api/station/readings', { readings: [row] }, tokens[place])
      answered.push(Date.now() - started[figure]!)
      if (answer.status !== 200) throw new Error(JSON.stringify(answer.body))
      await new Promise((next) => setTimeout(next, Math.max(0, due - Date.now())))
    }
  }
  await Promise.all(Array.from({ length: stations }, (_, place) => station(place)))
  await page.waitForTimeout(1000)
  const seen = await page.evaluate(() => (window as unknown as { seen: Record<string, number> }).seen)
  await browser.close()

  const stored = (await open(lesson.id)).record.readings.length
  const times = Object.entries(seen).flatMap(([figure, at]) => (started[figure] === undefined ? [] : [at - started[figure]!]))
  const reference = `${milliseconds(quantile(answered, 0.5))} is the median until the station has its answer`
  return [
    {
      what: `${stations} stations, ${count} entries: figure on the board, median`,
      figure: milliseconds(quantile(times, 0.5)),
      wanted: 'under 150 ms',
      reference,
    },
    {
      what: 'the same, 95th percentile',
      figure: milliseconds(quantile(times, 0.95)),
      wanted: '',
      reference: `${times.length} of ${count} figures seen, the others gave way to a later one within one frame`,
    },
    { what: 'readings lost', figure: String(count - stored), wanted: '0', reference: `${stored} stored` },
  ]
}
