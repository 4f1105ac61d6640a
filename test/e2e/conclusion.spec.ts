import { reading, type WholeLesson } from '../api/client'
import { choose, client, expect, joinStation, lessonWith, openStop, saved, test } from './house'

/** How long a bead takes to sink in four syrups: the quickest is best, and every group has it quickest. */
async function syrups(baseURL: string | undefined): Promise<WholeLesson['lesson']> {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.repeats = 2
    plan.practice = 0
    plan.predictAs = 'order'
    plan.factors.find(({ id }) => id === plan.changed)!.name = 'the syrup'
    plan.conditions.forEach((condition, place) => (condition.label = ['thin', 'medium', 'thick', 'very thick'][place]!))
    const measure = plan.measures.find(({ id }) => id === plan.measured)!
    measure.name = 'how long the bead sinks'
    Object.assign(measure.method, { unit: 's', resolution: 0.1, best: null, expected: {}, expectedLow: null, expectedHigh: null })
  })
  const rows = lesson.plan.groups.flatMap(({ id: group }, shift) =>
    lesson.plan.conditions.flatMap(({ id: condition }, place) =>
      [1, 2].map((repeat) =>
        reading(lesson.plan, { group, condition, repeat, unit: 's', value: 2 + 2 * place + 0.1 * ((shift + repeat) % 3) }),
      ),
    ),
  )
  await client(baseURL).call('POST', `/api/lessons/${lesson.id}/readings`, { readings: rows })
  return lesson
}

test('the quickest is best: what is best is chosen once, and slip, results, sentence and poster say so', async ({
  page,
  baseURL,
}) => {
  const lesson = await syrups(baseURL)
  await page.goto(`/print/${lesson.id}/slips`)
  await expect(page.getByText('Put them in order, the longest first.').first()).toBeVisible()
  await openStop(page, lesson, 'results')
  await expect(page.getByText('groups found very thick the longest')).toBeVisible()
  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: /^What counts/ }).click()
  await choose(page.getByRole('combobox', { name: 'What is best' }), 'the shortest')
  await expect(page.getByText('the shortest is best').first()).toBeVisible()
  await saved(page)
  await openStop(page, lesson, 'agree')
  await expect(page.getByRole('region', { name: 'Ways to begin' })).toContainText(
    'Thin came first with an average of 2.11\u202fs, very thick last',
  )
  await page.goto(`/print/${lesson.id}/poster-a3`)
  await expect(page.getByRole('listitem').filter({ hasText: '1st thin' })).toBeVisible()
})

test('a false conclusion is mended by its underlined words until the class agrees', async ({ page, baseURL }) => {
  const lesson = await syrups(baseURL)
  await openStop(page, lesson, 'agree')
  const sentence = page.getByRole('textbox', { name: 'Our conclusion' })
  const read = page.getByRole('group', { name: 'The sentence, read against the table' })
  await sentence.fill('The bead was slowest in thin syrup with 9 s, and the width of the strip makes it slower.')
  await expect(page.getByText('The numbers say otherwise.')).toBeVisible()
  await expect(page.getByText('The table has 2.11\u202fs for thin.')).toBeVisible()
  await expect(page.getByText('We did not change that.')).toBeVisible()
  await expect(read.locator('mark.doubt')).toContainText(['slowest', 'thin', '9 s', 'makes', 'like this'])
  await sentence.fill(
    'The bead was quickest in thin syrup with 2.1 s and slowest in very thick syrup with 8.1 s. We are sure, because all groups agree.',
  )
  // A reason is never checked, and what was not is said.
  await expect(page.getByText(/^We did not check: .*because all groups agree/)).toBeVisible()
  await expect(read.locator('mark.right').first()).toHaveText('quickest')
  await expect(read.locator('mark.doubt')).toHaveCount(0)
  await page.getByRole('button', { name: 'We agree on this' }).click()
  await expect(page.getByRole('button', { name: 'Agreed' })).toBeVisible()
})

test('a group’s own sentence is read at its station before it is sent', async ({ page, baseURL }) => {
  const lesson = await syrups(baseURL)
  await joinStation(page, lesson.code, 'Cedar')
  await page.getByRole('button', { name: 'Say what you found out' }).click()
  await page.getByLabel('Our sentence').fill('Thick took 14 s.')
  await expect(page.getByText('Is it 14 s?')).toBeVisible()
  await expect(page.getByText(/The table has 6\.\d+\u202fs for thick/)).toBeVisible()
  await page.getByLabel('Our sentence').fill('Thick took 6.1 s.')
  await expect(page.getByText('Is it 14 s?')).toBeHidden()
  await expect(page.locator('mark.right').first()).toBeVisible()
})
