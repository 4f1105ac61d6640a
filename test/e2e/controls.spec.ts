import { reading } from '../api/client'
import { cell, client, expect, joinStation, lessonWith, openStop, paste, saved, test, unfold } from './house'

test('menus, lists, circles and tabs go by arrows, Home, End and letters', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'plan')
  const dots = page.getByRole('button', { name: 'More for condition D' })
  await dots.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('menuitem').first()).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('End')
  await expect(page.getByRole('menuitem', { name: 'Take away' })).toBeFocused()
  await page.keyboard.press('Home')
  await expect(page.getByRole('menuitem', { name: 'Mark as baseline' })).toBeFocused()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(page.getByText('left out', { exact: true })).toBeVisible()
  await expect(dots).toBeFocused()

  await page.getByRole('radio', { name: 'kinds' }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('radio', { name: 'numbers' })).toBeChecked()
  await unfold(page, 'How we measure')
  const unit = page.getByRole('combobox', { name: 'Unit', exact: true })
  await unit.focus()
  await page.keyboard.type('cm')
  await expect(page.locator('[data-target="method-unit"]')).toContainText('cm')
  await saved(page)
  expect((await client(baseURL).open(lesson.id)).lesson.plan.measures[0]!.method).toMatchObject({ unit: 'cm' })
})

test('Escape takes back what was typed into the grid, a second one leaves it, and a digit then changes the stop', async ({
  page,
  baseURL,
}) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'test')
  const first = cell(page, 'Alder', 'A kitchen roll', 1)
  await first.fill('61')
  await first.press('Enter')
  await first.focus()
  await page.keyboard.type('9')
  await page.keyboard.press('Escape')
  await expect(first).toHaveValue('61')
  await page.keyboard.press('Escape')
  await page.keyboard.press('7')
  await expect(page).toHaveURL(/\/results$/)
  const { readings } = (await client(baseURL).open(lesson.id)).record
  expect(readings.map(({ value }) => value)).toEqual([61])
})

test('a notice waits while it is pointed at, and goes when it is let alone', async ({ page, baseURL }) => {
  await page.clock.install()
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'test')
  const first = cell(page, 'Alder', 'A kitchen roll', 1)
  await first.fill('61')
  await first.press('Enter')
  await first.fill('')
  await first.press('Enter')
  const notice = page.locator('.v-snackbar', { hasText: 'Readings are not deleted.' })
  await expect(notice).toBeVisible()
  await notice.getByText('Readings are not deleted.').hover()
  await page.clock.fastForward(30_000)
  await expect(notice).toBeVisible()
  await page.mouse.move(5, 5)
  await page.clock.fastForward(10_000)
  await expect(notice).toBeHidden()
})

test('a station’s focus goes where the group goes on, and a line that hangs is said and mended', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => Object.assign(plan, { practice: 0 }))
  await page.goto('/station')
  await expect(page.getByLabel('Code from the board')).toBeFocused()
  await page.keyboard.type(lesson.code)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Which group are you?' })).toBeFocused()
  await joinStation(page, lesson.code, 'Fir')
  await page.getByRole('button', { name: 'Later' }).click()
  await expect(page.getByLabel('The number')).toBeFocused()

  // The network takes what is sent and never answers.
  const held: (() => void)[] = []
  await page.route('**/api/station/readings', (route) => held.push(() => void route.abort()))
  await page.keyboard.type('61')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('The number')).toBeFocused()
  await expect(page.getByText('line is down, 1 waiting')).toBeVisible({ timeout: 60_000 })
  await page.unroute('**/api/station/readings')
  await expect
    .poll(async () => (await client(baseURL).open(lesson.id)).record.readings.map(({ value }) => value), { timeout: 60_000 })
    .toEqual([61])
  await expect(page.getByText('sent', { exact: true })).toBeVisible()
})

test('a block is pasted into the grid, what cannot be read is said and stays, and Undo takes the block back', async ({
  page,
  baseURL,
}) => {
  const { call, newLesson, open } = client(baseURL)
  const { lesson } = await newLesson()
  const before = reading(lesson.plan, { value: 60, entered: '60' })
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: [before] })
  await openStop(page, lesson, 'test')
  await paste(cell(page, 'Alder', 'A kitchen roll', 1), '61\t62\t6,3 cm\n58\twet\t57')
  await expect(page.locator('.v-snackbar')).toContainText('5 numbers pasted. 1 cell cannot be read and is marked.')
  await expect(cell(page, 'Alder', 'A kitchen roll', 3)).toHaveValue('63')
  await expect(cell(page, 'Birch', 'A kitchen roll', 2)).toHaveValue('wet')
  await expect(cell(page, 'Birch', 'A kitchen roll', 2)).toHaveAttribute('aria-invalid', 'true')
  await page.locator('.v-snackbar').getByRole('button', { name: 'Undo' }).click()
  await expect(cell(page, 'Alder', 'A kitchen roll', 1)).toHaveValue('60')
  await expect(cell(page, 'Alder', 'A kitchen roll', 2)).toHaveValue('')
  const { readings } = (await open(lesson.id)).record
  expect(readings).toHaveLength(11)
  expect(
    readings
      .filter(({ reason }) => reason === 'taken back after pasting')
      .map(({ status }) => status)
      .sort(),
  ).toEqual(['kept', 'set-aside', 'set-aside', 'set-aside', 'set-aside'])
})

test.describe('by finger', () => {
  test.use({ hasTouch: true, isMobile: true, viewport: { width: 1024, height: 768 } })

  test('a swipe over cards scrolls, and a short hold drags a card from anywhere on it', async ({ page, context, baseURL }) => {
    const lesson = await lessonWith(baseURL, (plan) => (plan.changed = null))
    await openStop(page, lesson, 'plan')
    const box = (await page.locator('[data-tray="heap"] > *').first().boundingBox())!
    const tray = (await page.locator('[data-tray="change"]').boundingBox())!
    const from = { x: box.x + 40, y: box.y + 22 }
    const to = { x: tray.x + 60, y: tray.y + 40 }
    const finger = await context.newCDPSession(page)
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: { x: number; y: number }) =>
      finger.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [at] : [] })
    const moveTo = async (end: { x: number; y: number }) => {
      for (let step = 1; step <= 8; step += 1) {
        // At once, since on a slow machine a finger that waits is one that holds.
        await touch('touchMove', { x: from.x + ((end.x - from.x) * step) / 8, y: from.y + ((end.y - from.y) * step) / 8 })
        await page.waitForTimeout(40)
      }
    }

    await touch('touchStart', from)
    await moveTo(to)
    await touch('touchEnd')
    await expect(page.locator('[data-tray="change"] > *')).toHaveCount(0)

    await page.evaluate(() => window.scrollTo(0, 0))
    await touch('touchStart', from)
    await page.waitForTimeout(260)
    await moveTo(to)
    await page.waitForTimeout(200)
    await touch('touchEnd')
    await expect(page.locator('[data-tray="change"] > *')).toHaveCount(1)
  })
})

test('a control that goes away leaves the focus to its neighbour, never to the page', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  const held = () => page.evaluate(() => document.activeElement !== document.body)
  await openStop(page, lesson, 'predict')
  await page.getByRole('button', { name: 'Take it down: Alder' }).focus()
  await page.keyboard.press('Enter')
  const rest = page.getByRole('group', { name: 'Not placed yet' }).first()
  await expect(rest).toBeVisible()
  await expect.poll(held).toBeTruthy()
  await rest.getByRole('button').first().focus()
  // By Enter alone all are put in order, each at the next place.
  for (const left of [3, 2, 1]) {
    await page.keyboard.press('Enter')
    await expect(rest.getByRole('button')).toHaveCount(left)
    await expect(rest.getByRole('button').and(page.locator(':focus'))).toHaveCount(1)
  }
  await page.keyboard.press('Enter')
  await expect(rest).toBeHidden()
  expect(await held()).toBeTruthy()

  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: 'More for condition D' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('menuitem').first()).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('End')
  await expect(page.getByRole('menuitem', { name: 'Take away' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'More for condition D' })).toBeHidden()
  await expect.poll(held).toBeTruthy()
  await expect(page.locator('main :focus')).toHaveCount(1)

  await joinStation(page, lesson.code, 'Fir')
  const chips = page.getByRole('group', { name: 'Not placed yet' }).getByRole('button')
  await chips.first().focus()
  for (const left of [2, 1]) {
    await page.keyboard.press('Enter')
    await expect(chips).toHaveCount(left)
    await expect(chips.and(page.locator(':focus'))).toHaveCount(1)
  }
})
