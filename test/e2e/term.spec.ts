import type { ShelfPage } from '../../schemas/contract'
import { choose, client, expect, expectAccessible, expectNothingSticksOut, test } from './house'

test('a term is laid over the weeks, changed by hand, printed with what to buy, and made into lessons', async ({
  page,
  baseURL,
}) => {
  const { call, newLesson } = client(baseURL)
  const { lesson } = await newLesson('soak-up-strips')
  const plan = { ...lesson.plan, className: 'Whinchat', date: '2098-03-05', title: 'Strips of ours' }
  await call('PUT', `/api/lessons/${lesson.id}/plan`, { plan, revision: lesson.revision })

  await page.goto('/')
  await page.getByRole('button', { name: 'More for the shelf' }).click()
  await page.getByText('Plan a term').click()
  await page.getByLabel('Class', { exact: true }).fill('Whinchat')
  await page.keyboard.press('Enter')
  await page.getByLabel('From', { exact: true }).fill('2098-03-03')
  await page.getByLabel('to', { exact: true }).fill('2098-04-04')
  const weeks = page.getByRole('list', { name: 'Week by week' }).getByRole('listitem')
  await expect(weeks).toHaveCount(5)
  await expect(weeks.first()).toContainText('Strips of ours')
  await choose(page.getByLabel('Weekday'), 'On Thursdays')
  const second = page.getByLabel('Investigation, Thu 13 Mar')
  await choose(second, 'Froth tower')
  await expect(weeks.nth(1)).toContainText('For the first time:')
  await choose(page.getByLabel('Investigation, Thu 27 Mar'), 'Leave this week free')
  await expect(weeks.nth(3)).toContainText('Week of Mon 24 Mar')
  await expect(second).toBeVisible()
  await expect(page.getByRole('table', { name: 'Not in the cupboard’s list' })).toContainText('Froth tower')
  await expectAccessible(page, 'planning a term')
  await expectNothingSticksOut(page, 'planning a term')

  // A holiday of the class's calendar takes its week out.
  await page.getByText('School days of class Whinchat').click()
  await page.getByRole('button', { name: '+ a holiday' }).click()
  await page.getByLabel('Holiday to').fill('2098-03-21')
  await page.getByLabel('Holiday from').fill('2098-03-17')
  await expect(weeks.nth(1)).toContainText('Thu 13 Mar')
  await expect(weeks.nth(2)).toContainText('No school: Holiday')

  await page.getByRole('button', { name: 'Make 2 lessons' }).click()
  await expect(weeks.nth(1).getByRole('link', { name: 'Froth tower' })).toBeVisible()
  // Lessons that other tests begin meanwhile may be for this class, but have no day.
  const shelf = async () => {
    const { body } = await call<ShelfPage>('GET', '/api/lessons?className=Whinchat&archived=false&most=1000')
    return body.lessons.filter(({ date }) => date.startsWith('2098')).length
  }
  expect(await shelf()).toBe(3)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(shelf).toBe(1)
})
