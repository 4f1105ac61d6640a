import { reading } from '../api/client'
import { client, expect, lessonWith, openStop, test } from './house'

test('a muddle of jars: Results, board and report name no winner, and offer the one jar to add', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    const [first] = plan.conditions
    const jars = { a: 'Jar 1', b: 'Jar 2', c: 'Jar 3' }
    plan.conditions = Object.entries(jars).map(([id, label]) => ({ ...first!, id, label, baseline: false }))
    plan.factors = [
      { id: 'size', name: 'the size', how: '', comesWith: false, exceptions: { a: 'small', b: 'small', c: 'large' } },
      { id: 'lid', name: 'the lid', how: 'none', comesWith: false, exceptions: { b: 'cork' } },
      { id: 'place', name: 'the place', how: 'sill', comesWith: false, exceptions: { c: 'shelf' } },
    ]
    Object.assign(plan, { changed: 'size', repeats: 1, gapsStay: true })
  })
  const readings = lesson.plan.groups.flatMap(({ id: group }) =>
    ['a', 'b', 'c'].map((condition, at) => reading(lesson.plan, { group, condition, value: 20 + 10 * at, entered: 'x' })),
  )
  await client(baseURL).call('POST', `/api/lessons/${lesson.id}/readings`, { readings })
  await openStop(page, lesson, 'results')
  const sure = page.getByRole('region', { name: 'How sure we can be' })
  await expect(sure).toContainText('Not a fair comparison')
  await expect(sure).toContainText(
    'It can answer how the lid changes how high water climbs in 60 s: Jar 1 and Jar 2 differ in nothing else.',
  )
  await expect(page.getByText(/came first|put Jar/)).toHaveCount(0)
  await sure.getByRole('button', { name: 'Add Jar 3 with the place: sill' }).click()
  await expect(sure.getByRole('button', { name: 'Add Jar 3 with the place: sill' })).toHaveCount(0)
  await page.goto(`/lesson/${lesson.id}/test`)
  await expect(page.getByText('Jar 3, the place: sill').first()).toBeVisible()
  await page.goto(`/lesson/${lesson.id}/agree`)
  await expect(page.getByText(/Our test cannot tell what the size does/).first()).toBeVisible()
  await page.goto(`/print/${lesson.id}/report`)
  await expect(page.getByText('the lid (none; but Jar 2: cork)')).toBeVisible()
})
