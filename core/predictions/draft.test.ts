import { describe, expect, it } from 'vitest'
import { counter, reading, recordOf, soakUpPlan, twoMeasures } from '../../test/soakUp'
import { evidenceOf } from '../evidence'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { EMPTY_RECORD, FIRST_WATCH, WHOLE_CLASS, type Plan, type Prediction } from '../lesson'
import { cameOutWords, foresight, nearnessWords, predictionOrderWords, predictionPrompt, predictionSentence } from '../wording'
import type { Report } from '../reports'
import { stationState } from '../station'
import { classReport, groupReport } from '../wording/reports'
import { eachMeasure, measureSaid, planFrom } from '../test'
import {
  allHands,
  cameOut,
  changeTally,
  countedHands,
  emptyDraft,
  finished,
  handsOf,
  heldAgainst,
  isWhole,
  lineAxes,
  linePoints,
  nearnessOfPrediction,
  onSketch,
  resultsForPredictions,
  stampedOrders,
  tallyOf,
} from '.'

const ready = (id: string, change: Partial<Plan> = {}): Plan => ({
  ...planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, counter('g')),
  ...change,
})
const bounce = ready('bounce-back', { predictAs: 'line' })
const ice = ready('ice-in-a-bag')
const predicted = (change: Partial<Prediction>): Prediction => ({
  id: 'p',
  group: 'g1',
  as: 'order',
  order: [],
  values: {},
  reason: '',
  late: false,
  measure: null,
  by: 'desk',
  at: '',
  ...change,
})

describe('a prediction in the making', () => {
  it('is whole when everything that its kind asks for was said', () => {
    const plan = soakUpPlan()
    const all = plan.conditions.map(({ id }) => id)
    const whole = (change: Partial<Prediction>) => isWhole(plan, { as: 'order', order: [], values: {}, ...change })
    expect([whole({ order: all.slice(1) }), whole({ order: all })]).toEqual([false, true])
    expect([whole({ as: 'most-least', order: ['card', ''] }), whole({ as: 'most-least', order: ['card', 'tissue'] })]).toEqual([
      false,
      true,
    ])
    expect(whole({ as: 'most-least', order: ['card', 'card'] })).toBe(false)
    expect(whole({ as: 'number', values: { card: 3 } })).toBe(false)
    expect(whole({ as: 'number', values: Object.fromEntries(all.map((id) => [id, 0])) })).toBe(true)
    expect(isWhole({ ...plan, conditions: [] }, emptyDraft(plan))).toBe(true)
    expect(isWhole({ ...plan, conditions: [] }, { as: 'number', order: [], values: {} })).toBe(false)
  })

  it('a line has a point at every number or time, and is stamped as an order too', () => {
    expect(linePoints(bounce).map(({ x }) => x)).toEqual([80, 90, 100, 110, 120])
    const drawn = finished(bounce, { as: 'line', order: [], values: { n80: 10, n90: 30, n100: 20, n110: 30, n120: 40 } })
    expect(drawn.order).toEqual(['n120', 'n90', 'n110', 'n100', 'n80'])
    const jars = ready('sprout-watch', { watch: { ...FIRST_WATCH, unit: 'day', times: [2, 0], places: ['left', 'right'] } })
    expect(linePoints(jars)).toEqual([
      { id: 't0p1', x: 0 },
      { id: 't2p1', x: 2 },
    ])
  })

  it('is sketched on the instrument’s marks, on paper that does not give the answer away', () => {
    const { up } = lineAxes(bounce)
    expect(up.from).toBe(0)
    expect(up.to).toBeGreaterThan(66 * 1.3)
    expect([onSketch(bounce, 33.4), onSketch(bounce, -5), onSketch(bounce, 1e6)]).toEqual([33, 0, up.to])
  })
})

describe('the tally', () => {
  it('counts hands for the whole class, the last count before the readings', () => {
    const plan = soakUpPlan()
    const first = predicted({ group: WHOLE_CLASS, ...countedHands(plan, { tissue: 9, card: 11 }) })
    expect(allHands(first.values)).toBe(20)
    expect(first.order.slice(0, 2)).toEqual(['card', 'tissue'])
    const late = { ...first, late: true, values: { card: 26 } }
    expect(handsOf(plan, [first, late])!.values.card).toBe(11)
    expect(tallyOf(plan, [first, late]).map(({ hands, most }) => [hands, most])).toEqual([
      [0, 0],
      [9, 0],
      [0, 0],
      [11, 0],
    ])
    expect(tallyOf(plan, []).every(({ hands }) => hands === undefined)).toBe(true)
  })

  it('counts who says more, the same, less', () => {
    const say = (group: string, way: number) => predicted({ group, as: 'change', values: { ice: way } })
    expect(changeTally(ice, [say('g1', 1), say('g2', -1), say('g3', -1), say('g4', 0)])).toEqual([
      { condition: 'ice', up: 1, same: 1, down: 2 },
    ])
  })
})

it('more, less or the same is said beside the baseline, and the same is what nobody would talk about', () => {
  const plan = soakUpPlan({ predictAs: 'change' })
  const record = recordOf({ 'kitchen-roll': [60, 62], tissue: [61, 62], 'writing-paper': [30, 31], card: [70, 74] }, 1)
  const found = resultsForPredictions(plan, record)!
  const values = { tissue: 0, 'writing-paper': -1, card: -1 }
  expect(nearnessOfPrediction({ as: 'change', order: [], values }, found)).toMatchObject({ right: 2, all: 3, of: 'changes' })
  expect(isWhole(plan, { as: 'change', order: [], values })).toBe(true)
  expect(predictionOrderWords(plan, { as: 'change', order: [], values })).toBe(
    'tissue the same, writing paper less and card less beside kitchen roll',
  )
  expect(predictionPrompt(plan)).toContain('beside kitchen roll: more, less or the same?')
  expect(foresight(plan, evidenceOf(plan, record)!, [[]])).toBe('')
  const other = { ...plan, conditions: plan.conditions.map((one) => ({ ...one, baseline: one.id === 'card' })) }
  expect(heldAgainst(other)).toBe('card')
})

describe('how near it was', () => {
  const order = ['a', 'b', 'c']
  const results = { a: 30, b: 20, c: 10 }

  it.each([
    [
      { as: 'order', order: ['a', 'c', 'b'], values: {} },
      { right: 2, all: 3, of: 'pairs', away: undefined },
    ],
    [
      { as: 'most-least', order: ['a', 'b'], values: {} },
      { right: 1, all: 2, of: 'ends' },
    ],
    [
      { as: 'number', order: ['a', 'b', 'c'], values: { a: 33, b: 20, c: 4 } },
      { right: 3, all: 3, of: 'pairs', away: 3 },
    ],
    [
      { as: 'change', order: [], values: { a: 1, b: -1, c: 1 } },
      { right: 2, all: 3, of: 'changes', away: undefined },
    ],
    [
      { as: 'line', order: [], values: { gone: 4 } },
      { right: 0, all: 0, away: undefined },
    ],
  ] as const)('%#', (prediction, wanted) => {
    const { as, values } = prediction
    expect(
      nearnessOfPrediction(
        { as, order: [...prediction.order], values },
        { order, values: results, changes: {}, bySize: false, same: 0.5, exactly: false },
      ),
    ).toMatchObject(wanted)
  })

  it('is said kindly, with the distance where a number was predicted', () => {
    expect(nearnessWords(soakUpPlan(), { right: 0, all: 2, of: 'ends', away: undefined })).toBe(
      'It came out differently: a surprise worth talking about.',
    )
    expect(nearnessWords(soakUpPlan(), { right: 3, all: 3, of: 'pairs', away: 4.2 })).toBe(
      'All 3 pairs came out as they said. On average 4.2\u202fmm away.',
    )
    expect(nearnessWords(soakUpPlan(), { right: 0, all: 0, of: 'pairs', away: undefined })).toBe('')
  })

  it('is laid beside results as soon as every condition has one, and beside times where they are watched', () => {
    const [first, ...others] = soakUpPlan().conditions.map(({ id }) => reading({ condition: id }))
    expect(resultsForPredictions(soakUpPlan(), { ...EMPTY_RECORD, readings: others })).toBeUndefined()
    expect(resultsForPredictions(soakUpPlan(), { ...EMPTY_RECORD, readings: [first!, ...others] })!.order).toHaveLength(4)
    const sprouts = ready('sprout-watch')
    const rows = sprouts.conditions.flatMap(({ id }) =>
      ['t0', 't2'].map((moment, day) => reading({ condition: id, moment, value: 10 * day })),
    )
    expect(resultsForPredictions(sprouts, { ...EMPTY_RECORD, readings: rows })!.values).toMatchObject({ t0: 0, t2: 10, sill: 10 })
  })
})

it('asks and repeats what was said in the frame of the class', () => {
  expect(predictionPrompt(ice)).toBe('What do you think? The mass of the closed bag: more, less or the same?')
  expect(predictionPrompt({ ...bounce, frame: 'if-then' })).toBe(
    'If we change the height it falls from, then how will the line go? Draw it.',
  )
  const less = { as: 'change', order: [], values: { ice: -1 }, reason: 'it leaks' } as const
  expect(predictionOrderWords(ice, { ...less, order: [] })).toBe('a bag of ice less')
  expect(predictionSentence({ ...ice, frame: 'if-then' }, { ...less, order: [] })).toBe(
    'If we change melting, then it will be: a bag of ice less because it leaks.',
  )
  expect(predictionOrderWords(soakUpPlan(), { as: 'most-least', order: ['card', 'tissue'], values: {} })).toBe(
    'card highest, tissue lowest',
  )
})

it('each thing that is measured has predictions of its own, at the station one after the other and in both reports', () => {
  const plan = twoMeasures()
  const [first, second] = eachMeasure(plan) as [Plan, Plan]
  const { id: group } = plan.groups[0]!
  const wish = { doing: 'testing' as const, skipped: { prediction: false, practice: true } }
  const shown = (predictions: Prediction[]) => stationState(plan, { ...EMPTY_RECORD, predictions }, group, '', wish)!.step
  const [up, down] = [
    ['kitchen-roll', 'tissue', 'writing-paper', 'card'],
    ['card', 'writing-paper', 'tissue', 'kitchen-roll'],
  ]
  const ofFirst = predicted({ group, order: up, measure: measureSaid(first) })
  const ofSecond = predicted({ id: 'q', group, order: down, measure: measureSaid(second) })
  expect(shown([])).toEqual({ show: 'predict', measure: first.measured })
  expect(shown([ofFirst])).toEqual({ show: 'predict', measure: second.measured })
  expect(shown([ofFirst, ofSecond]).show).toBe('trial')
  const both = { ...EMPTY_RECORD, predictions: [ofFirst, ofSecond] }
  const hands = predicted({ id: 'h', group: WHOLE_CLASS, as: 'hands', values: { card: 9 }, measure: measureSaid(second) })
  expect([first, second].map((view) => handsOf(view, [hands])?.values.card)).toEqual([undefined, 9])
  expect([first, second].map((view) => stampedOrders(view, both.predictions))).toEqual([[up], [down]])
  const rows = (report: Report) => report.blocks.flatMap((block) => (block.kind === 'facts' ? block.rows : []))
  expect(rows(classReport(plan, both)).filter(({ term }) => term.startsWith('We predicted'))).toHaveLength(2)
  expect(rows(groupReport(plan, both, group)).find(({ term }) => term.startsWith('Predicted: '))!.text).toContain('card')
})

it('a group that found otherwise than the class reads both', () => {
  const plan = soakUpPlan()
  const [first, ...others] = plan.groups
  const of = (group: string, values: number[]) =>
    plan.conditions.flatMap(({ id }, place) =>
      [1, 2, 3].map((repeat) => reading({ group, condition: id, repeat, value: values[place]! + repeat })),
    )
  const readings = [of(first!.id, [10, 20, 30, 40]), ...others.map(({ id }) => of(id, [60, 45, 30, 15]))].flat()
  const order = ['card', 'writing-paper', 'tissue', 'kitchen-roll']
  const came = cameOut(plan, { ...EMPTY_RECORD, readings }, { group: first!.id, as: 'order', order, values: {} })
  expect([came.own, came.class]).toMatchObject([
    { right: 6, all: 6 },
    { right: 0, all: 6 },
  ])
  expect(cameOutWords(plan, came)).toEqual([
    'With its own things: all 6 pairs came out as they said.',
    'With the class’s: it came out the other way round: a surprise worth talking about.',
  ])
})
