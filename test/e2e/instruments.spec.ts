import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { measuredSo } from '../measuredSo'
import { withKind, type ResolvedMethod } from '../../core/test'
import { client, enterNumber, expect, giveFile, joinStation, lessonWith, openStop, saved, test, turnBoard, unfold } from './house'

/** A station that measures soaked paper with another method, at its first trial that counts. */
async function stationWith(page: Page, baseURL: string | undefined, method: Partial<ResolvedMethod>, device: string) {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.practice = 0
    plan.measures = measuredSo(plan, { expected: {}, ...method }).measures
  })
  await page.setViewportSize({ width: 360, height: 640 })
  await joinStation(page, lesson.code, 'Cedar')
  await page.getByRole('button', { name: 'Later' }).click()
  await page.getByLabel('Measure with').selectOption({ label: device })
  const readings = async () => (await client(baseURL).open(lesson.id)).record.readings
  const violations = async () => (await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)
  expect(await violations()).toEqual([])
  const [content, window] = await page.evaluate(() => [document.documentElement.scrollWidth, document.documentElement.clientWidth])
  expect(content).toBeLessThanOrEqual(window!)
  return { readings, write: () => page.getByRole('button', { name: 'Write it down' }).click() }
}

test('a stopwatch is started and stopped, shared among ten swings, and stays chosen for the next trial', async ({
  page,
  baseURL,
}) => {
  const method = { unit: 's', resolution: 0.01, timingWobble: 0.15, atOnce: 10, expectedLow: null, expectedHigh: null } as const
  const { readings, write } = await stationWith(page, baseURL, method, 'stopwatch')
  await expect(page.getByText('about 0.15 s early or late')).toBeVisible()
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  const began = Date.now()
  await expect(page.locator('output')).toHaveText(/^[1-9]\.\d s$/)
  await page.getByRole('button', { name: 'Stop' }).click()
  const took = (Date.now() - began) / 1000
  await expect(page.getByText('each, of 10 together')).toBeVisible()
  await write()
  await expect.poll(async () => (await readings()).length).toBe(1)
  const [{ value, unit } = { value: 0, unit: '' }] = await readings()
  expect(unit).toBe('s')
  expect(Math.abs(value - took / 10)).toBeLessThan(0.05)
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible()
})

test('a counter takes a tap back', async ({ page, baseURL }) => {
  const { readings, write } = await stationWith(
    page,
    baseURL,
    { unit: 'count', resolution: 1, expectedLow: 1, expectedHigh: 9 },
    'counter',
  )
  for (let tap = 0; tap < 4; tap += 1) await page.getByRole('button', { name: 'One more' }).click()
  await page.getByRole('button', { name: 'One back' }).click()
  await write()
  await expect.poll(async () => (await readings()).map(({ value }) => value)).toEqual([3])
  await expect(page.locator('output')).toHaveText('0')
})

test('start and finish make a difference, and what cannot be read is said', async ({ page, baseURL }) => {
  const { readings, write } = await stationWith(page, baseURL, {}, 'start and finish')
  await page.getByLabel('At the start').fill('1,2 cm')
  await page.getByLabel('At the finish').fill('about 6')
  await write()
  await expect(page.getByRole('alert')).toBeVisible()
  await page.getByLabel('At the finish').fill('6,7 cm')
  await expect(page.getByText('That makes 55')).toBeVisible()
  await write()
  await expect
    .poll(async () => (await readings()).map(({ value, entered }) => [value, entered]))
    .toEqual([[55, '1,2 cm to 6,7 cm']])
  await expect(page.getByLabel('At the start')).toHaveValue('')
})

test('the level on a picture is moved by keyboard, and a simulated probe sends until one number is taken', async ({
  page,
  baseURL,
}) => {
  const method = { unit: 'degC', resolution: 1, expectedLow: 30, expectedHigh: 50, trialWobble: 5 } as const
  const { readings, write } = await stationWith(page, baseURL, method, 'picture of the scale')
  const level = page.getByRole('slider', { name: 'Level in °C' })
  await level.fill('41')
  await level.press('ArrowUp')
  await write()
  await expect.poll(async () => (await readings()).map(({ value }) => value)).toEqual([42])
  await page.getByLabel('Measure with').selectOption({ label: 'thermometer probe (simulated)' })
  await expect(page.locator('output')).toHaveText(/^(2[5-9]|3\d)/)
  await page.getByRole('button', { name: 'Take this one' }).click()
  await expect(page.getByText('Taken:')).toBeVisible()
  await write()
  await expect.poll(async () => (await readings()).length).toBe(2)
})

test('one lap timer takes the times of several, and a tap can be taken back', async ({ page, baseURL }) => {
  const method = { unit: 's', resolution: 0.1, expectedLow: null, expectedHigh: null } as const
  const { readings } = await stationWith(page, baseURL, method, 'lap timer for several at once')
  await page.getByRole('button', { name: 'Start all' }).click()
  for (const name of ['tissue', 'kitchen roll']) await page.getByRole('button', { name }).click()
  await page.getByRole('button', { name: 'One back' }).click()
  await expect(page.getByRole('button', { name: 'kitchen roll' })).toBeEnabled()
  await page.getByRole('button', { name: 'card' }).click()
  await page.getByRole('button', { name: 'Write these down' }).click()
  await expect
    .poll(async () => (await readings()).map(({ condition, repeat }) => [condition, repeat]))
    .toEqual([
      ['tissue', 1],
      ['card', 1],
    ])
  const times = (await readings()).map(({ value }) => value)
  expect(times[1]!).toBeGreaterThanOrEqual(times[0]!)
  await expect(page.getByText('2 of 12 done')).toBeVisible()
})

test('a second reader looks without having seen the first number, jobs turn by seat', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.practice = 0
    plan.secondReader = true
    plan.groups[2]!.away = [1]
  })
  const readings = async () => (await client(baseURL).open(lesson.id)).record.readings
  await page.setViewportSize({ width: 640, height: 360 })
  await joinStation(page, lesson.code, 'Cedar')
  await page.getByRole('button', { name: 'Later' }).click()
  const jobs = page.getByRole('list', { name: 'Jobs in this trial' })
  await expect(jobs).toHaveText(/2\s*starter\s*3\s*measurer\s*4\s*recorder\s*2\s*checker/)
  await enterNumber(page, '61')
  await expect(page.getByText('Second reader: look yourself')).toBeVisible()
  await expect(page.getByText('61')).toHaveCount(0)
  await page.getByLabel('The number').fill('6,4 cm')
  await page.getByRole('button', { name: 'That is what I see' }).click()
  await page.getByRole('button', { name: 'It is 64' }).click()
  await expect(jobs).toHaveText(/3\s*starter/)
  await enterNumber(page, '52')
  await expect(page.getByText('Second reader: look yourself')).toBeVisible()
  await page.getByLabel('The number').fill('53')
  await page.getByRole('button', { name: 'That is what I see' }).click()
  await expect
    .poll(async () => (await readings()).map(({ value, confirmed, reason }) => [value, confirmed, reason]))
    .toEqual([
      [64, true, 'the other reader saw 61'],
      [52, true, ''],
    ])
})

test('what the first reader may write the second may, too, and what is read again begins with an empty field', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.practice = 0
    plan.secondReader = true
    plan.measures = measuredSo(plan, { eachIs: 'risen' }).measures
  })
  await joinStation(page, lesson.code, 'Cedar')
  await page.getByRole('button', { name: 'Later' }).click()
  await page.getByLabel('Measure with').selectOption({ index: 1 })
  const first = async (text: string) => {
    await page.getByLabel('The number').fill(text)
    await page.getByRole('button', { name: 'Write it down' }).click()
  }
  await first('12 to 68')
  const second = async (text: string) => {
    await expect(page.getByText('Second reader: look yourself')).toBeVisible()
    await page.getByLabel('The number').fill(text)
    await page.getByRole('button', { name: 'That is what I see' }).click()
  }
  await second('12 to 58')
  await page.getByRole('button', { name: 'Neither: read it again' }).click()
  await expect(page.getByLabel('The number')).toHaveValue('')
  await first('12 to 68')
  await second('12 to 68')
  const readings = async () => (await client(baseURL).open(lesson.id)).record.readings
  await expect.poll(async () => (await readings()).map(({ value, entered }) => [value, entered])).toEqual([[56, '12 to 68']])
})

test('several places of a jar are read at one go, by the countdown of the class’s clock', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    Object.assign(plan, withKind(plan, 'over-time'))
    plan.watch = { unit: 'min', times: [0, 3], named: [], places: ['top', 'bottom'], instruments: 1, among: 'group' }
    plan.practice = 0
    plan.repeats = 1
  })
  const { call, open } = client(baseURL)
  await page.setViewportSize({ width: 390, height: 844 })
  await joinStation(page, lesson.code, 'Elm')
  await page.getByRole('button', { name: 'Later' }).click()
  await page.getByLabel('top').fill('61')
  await page.getByLabel('bottom').fill('deep')
  await page.getByRole('button', { name: 'Write them down' }).click()
  await expect(page.getByRole('alert')).toContainText('not a number')
  await page.getByLabel('bottom').fill('5,2 cm')
  await page.getByRole('button', { name: 'Write them down' }).click()
  await expect(page.getByRole('heading', { name: 'tissue' })).toBeVisible()
  await expect
    .poll(async () => (await open(lesson.id)).record.readings.map(({ moment, value }) => [moment, value]))
    .toEqual([
      ['t0p1', 61],
      ['t0p2', 52],
    ])
  const clockStarted = new Date(Date.now() - 170_000).toISOString()
  await call('PUT', `/api/lessons/${lesson.id}/board`, { clockStarted, results: 'quiet' })
  await expect(page.getByRole('timer').filter({ hasText: /Read A kitchen roll\s+in 0:(0\d|10)/ })).toBeVisible()
  await expect(page.getByRole('timer').filter({ hasText: /Read A kitchen roll\s+now/ })).toBeVisible()
  const board = await page.context().newPage()
  await board.goto(`/board/${lesson.id}`)
  await turnBoard(board, 'Testing')
  await expect(board.getByRole('list', { name: 'Coming up' })).toContainText('Everybody: read A kitchen roll')
})

test('ordered words have pictures, the teacher’s own or a glass that fills', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    Object.assign(plan, withKind(plan, 'describe'))
    plan.measures = measuredSo(plan, { way: 'words' }).measures
  })
  await openStop(page, lesson, 'plan')
  await unfold(page, 'How we measure')
  await page.getByRole('button', { name: 'Only yes or no' }).click()
  const picture = await page.screenshot()
  await giveFile(page.getByRole('button', { name: '+ picture for yes' }), {
    name: 'yes.png',
    mimeType: 'image/png',
    buffer: picture,
  })
  await expect(page.getByRole('button', { name: 'yes without its picture' })).toBeVisible()
  await saved(page)
  const station = await page.context().newPage()
  await joinStation(station, lesson.code, 'Fir')
  await station.getByRole('button', { name: 'Later' }).click()
  const words = station.getByRole('radiogroup', { name: 'Which word fits?' })
  await expect(words.locator('img')).toHaveJSProperty('complete', true)
  expect(await words.locator('img').evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(0)
  await expect(words.getByText('no', { exact: true }).locator('svg[viewBox="0 0 28 30"]')).toBeVisible()
})
