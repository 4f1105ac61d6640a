import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import type { Method } from '../../core/lesson'
import { client, expect, joinStation, lessonWith, test } from './house'

/** A station that measures soaked paper with another method, at its first trial that counts. */
async function stationWith(page: Page, baseURL: string | undefined, method: Partial<Method>, device: string) {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.practice = 0
    Object.assign(plan.measures[0]!.method, { expected: {}, ...method })
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
  await expect(page.locator('output')).toHaveText(/^(2[5-9]|3\d)/, { timeout: 20_000 })
  await page.getByRole('button', { name: 'Take this one' }).click()
  await expect(page.getByText('Taken:')).toBeVisible()
  await write()
  await expect.poll(async () => (await readings()).length).toBe(2)
})
