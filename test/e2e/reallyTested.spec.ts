import type { Plan } from '../../core/lesson'
import { newMeasure } from '../../core/test'
import { reading } from '../api/client'
import { choose, client, enterNumber, expect, goToStop, joinStation, lessonWith, openStop, saved, test, unfold } from './house'

/** Writes a value into every place of the lesson that has one. */
async function write(
  baseURL: string | undefined,
  lesson: { id: string; plan: Plan },
  of: (at: { group: number; condition: number; repeat: number; moment: string }) => number | undefined,
  moments = [''],
): Promise<void> {
  const { plan } = lesson
  const unit = plan.measures.find(({ id }) => id === plan.measured)!.method
  const readings = plan.groups.flatMap(({ id: group }, g) =>
    plan.conditions.flatMap(({ id: condition }, c) =>
      Array.from({ length: plan.repeats }, (_, place) => place + 1).flatMap((repeat) =>
        moments.flatMap((moment) => {
          const value = of({ group: g, condition: c, repeat, moment })
          return value === undefined
            ? []
            : [
                reading(plan, {
                  group,
                  condition,
                  repeat,
                  moment,
                  value,
                  entered: String(value),
                  unit: 'unit' in unit ? unit.unit : 'count',
                }),
              ]
        }),
      ),
    ),
  )
  expect((await client(baseURL).call('POST', `/api/lessons/${lesson.id}/readings`, { readings })).status).toBe(200)
}

const kinds = (...labels: string[]) =>
  labels.map((label) => ({ id: label.replaceAll(' ', '-'), label, baseline: false, leftOut: false }))

test('a pair of bulbs that the whole class watches is about these two, and more bulbs are the advice', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.conditions = kinds('clear bulb', 'frosted bulb')
    plan.things = 'same'
  })
  await openStop(page, lesson, 'plan')
  await page
    .getByRole('radiogroup', { name: 'What each trial takes' })
    .getByLabel(/^one for the class/)
    .check()
  await expect(page.getByText(/^The kit counts one of each for the class\./)).toBeVisible()
  await saved(page)
  await write(baseURL, lesson, ({ group, condition, repeat }) => 60 - 20 * condition + ((group + repeat) % 3))
  await goToStop(page, 'results')
  await expect(page.getByText(/^These things differ in our readings\. Whether others of their kind would/).first()).toBeVisible()
  await page.getByRole('tab', { name: 'How sure' }).click()
  await expect(page.getByText(/^A fresh one in each trial/)).toBeVisible()
})

test('a sponge dry, wet and dry again: each step is a result, is predicted and stands in the report', async ({ page, baseURL }) => {
  const moments = ['dry', 'wet', 'dry again'].map((name, place) => ({ id: `n${place + 1}`, name, atHome: false }))
  const lesson = await lessonWith(baseURL, (plan) => {
    const card = newMeasure('weight', 'how heavy the sponge is')
    Object.assign(plan, { kind: 'over-time', repeats: 1, things: 'same', gapsStay: true, conditions: kinds('sponge') })
    Object.assign(plan, { measures: [{ ...card, method: { ...card.method, unit: 'g', resolution: 1 } }], measured: 'weight' })
    Object.assign(plan.watch, { named: moments, times: [0, 1, 2] })
  })
  await openStop(page, lesson, 'predict')
  await choose(page.getByLabel('They predict'), 'more, less or the same')
  await expect(page.getByText('How heavy the sponge is: each time more, less or the same as before?')).toBeVisible()
  await page.getByRole('button', { name: 'Take it down' }).first().click()
  await page.getByRole('radiogroup', { name: 'wet', exact: true }).getByLabel('more').check()
  await page.getByRole('radiogroup', { name: 'dry again' }).getByLabel('the same').check()
  await write(baseURL, lesson, ({ group, moment }) => 12 + group + (moment === 'n2' ? 30 + (group % 3) : 0), ['n1', 'n2', 'n3'])
  await goToStop(page, 'results')
  await expect(page.getByText('What happened from moment to moment made a difference').first()).toBeVisible()
  await page.getByRole('tab', { name: 'How sure' }).click()
  await expect(page.getByText(/^From “dry” to “wet” it got heavier by 30\.9.g \(clear\)\.$/)).toBeVisible()
  await expect(
    page.getByText('From “dry” to “dry again” it stayed the same, as far as our instrument can show.').last(),
  ).toBeVisible()
  await page.goto(`/print/${lesson.id}/report`)
  await expect(page.getByText(/From “wet” to “dry again” it got lighter by 30\.9.g \(clear\)\./)).toBeVisible()
})

test('three rooms, one of them warmer at the floor: the sign is said, or only the size counts', async ({ page, baseURL }) => {
  const APART = [-1.4, 0.8, 0.1]
  const lesson = await lessonWith(baseURL, (plan) => {
    const card = newMeasure('warmth', 'how warm the air is')
    Object.assign(plan, {
      kind: 'over-time',
      repeats: 1,
      things: 'same',
      gapsStay: true,
      conditions: kinds('shed', 'hall', 'porch'),
    })
    Object.assign(plan, { measures: [{ ...card, method: { ...card.method, unit: 'degC', resolution: 0.1 } }], measured: 'warmth' })
    Object.assign(plan.watch, { named: [], times: [0], places: ['ceiling', 'floor'] })
  })
  await write(
    baseURL,
    lesson,
    ({ group, condition, moment }) =>
      Number((20 + (group % 3) / 10 + (moment === 't0p1' ? APART[condition]! + ((group % 2) - 0.5) / 10 : 0)).toFixed(1)),
    ['t0p1', 't0p2'],
  )
  await openStop(page, lesson, 'agree')
  await expect(page.getByText(/for shed the floor was warmer by 1\.3/).first()).toBeVisible()
  await goToStop(page, 'plan')
  await unfold(page, 'What counts')
  await page.getByRole('checkbox', { name: 'Only the size counts' }).check()
  await saved(page)
  await goToStop(page, 'results')
  await expect(page.getByText(/found the biggest difference with shed/).first()).toBeVisible()
})

test('one of two measures is named as the main question before anything is read, and the other is a hint', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => (plan.alsoMeasured = ['time']), 'bounce-back')
  await openStop(page, lesson, 'plan')
  const main = page.getByRole('radiogroup', { name: 'Main question' })
  await main.getByLabel('how high it bounces back').check()
  await expect(page.getByText(/^It stands by itself\./)).toBeVisible()
  await saved(page)
  await write(baseURL, lesson, ({ group, condition, repeat }) => 40 + 10 * condition + ((group + repeat) % 3))
  const times = lesson.plan.groups.flatMap(({ id: group }, g) =>
    lesson.plan.conditions.flatMap(({ id: condition }, c) =>
      [1, 2, 3].map((repeat) => {
        const value = Number((0.9 + 0.1 * c + ((g + repeat) % 3) / 100).toFixed(2))
        return reading(lesson.plan, { group, condition, repeat, moment: '@time', unit: 's', value, entered: String(value) })
      }),
    ),
  )
  expect((await client(baseURL).call('POST', `/api/lessons/${lesson.id}/readings`, { readings: times })).status).toBe(200)
  await expect(main.getByLabel('all count alike')).toBeDisabled()
  await goToStop(page, 'results')
  await expect(
    page.getByText('There is a gap. It was looked at besides the main question: a hint of what to test next.').first(),
  ).toBeVisible()
})

test('where three of four were read once nobody leans, and the cheapest way out is said in minutes', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => (plan.gapsStay = true))
  await write(baseURL, lesson, ({ group, condition, repeat }) =>
    condition === 0 ? 60 + ((group + repeat) % 3) : group === 0 && repeat === 1 ? 50 - 10 * condition : undefined,
  )
  await openStop(page, lesson, 'results')
  await expect(page.getByText(/3 of the 4 were read only once: nobody has seen how much they wobble\./i).first()).toBeVisible()
  await page.getByRole('tab', { name: 'How sure' }).click()
  await expect(page.getByText(/^3 of them were read only once\. Read each of those twice more: about \d+ minutes\./)).toBeVisible()
})

test('a trial that ended without a number is told at the station or taken down at the desk, done again, and counted in table and report', async ({
  page,
  baseURL,
  browser,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => (plan.practice = 0))
  const station = await (await browser.newContext()).newPage()
  await station.goto(baseURL!)
  await joinStation(station, lesson.code, 'Alder')
  await station.getByRole('button', { name: 'Later' }).click()
  await expect(station.getByText('0 of 12 done')).toBeVisible()
  await station.getByRole('button', { name: 'something went wrong' }).click()
  await station.getByRole('button', { name: 'it fell over' }).click()
  await enterNumber(station, '61')
  await expect(station.getByText('1 of 12 done')).toBeVisible()

  await openStop(page, lesson, 'test')
  await unfold(page, 'Trials without a number')
  await expect(page.getByText(/^Alder, .*, repeat 1: it fell over/)).toBeVisible()
  await choose(page.getByRole('combobox', { name: 'Whose trial' }), 'Birch')
  await page.getByLabel('What happened').fill('it burst')
  await page.getByLabel('What happened').press('Enter')
  await expect(page.getByText(/^Birch, A kitchen roll, repeat 1: it burst/)).toBeVisible()
  // What broke needs somebody's hand: it is told until the trial has its number.
  await station.getByRole('button', { name: 'something went wrong' }).click()
  await station.getByRole('button', { name: 'it broke' }).click()
  await expect(page.getByText(/^Alder: something broke at .* Bring another/)).toBeVisible()
  await enterNumber(station, '60')
  await expect(page.getByText(/something broke/)).toHaveCount(0)
  await goToStop(page, 'results')
  await page.getByRole('tab', { name: 'Table' }).click()
  await expect(page.getByText(/^3 trials ended without a number: /)).toBeVisible()
  await page.goto(`/print/${lesson.id}/report`)
  await expect(page.getByText(/^3 trials ended without a number: /)).toBeVisible()
  await station.context().close()
})
