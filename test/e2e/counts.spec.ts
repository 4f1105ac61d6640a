import type { Page } from '@playwright/test'
import { measuredSo } from '../measuredSo'
import type { Plan } from '../../core/lesson'
import { reading } from '../api/client'
import { choose, client, expect, joinStation, lessonWith, openStop, saved, test, unfold } from './house'
import type { ResolvedMethod } from '../../core/test'

/** Readings of every group and condition at every time. */
function rowsOf(
  plan: Plan,
  valueAt: (condition: number, time: number, place: string) => [value: number, unit: 'words' | 'mL' | 'degC'],
  places = [''],
) {
  return plan.groups.flatMap(({ id: group }) =>
    plan.conditions.flatMap(({ id: condition }, at) =>
      plan.watch.times.flatMap((time) =>
        places.map((place) => {
          const [value, unit] = valueAt(at, time, place)
          return reading(plan, { group, condition, moment: `t${time}${place}`, value, unit, entered: String(value) })
        }),
      ),
    ),
  )
}

const measuring = (plan: Plan, name: string, change: Partial<ResolvedMethod>) => {
  const { measures } = measuredSo(plan, change)
  plan.measures = measures.map((card) => (card.id === plan.measured ? { ...card, name } : card))
}
const watching = (plan: Plan, unit: 'min' | 'day', times: number[], places: string[] = []) => {
  Object.assign(plan, { kind: 'over-time', repeats: 1, practice: 0, gapsStay: true, watch: { ...plan.watch, unit, times, places } })
}
const table = async (page: Page) => {
  await page.getByRole('tab', { name: 'Table' }).click()
  return page.getByRole('region', { name: 'Table' }).getByRole('table').first()
}

test('words over times: the quickest wins by its time to the word that the class chose, though another is wetter at the end', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    watching(plan, 'min', [0, 1, 2, 5, 10])
    measuring(plan, 'how wet the top end is', { way: 'words', words: ['dry', 'damp', 'wet'] })
  })
  const said = [
    [1, 2, 2, 2, 2],
    [1, 1, 2, 3, 3],
    [1, 1, 1, 2, 2],
    [1, 1, 1, 1, 1],
  ]
  const readings = rowsOf(lesson.plan, (condition, time) => [said[condition]![lesson.plan.watch.times.indexOf(time)]!, 'words'])
  await client(baseURL).call('POST', `/api/lessons/${lesson.id}/readings`, { readings })
  await openStop(page, lesson, 'plan')
  await unfold(page, 'What counts')
  await choose(page.getByRole('combobox', { name: 'Until it is' }), 'damp')
  await choose(page.getByRole('combobox', { name: 'What is best' }), /^the quickest/)
  await expect(page.getByText('first “damp” at 10\u202fmin: 10\u202fmin').first()).toBeVisible()
  await page.goto(`/lesson/${lesson.id}/results`)
  await expect(
    page.getByRole('img', {
      name: /Words over time\. A kitchen roll: dry from 0.min, damp from 1.min; B tissue: dry from 0.min, damp from 2.min, wet from 5.min/,
    }),
  ).toBeVisible()
  const results = await table(page)
  await expect(results.getByRole('row', { name: /kitchen roll/ })).toContainText('1\u202fmin')
  await expect(results.getByRole('row', { name: /card/ })).toContainText('not within 10\u202fmin (7 times)')
  await page.goto(`/lesson/${lesson.id}/agree`)
  await expect(
    page.getByText(/Kitchen roll came first with 1\u202fmin, card last with not within 10\u202fmin/).first(),
  ).toBeVisible()
  await page.getByRole('textbox', { name: 'Our conclusion' }).fill('Tissue was the quickest.')
  await expect(page.getByText('It names tissue; the averages put kitchen roll first.')).toBeVisible()
})

test('what was used on each of five days, start less left at a station, adds up beside a known amount; days without school are said', async ({
  page,
  browser,
  baseURL,
}) => {
  const lesson = await lessonWith(
    baseURL,
    (plan) => {
      watching(plan, 'day', [0, 1, 2, 3, 4])
      plan.gapsStay = false
      plan.conditions = plan.conditions.slice(0, 2)
      plan.conditions[0]!.label = 'slow drip'
      plan.conditions[1]!.label = 'closed tap'
      measuring(plan, 'how much water runs away', { tool: 'jug', unit: 'mL', resolution: 5 })
    },
    'sprout-watch',
  )
  await openStop(page, lesson, 'plan')
  await unfold(page, 'What counts')
  await choose(page.getByRole('combobox', { name: 'Each number is' }), /^start less what is left/)
  await expect(page.getByText(/^start .* left .*: used/)).toBeVisible()
  await choose(page.getByRole('combobox', { name: 'What counts of each trial' }), /^the total of all times/)
  await page.getByLabel('A value known from elsewhere').fill('250')
  await page.getByLabel('A value known from elsewhere').press('Enter')
  await page.getByLabel('What it is').fill('the usual amount')
  await page.getByLabel('How often a week one child does it').fill('7')
  await page.getByLabel('How often a week one child does it').press('Enter')

  const tablet = await browser.newPage({ viewport: { width: 390, height: 844 }, baseURL })
  await joinStation(tablet, lesson.code, 'Alder')
  await tablet.getByRole('button', { name: 'Later' }).click()
  await tablet.getByLabel('At the start').fill('300')
  await tablet.getByLabel('What is left').fill('240')
  await expect(tablet.getByText('That makes 60\u202fmL.')).toBeVisible()
  await tablet.getByRole('button', { name: 'Write it down' }).click()
  await expect(tablet.getByText('1 of 10 done')).toBeVisible()
  await expect(tablet.getByRole('status')).toHaveText('sent')
  await tablet.close()

  const { call, open } = client(baseURL)
  await expect
    .poll(async () => (await open(lesson.id)).record.readings.map(({ value, entered }) => [value, entered]))
    .toEqual([[60, '300 to 240']])
  const plan = (await open(lesson.id)).lesson.plan
  const rows = rowsOf(plan, (condition, time) => [condition === 0 ? 60 + 5 * (time % 2) : 10, 'mL'])
  await call('POST', `/api/lessons/${lesson.id}/readings`, { readings: rows.slice(1) })
  await page.goto(`/lesson/${lesson.id}/results`)
  await expect(
    page.getByText(
      /Against 250\u202fmL \(the usual amount\): slow drip 60\.0\u202fmL more \(clear\) and closed tap 200\.0\u202fmL less \(clear\)/,
    ),
  ).toBeVisible()
  await expect(page.getByText(/closed tap saves one child 1\.4\u202fL a week, and our \d+ children/)).toBeVisible()
  const results = await table(page)
  await expect(results.getByRole('columnheader', { name: /total of all times, in mL/ })).toBeVisible()
  await expect(results.getByRole('row', { name: /slow drip/ })).toContainText('310.0\u202fmL')
  await page.goto(`/lesson/${lesson.id}/test`)
  const cell = page.getByRole('textbox', { name: /^Birch, A slow drip, repeat 1, day 0$/ })
  await cell.fill('15 + 30')
  await expect(page.getByText('15 + 30 makes 45\u202fmL')).toBeVisible()
  await cell.press('Escape')

  const { lesson: now } = await open(lesson.id)
  const dated = { plan: { ...now.plan, date: '2026-03-12' }, revision: now.revision }
  expect((await call('PUT', `/api/lessons/${lesson.id}/plan`, dated)).status).toBe(200)
  await page.goto(`/lesson/${lesson.id}/clock`)
  await expect(page.getByRole('listitem').filter({ hasText: 'Sat 14 Mar' })).toContainText(/outside the terms|no school/)
})

test('three jars in two places: the difference counts, on the graph and in the sentence, never the average of the places', async ({
  page,
  baseURL,
}) => {
  const lesson = await lessonWith(
    baseURL,
    (plan) => {
      watching(plan, 'min', [0, 10, 20], ['top', 'bottom'])
      plan.conditions = plan.conditions.slice(0, 3)
      for (const [at, label] of ['open jar', 'foil lid', 'felt lid'].entries()) plan.conditions[at]!.label = label
      measuring(plan, 'how warm the water is', { tool: 'thermometer', unit: 'degC', resolution: 0.5 })
    },
    'sprout-watch',
  )
  const warm = (condition: number, time: number, place: string) =>
    45 - time * (1 - condition * 0.2) - (place === 'p2' ? (condition * time) / 10 : 0)
  const readings = rowsOf(lesson.plan, (condition, time, place) => [warm(condition, time, place), 'degC'], ['p1', 'p2'])
  await client(baseURL).call('POST', `/api/lessons/${lesson.id}/readings`, { readings })
  await openStop(page, lesson, 'results')
  await expect(
    page.getByRole('img', { name: /^Lines over time\. Averages: A open jar: 0.min 0\.00.°C.* C felt lid: .* 20.min 4\.00.°C/ }),
  ).toBeVisible()
  await expect(page.getByText(/Against no change at all: open jar by 0\.00/)).toBeVisible()
  const results = await table(page)
  await expect(results.getByRole('columnheader', { name: 'Condition: last reading, top less bottom, in °C' })).toBeVisible()
  await expect(results.getByRole('row', { name: /felt lid/ })).toContainText('4.00')
  await page.goto(`/lesson/${lesson.id}/agree`)
  await expect(
    page.getByText(/for felt lid the top was warmer by 4\.00\u202f°C, and for open jar top and bottom were level/i).first(),
  ).toBeVisible()
})

test('readings whose containers nobody weighed empty have no result, and one press leads to where they are weighed', async ({
  page,
  baseURL,
}) => {
  const { call, newLesson } = client(baseURL)
  const { lesson } = await newLesson('thirsty-ground')
  const [alder] = lesson.plan.groups
  const readings = lesson.plan.conditions.map(({ id: condition }) =>
    reading(lesson.plan, { group: alder!.id, condition, value: 95, unit: 'g', entered: '95' }),
  )
  expect((await call('POST', `/api/lessons/${lesson.id}/readings`, { readings })).status).toBe(200)
  await openStop(page, lesson, 'results')
  await expect(page.getByRole('heading', { name: `${readings.length} containers still to weigh empty` })).toBeVisible()
  await page.getByRole('button', { name: 'Weigh the empty containers' }).click()
  const weights = page.getByRole('group', { name: 'Empty containers' }).getByRole('textbox', { name: /^Alder/ })
  await expect(weights.first()).toBeInViewport()
  for (const weight of await weights.all()) await weight.fill('20')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('heading', { name: /still to weigh empty/ })).toHaveCount(0)
  await saved(page)
  await openStop(page, lesson, 'results')
  await expect(page.locator('.results-chart svg')).toContainText('75')
})
