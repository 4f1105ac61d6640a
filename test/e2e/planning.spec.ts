import { fitOf } from '../../core/clock'
import { newRemark } from '../../core/lesson'
import type { ResolvedMethod } from '../../core/test'
import { choose, client, expect, lessonWith, openStop, saved, test, unfold } from './house'

const stopwatch: Partial<ResolvedMethod> = {
  tool: 'stopwatch',
  unit: 's',
  resolution: 0.01,
  readingWobble: 0,
  timingWobble: 0.15,
  trialWobble: 0.02,
  expectedLow: 0.9,
  expectedHigh: 1,
}

test('an unfair plan is mended with nothing but the buttons that are offered', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.factors[1]!.exceptions = { card: '3 cm' }
    plan.factors[3]!.how = ''
    plan.repeats = 1
    plan.clock.minutes = 60
    plan.measures[0]!.method.trialWobble = 14
    plan.materials[3] = { ...plan.materials[3]!, stock: '2', pack: '10' }
    plan.wonder.noticed = [newRemark('a', 'it must be thirsty')]
  })
  await openStop(page, lesson, 'plan')
  const look = page.getByRole('complementary')
  const pressing = look.getByRole('listitem').filter({ has: page.getByRole('img', { name: /Wrong|Worth a look/ }) })
  await expect(pressing.first()).toBeVisible()
  for (let pressed = 0; pressed < 25 && (await pressing.count()) > 0; pressed += 1) {
    const before = await look.innerText()
    await pressing.first().getByRole('button').first().click()
    await expect.poll(() => look.innerText()).not.toBe(before)
  }
  await expect(pressing).toHaveCount(0)
  await expect(page.getByText('All 6 pairs are fair.')).toBeVisible()
  await saved(page)
  const { plan } = (await client(baseURL).open(lesson.id)).lesson
  expect(plan.factors[1]!.exceptions).toEqual({})
  expect(plan.repeats).toBeGreaterThan(1)
  expect(fitOf(plan).spare).toBeGreaterThanOrEqual(0)
})

test('the adviser offers what would let the class see it, with its cost, and does it with one click', async ({ page, baseURL }) => {
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.conditionsAs = 'numbers'
    plan.conditions = ['20', '30', '40', '50'].map((label, place) => ({ id: `n${place}`, label, baseline: false, leftOut: false }))
    Object.assign(plan.measures[0]!.method, stopwatch)
    plan.materials = []
  })
  await openStop(page, lesson, 'plan')
  const ways = page.getByRole('list', { name: 'What would do it' })
  await expect(ways.getByRole('listitem')).toHaveText([
    /^Run them side by side and see who is first ?clear in 99 in 100, 21 minutes shorter/,
    /^Bigger steps: 20, 40, 60 and 80 cm ?clear in 94 in 100, no more time/,
    /^Time 2 at once ?clear in 93 in 100, 16 minutes longer/,
    /^Do 11 repeats ?clear in 92 in 100, 56 minutes longer/,
  ])
  await ways.getByRole('button', { name: 'Time 2 at once' }).click()
  await expect(ways).toBeHidden()
  await expect(page.getByText('As planned it comes out clear in 93 in 100 classes like yours.')).toBeVisible()
  await unfold(page, 'How we measure')
  await expect(page.getByRole('textbox', { name: 'Timed at once (ten swings)' })).toHaveValue('2')

  await choose(page.getByRole('combobox', { name: 'Pick an instrument' }), /^thermometer/)
  await expect(page.getByLabel('Measured with')).toHaveValue('thermometer')
  await expect(page.getByText('Say the lowest and the highest result you expect')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Measured with')).toHaveValue('stopwatch')
})

test('what sounds like a guess under Noticed is asked about, and can be moved or kept', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'wonder')
  const add = page.getByRole('textbox', { name: 'Add to Noticed' })
  for (const text of ['it climbs because it is thirsty', 'the edge is wavy', 'that is a pipe']) {
    await add.fill(text)
    await page.keyboard.press('Enter')
  }
  await expect(page.getByText('guess?', { exact: true })).toHaveCount(2)
  await expect(page.getByText('“it climbs because it is thirsty” says “because” and “it is thirsty”.')).toBeVisible()
  await page.getByRole('button', { name: 'Move to Maybe' }).first().click()
  await expect(page.getByRole('region', { name: 'Maybe' }).getByRole('textbox', { name: /thirsty/ })).toBeVisible()
  await page.getByRole('button', { name: 'It was noticed' }).click()
  await expect(page.getByText('guess?', { exact: true })).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Noticed' }).getByRole('textbox', { name: /pipe/ })).toBeVisible()
})

test('the class’s own words stand on board and paper, and frame its prediction', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  await openStop(page, lesson, 'plan')
  await unfold(page, 'Words of the class')
  await choose(page.getByRole('combobox', { name: 'The variables are called' }), 'independent, dependent, control variables')
  await choose(page.getByRole('combobox', { name: 'A prediction says' }), 'If … then … because …')
  await saved(page)
  await page.goto(`/board/${lesson.id}`)
  await expect(page.getByRole('heading', { name: 'Control variables' })).toBeVisible()
  await page.goto(`/print/${lesson.id}/report`)
  await expect(page.getByText('Independent variable', { exact: true })).toBeVisible()
  await page.goto(`/print/${lesson.id}/words`)
  await expect(page.getByText('Dependent variable', { exact: true })).toBeVisible()
  expect((await page.pdf({ format: 'Letter' })).toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1)
  await page.goto(`/station?code=${encodeURIComponent(lesson.code)}`)
  await page.getByRole('button', { name: 'Alder' }).click()
  await expect(
    page.getByRole('heading', {
      name: 'If we change the kind of paper, then what will come out? Put them in order, the highest first.',
    }),
  ).toBeVisible()
})

test('sheets, slips and word mat are on paper for every group, on A4 and Letter', async ({ page, baseURL }) => {
  const { lesson } = await client(baseURL).newLesson()
  const groups = lesson.plan.groups.length
  const wanted = { planning: groups, 'planning-blank': 1, slips: Math.ceil(groups / 4), words: 1, report: 1 }
  for (const [name, pages] of Object.entries(wanted)) {
    await page.goto(`/print/${lesson.id}/${name}`)
    await expect(page.getByRole('heading').first()).toBeVisible()
    for (const format of ['A4', 'Letter']) {
      const pdf = await page.pdf({ format })
      expect(pdf.toString('latin1').match(/\/Type \/Page\b/g), `${name} on ${format}`).toHaveLength(pages)
    }
  }
  await page.goto(`/print/${lesson.id}/planning`)
  await expect(page.getByText('the width of the strip: 2 cm, cut on the guillotine').first()).toBeVisible()
  await page.goto(`/print/${lesson.id}/planning-blank`)
  await expect(page.getByText('Keep the same')).toBeVisible()
  expect(await page.locator('main').innerText()).not.toContain('guillotine')
})

test('a plan full of nonsense stays editable, is explained and loses nothing', async ({ page, baseURL }) => {
  const labels = ['40 cm', '40 cm', '2 kg', '🧪🧻', '', 'x'.repeat(200), '-3', '1/0']
  const lesson = await lessonWith(baseURL, (plan) => {
    plan.conditionsAs = 'numbers'
    plan.conditions = Array.from({ length: 16 }, (_, place) => ({
      id: `n${place}`,
      label: labels[place % labels.length]!,
      baseline: place < 3,
      leftOut: false,
    }))
    plan.factors[1]!.name = `the width ${'very '.repeat(395)}wide`
    plan.factors[2]!.exceptions = { n1: '?', n2: '🧪', gone: 'x' }
    plan.measured = 'gone'
    plan.repeats = 6
    plan.title = '🧪'.repeat(60)
  })
  for (const stop of ['wonder', 'plan', 'kit', 'clock', 'predict', 'test', 'results', 'agree']) {
    await openStop(page, lesson, stop)
    await expect(page.getByRole('heading', { level: 2 }).first()).toBeAttached()
  }
  await openStop(page, lesson, 'plan')
  await page.getByRole('button', { name: /^\d+ more$/ }).click()
  await expect(page.getByRole('heading', { name: 'Nothing to measure yet' })).toBeVisible()
  await expect(page.getByRole('heading', { name: /are the same$/ }).first()).toBeVisible()
  await expect(page.getByRole('heading', { name: 'C is not a number' })).toBeVisible()
  await page.getByLabel('Condition C', { exact: true }).fill('55')
  await expect(page.getByRole('heading', { name: 'C is not a number' })).toBeHidden()
  await page.getByRole('button', { name: /^Kind of test/ }).click()
  await page.getByRole('menuitemradio', { name: /^Build and improve/ }).click()
  await saved(page)
  const { plan } = (await client(baseURL).open(lesson.id)).lesson
  expect(plan.conditions).toHaveLength(16)
  expect(plan.conditions[2]!.label).toBe('55')
  expect(plan.factors).toEqual(lesson.plan.factors)
})
