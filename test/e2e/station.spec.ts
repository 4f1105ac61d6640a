import type { Page } from '@playwright/test'
import { dayAfter, dayOf } from '../../core/clock'
import { reading } from '../api/client'
import { client, enterNumber, expect, joinStation, lessonWith, test, turnBoard } from './house'

test.use({ viewport: { width: 360, height: 640 }, hasTouch: true })

test('a group predicts, practises, is asked about a slip, fixes one and says what went wrong', async ({ page, baseURL }) => {
  const { open } = client(baseURL)
  const lesson = await lessonWith(baseURL, (plan) => (plan.measures[0]!.method.expected = { 'kitchen-roll': 62 }))
  await joinStation(page, lesson.code, 'Alder')
  for (const name of ['kitchen roll', 'tissue', 'writing paper', 'card'])
    await page.getByRole('button', { name: new RegExp(name) }).click()
  await page.getByLabel('We think so because …').fill('it is the fluffiest')
  await page.getByRole('button', { name: 'This is our prediction' }).click()
  await expect(page.getByText('Practice: it does not count')).toBeVisible()
  await enterNumber(page, '58')
  await expect(page.getByRole('heading', { name: 'tissue' })).toBeVisible()
  await page.getByRole('button', { name: 'Start the trials that count' }).click()
  await expect(page.getByText('trial 1', { exact: true })).toBeVisible()
  await expect(page.getByText('0 of 12 done')).toBeVisible()

  await enterNumber(page, '61')
  await expect(page.getByRole('heading', { name: 'tissue' })).toBeVisible()
  await page.getByRole('button', { name: 'fix it' }).click()
  await page.getByLabel('The number').fill('6½ cm')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('1 of 12 done')).toBeVisible()

  await page.getByText('Do another one').click()
  await page.getByRole('button', { name: 'A 2', exact: true }).click()
  await enterNumber(page, '6.2')
  await page.getByRole('button', { name: /^It is 62/ }).click()
  await expect(page.getByText('2 of 12 done')).toBeVisible()

  await page.getByLabel('The number').fill('49')
  await page.getByRole('button', { name: 'something went wrong' }).click()
  await page.getByRole('button', { name: 'it touched the side' }).click()
  await expect(page.getByText('2 of 12 done')).toBeVisible()
  await page.getByLabel('The number').fill('twelve')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByRole('alert')).toContainText('not a number')
  await expect(page.getByLabel('The number')).toHaveValue('twelve')

  await expect.poll(async () => (await open(lesson.id)).record.readings.length).toBe(5)
  const { record } = await open(lesson.id)
  expect(
    record.readings.map(({ condition, repeat, value, practice, status, entered, by }) => [
      condition,
      repeat,
      value,
      practice,
      status,
      entered,
      by,
    ]),
  ).toEqual([
    ['kitchen-roll', 1, 58, true, 'kept', '58', 'station'],
    ['kitchen-roll', 1, 61, false, 'kept', '61', 'station'],
    ['kitchen-roll', 1, 65, false, 'kept', '6½ cm', 'station'],
    ['kitchen-roll', 2, 62, false, 'kept', '6.2', 'station'],
    ['tissue', 1, 49, false, 'set-aside', '49', 'station'],
  ])
  expect(record.predictions).toMatchObject([{ reason: 'it is the fluffiest', late: false }])
})

test('nothing is lost while the line is down, not even when the page is closed', async ({ page, context, baseURL }) => {
  const { newLesson, open } = client(baseURL)
  const { lesson } = await newLesson()
  await joinStation(page, lesson.code, 'Elm')
  await page.getByRole('button', { name: 'Later' }).click()
  await page.getByRole('button', { name: 'Start the trials that count' }).click()
  await context.setOffline(true)
  await enterNumber(page, '61')
  await enterNumber(page, '52')
  await expect(page.getByRole('status')).toContainText('line is down, 2 waiting')
  await expect(page.getByText('2 of 12 done')).toBeVisible()
  await page.close()

  await context.setOffline(false)
  const again = await context.newPage()
  await again.goto('/station')
  await expect(again.getByText('2 of 12 done')).toBeVisible()
  await expect.poll(async () => (await open(lesson.id)).record.readings.map(({ value }) => value)).toEqual([61, 52])
  await expect(again.getByRole('status')).toHaveText('sent')
})

test('a page that nobody sees lets its line go, so that a class of tabs fits one browser, and catches up when it is shown', async ({
  page,
  baseURL,
}) => {
  const { call, newLesson } = client(baseURL)
  const { lesson } = await newLesson()
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.addInitScript(() => {
    let hidden = false
    Object.defineProperty(document, 'hidden', { get: () => hidden })
    Object.assign(window, {
      show: (shown: boolean) => {
        hidden = !shown
        document.dispatchEvent(new Event('visibilitychange'))
      },
    })
  })
  let streams = 0
  page.on('request', (request) => (streams += request.url().includes('/events') ? 1 : 0))
  await page.goto(`/board/${lesson.id}`)
  await turnBoard(page, 'Testing')
  await expect.poll(() => streams).toBe(1)
  const show = (shown: boolean) =>
    page.evaluate((value) => (window as unknown as { show(shown: boolean): void }).show(value), shown)
  await show(false)
  await page.waitForTimeout(5500)
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [reading(lesson.plan)] })
  await page.waitForTimeout(500)
  await expect(page.getByText('The first number is still to come.')).toBeAttached()
  await show(true)
  await expect(page.getByText('Last in: Alder, A kitchen roll')).toBeVisible()
  expect(streams).toBe(2)
})

test('a tablet whose clock stands in another year and zone has the trial, the day and the clock of the desk', async ({
  browser,
  baseURL,
  page,
}) => {
  const today = dayOf(new Date())
  const lesson = await lessonWith(baseURL, (plan) => (plan.date = dayAfter(today, -2)), 'sprout-watch')
  const { call, joinStation: join } = client(baseURL)
  const token = await join(lesson.code, lesson.plan.groups[0]!.id)
  const day0 = lesson.plan.conditions.map(({ id }) => reading(lesson.plan, { condition: id, moment: 't0' }))
  await call('POST', '/api/station/readings', { readings: day0 }, token)
  await call('PUT', `/api/lessons/${lesson.id}/board`, { clockStarted: new Date(Date.now() - 600_000).toISOString() })

  const elsewhere = await browser.newContext({ timezoneId: 'Pacific/Kiritimati', baseURL: baseURL! })
  const tablet = await elsewhere.newPage()
  await tablet.clock.setSystemTime('2019-07-01T03:00:00Z')
  await joinStation(tablet, lesson.code, 'Alder')
  // Day 2 is asked for, and day 4 has not come: by the tablet's own clock the lesson lies years ahead.
  await expect(tablet.getByText('day 2', { exact: false }).first()).toBeVisible()
  const board = await elsewhere.newPage()
  await board.clock.setSystemTime('2019-07-01T03:00:00Z')
  await board.goto(`/board/${lesson.id}`)
  await turnBoard(board, 'Testing')
  await page.goto(`/board/${lesson.id}`)
  const left = async (one: Page) => Number(/(\d+):\d\d/.exec((await one.getByRole('timer').textContent()) ?? '')![1])
  // Until the server has said what time it is a page goes by its own clock.
  await expect.poll(async () => Math.abs((await left(board)) - (await left(page)))).toBeLessThanOrEqual(1)
  await elsewhere.close()
})
