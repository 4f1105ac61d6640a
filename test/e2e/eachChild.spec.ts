import { codeOf } from '../../core/lesson'
import { choose, client, expect, joinStation, lessonWith, openClass, openStop, saved, test } from './house'

test('every child its own: codes on strips, keyed by seat, a station of its own, the heap, own guess beside own result, one conclusion', async ({
  page,
  baseURL,
  browser,
}) => {
  const lesson = await lessonWith(
    baseURL,
    (plan) => {
      plan.changed = null
      plan.conditions = plan.conditions.slice(0, 1)
      plan.repeats = 1
      plan.practice = 0
      plan.predictAs = 'number'
    },
    'soak-up-strips',
  )
  await openStop(page, lesson, 'plan')
  const dialog = await openClass(page)
  await choose(dialog.getByLabel('Writes down its own'), 'each child')
  await expect(dialog.getByRole('button', { name: /^Seat \d+, [A-Z]\d\d, is away$/ })).toHaveCount(lesson.plan.children)
  await dialog.getByRole('button', { name: /^Seat 3, / }).click()
  await dialog.getByRole('button', { name: 'Done' }).click()
  await saved(page)
  await expect(page.getByText('What does each of us find')).toBeVisible()
  const { call, open } = client(baseURL)
  const { plan, revision } = (await open(lesson.id)).lesson
  // A dozen of them are there.
  for (const child of plan.groups.slice(12)) child.away = [1]
  expect((await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision })).status).toBe(200)
  const codes = plan.groups.map(({ name }) => name)

  await page.goto(`/print/${lesson.id}/codes`)
  for (const child of plan.groups) await expect(page.getByText(codeOf(child)).first()).toBeVisible()

  await openStop(page, lesson, 'test')
  const bySeat = page.getByRole('region', { name: 'Key in by seat' })
  const [seat, guess, number] = [bySeat.getByLabel('Seat'), bySeat.getByLabel('Guess (mm)'), bySeat.getByLabel('Number (mm)')]
  await expect(seat).toHaveValue('1')
  await guess.fill('40')
  await number.fill('5.2 cm')
  await number.press('Enter')
  await expect(bySeat.getByRole('status')).toContainText(`Seat 1, ${codes[0]}: 52`)
  await expect(guess).toBeFocused()
  for (const [place, value] of [48, 50, 51, 55, 57, 58, 60, 61, 66].entries()) {
    const at = place === 0 ? 2 : place + 3
    await expect(seat).toHaveValue(String(at))
    await guess.fill('50')
    await number.fill(String(value))
    await number.press('Enter')
    await expect(bySeat.getByRole('status')).toContainText(`Seat ${at},`)
  }
  await expect(seat).toHaveValue('12')

  const tablet = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await tablet.goto(`${baseURL}/station?code=${encodeURIComponent(lesson.code)}`)
  await tablet.getByLabel('Your own code').fill('zz9')
  await tablet.getByRole('button', { name: 'Begin' }).click()
  await expect(tablet.getByRole('alert')).toContainText('Nobody in this lesson has this code')
  await tablet.getByLabel('Your own code').fill(codeOf(plan.groups[11]!).toLowerCase())
  await tablet.getByRole('button', { name: 'Begin' }).click()
  await tablet.getByLabel(/kitchen roll/).fill('70')
  await tablet.getByLabel(/kitchen roll/).press('Tab')
  await tablet.getByRole('button', { name: 'This is my prediction' }).click()
  for (const key of '63') await tablet.getByRole('button', { name: key, exact: true }).click()
  await tablet.getByRole('button', { name: 'Write it down' }).click()
  await expect(tablet.getByText('You guessed 70 mm, found 63 mm: 7 mm less.')).toBeVisible()
  await expect(tablet.getByText('you', { exact: true })).toBeVisible()
  await tablet.getByRole('button', { name: 'Next child' }).click()
  await expect(tablet.getByLabel('Your own code')).toHaveValue('')
  await tablet.context().close()

  await openStop(page, lesson, 'results')
  await expect(page.getByRole('img', { name: /^How often each size came/ })).toBeVisible()
  await page.getByRole('tab', { name: 'How sure' }).click()
  await expect(page.getByText(/^Half of us came to between/)).toBeVisible()
  await page.getByRole('tab', { name: 'Predictions' }).click()
  await expect(
    page.getByText('Of 11 guesses 7 were too little and 2 too much, 2 right to the mark', { exact: false }),
  ).toBeVisible()
  await expect(page.getByRole('row', { name: new RegExp(`^.*${codes[0]} .*guessed 40.mm, found 52.mm: 12.mm more`) })).toBeVisible()

  await openStop(page, lesson, 'agree')
  await page.getByRole('textbox', { name: 'Our conclusion' }).fill('We think kitchen roll drinks up to 95 mm.')
  await expect(page.getByText('95', { exact: false }).first()).toBeVisible()
  await page
    .getByRole('textbox', { name: 'Our conclusion' })
    .fill('Each of us tested kitchen roll: from 48 mm to 66 mm, and most of us are sure of 50 mm to 61 mm.')
  await expect(page.getByText(/The table has/)).toHaveCount(0)
  await page.getByRole('button', { name: 'We agree on this' }).click()
  await page.goto(`/print/${lesson.id}/group-report`)
  await expect(page.getByRole('heading', { name: new RegExp(`^Child ${codes[11]}`) })).toBeVisible()
  await expect(page.getByText('Guessed 70 mm, found 63 mm: 7 mm less.')).toBeVisible()
})

test('a lesson in groups shows nothing of it', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, () => undefined, 'soak-up-strips')
  await openStop(page, lesson, 'test')
  await expect(page.getByRole('region', { name: 'Key in by seat' })).toBeHidden()
  await page.goto('/station')
  await joinStation(page, lesson.code, 'Alder')
})
