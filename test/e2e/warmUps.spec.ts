import { client, expect, expectAccessible, expectNothingSticksOut, joinStation, openStop, test } from './house'
import { testOf } from '../../core/test'

test('children warm up at a station and on the board; the class’s own wobble goes into the plan with one click', async ({
  page,
  baseURL,
  browser,
}) => {
  const { call, newLesson, open } = client(baseURL)
  const { lesson } = await newLesson('soak-up-strips')
  const station = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await joinStation(station, lesson.code, 'Birch')
  await station.getByRole('button', { name: 'Warm up' }).click()
  const picture = station.getByRole('img', { name: 'Ruler to read' })
  await expect(picture).toBeVisible()
  // The true value is where the pointer stands among the marks.
  const [at, marks] = await picture.evaluate((svg) => {
    const of = (line: Element) => Number(line.getAttribute('x1'))
    const marks = [...svg.querySelectorAll('line[data-value]')].map((line) => [of(line), Number(line.getAttribute('data-value'))])
    return [of(svg.querySelector('[data-pointer]')!), marks] as [number, [number, number][]]
  })
  const right = marks.reduce((best, one) => (Math.abs(one[0] - at) < Math.abs(best[0] - at) ? one : best))[1]
  await station.getByLabel('It shows').fill(String(right))
  await station.getByRole('button', { name: 'Check' }).click()
  await expect(station.getByText(/^Right: /)).toBeVisible()
  await expectAccessible(station, 'warming up')
  await expectNothingSticksOut(station, 'warming up')
  for (const [kind, words] of [
    ['Is it fair?', 'Tick it, or nothing.'],
    ['Real or wobble?', 'or is it only wobble?'],
    ['Count what moves', 'How many are there?'],
    ['Stop the clock', 'stop at 10 seconds'],
  ] as const) {
    await station.getByRole('radio', { name: kind }).check()
    await expect(station.getByText(words, { exact: false })).toBeVisible()
    await expectAccessible(station, kind)
    await expectNothingSticksOut(station, kind)
  }
  await station.getByRole('button', { name: 'Back to our work' }).click()
  await expect(station.getByText(/of \d+ done/)).toBeVisible()
  await station.context().close()

  expect((await call<{ errors: number[] }>('GET', `/api/lessons/${lesson.id}/warm-ups`)).body.errors).toEqual([0])
  for (const error of [3, -3, 2, -2, 3, -3, 0, 0, 1, -1]) await call('POST', `/api/lessons/${lesson.id}/warm-ups`, { error })
  expect((await call('POST', `/api/lessons/${lesson.id}/warm-ups`, { error: 'much' })).status).toBe(400)
  await openStop(page, lesson, 'plan')
  await expect(page.getByText(/With your wobble of 2\.\d marks, from 11 tries: \d repeats/)).toBeVisible()
  await page.getByRole('button', { name: 'Take that wobble' }).click()
  await expect.poll(async () => testOf((await open(lesson.id)).lesson.plan).method!.readingWobble).toBeGreaterThan(2)

  await page.goto(`/warm-ups/${lesson.id}`)
  await expect(page.getByRole('img', { name: 'Ruler to read' })).toBeVisible()
  await expectAccessible(page, 'warm-ups on the board')
  await page.goto(`/print/${lesson.id}/warm-ups`)
  await expect(page.getByRole('heading', { name: /^Answers, sheet \d+$/ })).toBeVisible()
  await expect(page.getByRole('img')).toHaveCount(7)
  await expectAccessible(page, 'warm-ups on paper')
})
