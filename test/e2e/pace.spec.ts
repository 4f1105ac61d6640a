import { classUnderWay } from '../classUnderWay'
import { client, expect, expectAccessible, joinStation, openStop, saved, test, turnBoard } from './house'

/** A lesson whose class tests, slower than planned; the bell leaves it 30 minutes for that. */
async function underWay(baseURL: string | undefined, seconds: number[], passed: number, className = `Wren ${Date.now()}`) {
  const { call, newLesson, open } = client(baseURL)
  const { plan } = (await newLesson()).lesson
  const text = classUnderWay({ ...plan, className, clock: { ...plan.clock, minutes: 75 } }, seconds, passed)
  return open((await call<{ id: string }>('POST', '/api/lessons/open', { text })).body.id)
}
const SLOW = [110, 124, 138, 152, 166, 180, 194]

test('a class that is slow in the middle is told so, ends after its second repeat, and takes that back', async ({
  page,
  baseURL,
}) => {
  const { lesson } = await underWay(baseURL, SLOW, 15)
  await openStop(page, lesson, 'test')
  const line = page.locator('[data-target="under-way"]').getByRole('status')
  await expect(line).toContainText(
    /Half of the groups will be done by \d\d:\d\d, all by \d\d:\d\d \(nine in ten: \d\d:\d\d\); testing must end/,
  )
  await expect(page.getByRole('list', { name: 'When each group will be done' })).toContainText(/Gorse\s*8 more/)
  // While the clock runs an empty place is no gap.
  await expect(page.getByRole('heading', { name: /gaps? in the table/ })).toHaveCount(0)
  await expectAccessible(page, 'a class under way')
  const station = await page.context().newPage()
  await joinStation(station, lesson.code, 'Fir')
  await expect(station.getByText(/8 more, about \d+ minutes\./)).toBeVisible()
  const board = await page.context().newPage()
  await board.goto(`/board/${lesson.id}`)
  await turnBoard(board, 'Testing')
  await expect(board.getByText(/^All done at about \d\d:\d\d; testing ends at/)).toBeVisible()
  await page.bringToFront()
  const ways = page.getByRole('list', { name: 'What could be done now' })
  await expect(ways.getByRole('listitem').first()).toContainText('in time in')
  await ways.getByRole('button', { name: 'End after repeat 2' }).click()
  await expect(ways).toBeHidden()
  await expect(page.getByRole('row', { name: /Gorse/ }).first()).toContainText('4 of 8')
  await expect(station.getByText(/4 of 8 done/)).toBeVisible()
  await expect(board.getByText('4 of 8').first()).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('row', { name: /Gorse/ }).first()).toContainText('4 of 12')
  await expect(ways).toBeVisible()
})

test('a pause stops one clock for desk, board and stations, and gives no minute back', async ({ page, baseURL }) => {
  const { lesson } = await underWay(baseURL, SLOW, 10)
  const board = await page.context().newPage()
  await board.goto(`/board/${lesson.id}`)
  await turnBoard(board, 'Testing')
  const station = await page.context().newPage()
  await joinStation(station, lesson.code, 'Elm')
  await openStop(page, lesson, 'test')
  await page.getByRole('button', { name: 'Pause', exact: true }).click()
  await expect(board.getByText(/^Paused.*testing must end at \d\d:\d\d\.$/)).toBeVisible()
  await expect(station.getByText(/Paused.*testing must end/)).toBeVisible()
  await board.bringToFront()
  await board.getByRole('button', { name: 'Go on' }).click()
  await page.bringToFront()
  await expect(page.getByRole('button', { name: 'Pause', exact: true })).toBeVisible()
  await page.getByRole('button', { name: '1 of 1 station there' }).click()
  await page.getByRole('button', { name: 'Pause all: eyes on the board' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'Go on', exact: true })).toBeVisible()
  await expect(station.getByRole('heading', { name: 'Your teacher has paused the stations' })).toBeVisible()
})

test('a class on paper: one tap for each trial tells how it goes on, and the last can be taken back', async ({ page, baseURL }) => {
  const { lesson } = await underWay(
    baseURL,
    SLOW.map(() => 10_000),
    6,
  )
  await openStop(page, lesson, 'test')
  await page.getByRole('button', { name: 'On paper: one more trial done' }).click()
  const birch = page.getByRole('button', { name: /^Birch: \d+$/ })
  await birch.click()
  await birch.click()
  await expect(page.getByRole('button', { name: 'Birch: 2' })).toBeVisible()
  await expect(page.getByRole('list', { name: 'When each group will be done' })).toContainText(/Birch\s*10 more/)
  await page.getByRole('button', { name: 'Take the last tap back' }).click()
  await expect(page.getByRole('button', { name: 'Birch: 1' })).toBeVisible()
})

test('how a class went is used by its next plan, says why, and can be forgotten', async ({ page, baseURL }) => {
  const { call, open } = client(baseURL)
  const className = `Heron ${Date.now()}`
  const { id } = (await underWay(baseURL, SLOW, 40, className)).lesson
  const next = async () =>
    open((await call<{ id: string }>('POST', '/api/lessons', { investigation: 'soak-up-strips', className })).body.id)
  // The shelf judges what changed, beside the server.
  await expect
    .poll(async () => {
      await call('GET', `/api/lessons?className=${encodeURIComponent(className)}`)
      return (
        (await call<{ pace: { times: number } | null }>('PUT', '/api/class-pace', { className, forget: false })).body.pace?.times ??
        0
      )
    })
    .toBeGreaterThan(1.1)
  await openStop(page, id, 'clock')
  await expect(page.getByText(/^Trials really took 2 min \d+ s, planned was 1 min 45 s/)).toBeVisible()
  const { lesson } = await next()
  await openStop(page, lesson, 'clock')
  await expect(page.getByText(`Because class ${className} took 1.`)).toBeVisible()
  await expect(page.locator('.verdict')).toContainText(/Fits in \d+ of 100 classes/)
  await page.getByRole('button', { name: `Forget it for ${className}` }).click()
  await expect(page.locator('.verdict')).toContainText(/It fits: in 9\d of 100 classes/)
  await saved(page)
  expect((await next()).lesson.plan.clock.pace).toBeNull()
})
