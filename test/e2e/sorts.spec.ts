import { reading } from '../api/client'
import { choose, client, expect, expectAccessible, joinStation, lessonWith, openStop, saved, test, unfold } from './house'

const WORDS = ['left', 'right', 'straight on']

test('words without an order: chosen on Plan, rehearsed, told at a station, shown as shares, and never called first', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.kind = 'describe'
    plan.practice = 0
    plan.measures[0]!.name = 'which way it turns'
  })
  const { open, call } = client(baseURL)
  await openStop(page, lesson, 'plan')
  await unfold(page, 'How we measure')
  await choose(page.getByLabel('Pick an instrument'), 'words without an order')
  await page.getByLabel('Words, in any order').fill(WORDS.join(', '))
  await page.getByLabel('Words, in any order').press('Tab')
  await page.getByRole('button', { name: 'Rehearse' }).click()
  const rehearsal = page.getByRole('dialog', { name: 'Rehearsal' })
  await expect(rehearsal.getByText(/which word you think will come most often/)).toBeVisible()
  await page.keyboard.press('Escape')
  for (const [condition, word] of [
    ['kitchen roll', 'left'],
    ['tissue', 'right'],
    ['writing paper', 'left'],
    ['card', 'straight on'],
  ] as const)
    await choose(page.getByLabel(`Most often, we think: ${condition}`), word)
  await saved(page)
  await expectAccessible(page, 'plan of words without an order')
  await page.getByRole('button', { name: 'Rehearse' }).click()
  await expect(rehearsal.getByText(/classes like yours, if your guess is right, this comes out clear/)).toBeVisible()
  await page.keyboard.press('Escape')

  const { plan } = (await open(lesson.id)).lesson
  expect(plan.measures[0]!.method).toMatchObject({ way: 'sorts', words: WORDS })
  // Kitchen roll goes left nearly always, tissue right; the others anywhere. One place is left for the station.
  const rows = plan.groups.flatMap(({ id: group }, g) =>
    plan.conditions.flatMap(({ id: condition }, c) =>
      [1, 2, 3].map((repeat) => {
        const value = c < 2 && (g + repeat) % 6 > 0 ? c + 1 : 1 + ((g + c + repeat) % 3)
        return reading(plan, { group, condition, repeat, value, unit: 'sorts' as 'mm', entered: WORDS[value - 1]! })
      }),
    ),
  )
  const last = rows.at(-1)!
  expect((await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: rows.filter((row) => row !== last) })).status).toBe(
    200,
  )
  const station = await page.context().newPage()
  await joinStation(station, lesson.code, plan.groups.at(-1)!.name)
  await station.getByRole('radio', { name: 'straight on' }).check({ force: true })
  await station.getByRole('button', { name: 'Write it down' }).click()
  await expect.poll(async () => (await open(lesson.id)).record.readings.at(-1)).toMatchObject({ value: 3, unit: 'sorts' })
  await station.close()

  await openStop(page, lesson, 'results')
  await expect(page.getByText('Clear', { exact: true }).first()).toBeVisible()
  await expect(page.getByText(/Said most often: kitchen roll: “left”/)).toBeVisible()
  await expect(page.locator('.results-chart svg')).toContainText(/left \d+/)
  await expectAccessible(page, 'results of words without an order')
  await page.getByRole('tab', { name: 'Table' }).click()
  await expect(page.getByRole('columnheader', { name: 'Most often' })).toBeVisible()
  const board = await page.context().newPage()
  await board.goto(`/board/${lesson.id}?view=results`)
  const paper = await page.context().newPage()
  await paper.goto(`/print/${lesson.id}/report`)
  await expect(paper.getByRole('row', { name: /A kitchen roll “left”/ })).toBeVisible()
  await expect(paper.getByText(/average|came first|highest/)).toHaveCount(0)
})
