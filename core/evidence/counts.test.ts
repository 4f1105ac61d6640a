import { describe, expect, it } from 'vitest'
import { reading } from '../../test/soakUp'
import { inWords, sprouts } from '../../test/ready'
import { resultsGraph } from '../charts'
import { EMPTY_RECORD, type Plan } from '../lesson'
import { countedFor, countsOf, withKind, testOf, withMethod, type ResolvedMethod } from '../test'
import { resultsTable, trialResults } from '../record'
import { sureSentences } from '../wording'
import { evidenceOf } from '.'

/** Jars of water with and without a lid, read on five school days. */
function jars(change: Partial<ResolvedMethod> = {}, places: string[] = []): Plan {
  const plan: Plan = {
    ...sprouts,
    repeats: 1,
    conditions: sprouts.conditions.slice(0, 2),
    watch: { ...sprouts.watch, unit: 'day', times: [0, 1, 4], places },
  }
  return withMethod(plan, (method) => ({ ...method, unit: 'mL', resolution: 1, ...change }))
}

const read = (plan: Plan, condition: number, group: string, values: number[], place = '') =>
  values.map((value, at) =>
    reading({
      id: `${group}${condition}${at}${place}`,
      group,
      condition: plan.conditions[condition]!.id,
      moment: `t${plan.watch.times[at]}${place}`,
      value,
      unit: testOf(plan).unit,
    }),
  )

describe('what counts of a trial that is read several times', () => {
  const groups = sprouts.groups.map(({ id }) => id)
  it.each([
    ['last', 240],
    ['change', -60],
    ['loss', 60],
    ['of-100', 20],
    ['rate', -15],
    ['total', 820],
    ['average', 820 / 3],
    ['highest', 300],
  ] as const)('%s of 300, 280 and 240 mL is %d', (counts, wanted) => {
    const plan = jars({ counts })
    expect(trialResults(plan, read(plan, 0, groups[0]!, [300, 280, 240]))[0]!.value).toBeCloseTo(wanted, 9)
  })

  it('is the time until it was there, whichever way it goes; what was not reached is longer than anybody watched', () => {
    const plan = jars({ counts: 'until', countsUntil: 250 })
    const rows = [
      ...read(plan, 0, groups[0]!, [300, 240, 100]),
      ...read(plan, 0, groups[1]!, [300, 290, 280]),
      ...read(plan, 1, groups[0]!, [200, 260, 240]),
      // Not read at the last time: nobody knows yet.
      ...read(plan, 1, groups[1]!, [300, 290]),
    ]
    expect(trialResults(plan, rows).map(({ value }) => value)).toEqual([1, Infinity, 1])
    expect(trialResults(jars({ counts: 'until' }), rows)).toEqual([])
  })

  it('is the difference of two places, or one of them, never their average', () => {
    const both = (plan: Plan) => [
      ...read(plan, 0, groups[0]!, [20, 22, 27], 'p1'),
      ...read(plan, 0, groups[0]!, [20, 21, 23], 'p2'),
    ]
    const value = (countsPlace: number | null) => {
      const plan = jars({ counts: 'last', countsPlace }, ['top', 'bottom'])
      return trialResults(plan, both(plan))[0]!.value
    }
    expect([value(null), value(0), value(1)]).toEqual([4, 27, 23])
  })

  it('offers what the kind of test can have, and says others beside it', () => {
    expect(countedFor(withKind(inWords, 'over-time'))).toEqual(['until', 'last'])
    expect(countsOf(withMethod(sprouts, (method) => ({ ...method, counts: 'until' })))).toBe('until')
    const plan = jars({ counts: 'loss' })
    const row = resultsTable(plan, read(plan, 0, groups[0]!, [300, 280, 240]))[0]!
    expect([row.results, row.workedOut]).toEqual([[60], { rate: -15, 'of-100': 20 }])
  })

  it('weighs a loss against none at all: all lost the same, and that they lost is clear', () => {
    const plan = { ...jars({ counts: 'loss' }), gapsStay: true }
    const readings = groups.flatMap((group, place) =>
      [0, 1].flatMap((condition) => read(plan, condition, group, [300 + place, 280, 240 + ((place + condition) % 3)])),
    )
    const { fromNothing } = evidenceOf(plan, { ...EMPTY_RECORD, readings })!
    expect(fromNothing.map(({ grade }) => grade)).toEqual(['clear', 'clear'])
    expect(evidenceOf({ ...plan, ...jars({ counts: 'last' }) }, { ...EMPTY_RECORD, readings })!.fromNothing).toEqual([])
  })

  it('words over times: the quickest wins by its time, though another one is wetter at the end', () => {
    const words = withMethod(withKind(inWords, 'over-time'), (method) => ({ ...method, countsUntil: 2 }))
    const plan: Plan = {
      ...words,
      repeats: 1,
      gapsStay: true,
      watch: { ...words.watch, unit: 'min', times: [0, 1, 2, 5], places: [] },
    }
    // The first is damp at once and stays so; the second is damp late, and wet at the end; the third never.
    const said = [
      [1, 2, 2, 2],
      [1, 1, 2, 3],
      [1, 1, 1, 1],
    ]
    const readings = plan.groups.flatMap(({ id }) => said.flatMap((values, condition) => read(plan, condition, id, values)))
    const evidence = evidenceOf(plan, { ...EMPTY_RECORD, readings })!
    expect(evidence.order).toEqual([2, 1, 0].map((place) => plan.conditions[place]!.id))
    expect(evidence.summaries.map(({ evened }) => evened)).toEqual([1, 2, Infinity])
    expect(evidence.grade).toBe('clear')
    const graph = resultsGraph(plan, { ...EMPTY_RECORD, readings })!
    expect(graph.kind).toBe('stages')
    expect(graph.bands.slice(0, 3).map(({ stages }) => stages)).toEqual([
      [
        { word: 0, from: 0, to: 1 },
        { word: 1, from: 1, to: 5 },
      ],
      [
        { word: 0, from: 0, to: 2 },
        { word: 1, from: 2, to: 5 },
      ],
      [{ word: 0, from: 0, to: 5 }],
    ])
  })

  it('lays a known value beside: difference, share, how sure, and what a saving adds up to', () => {
    const plan = {
      ...jars({ counts: 'total', known: 100, knownName: 'the usual amount', knownWeekly: 5 }),
      gapsStay: true,
      children: 30,
    }
    const readings = groups.flatMap((group, place) => [
      ...read(plan, 0, group, [20, 20 + (place % 2), 20]),
      ...read(plan, 1, group, [33, 33, 34]),
    ])
    const record = { ...EMPTY_RECORD, readings }
    const { known } = evidenceOf(plan, record)!
    expect(known!.rows.map(({ grade, mean }) => [grade, Math.round(mean)])).toEqual([
      ['clear', -40],
      ['same', 0],
    ])
    const [saved] = known!.savings
    expect([saved!.child, saved!.class].map(Math.round)).toEqual([198, 5936])
    // What is the same as far as anybody can show saves nothing that could be added up.
    expect(known!.savings).toHaveLength(1)
    expect(resultsTable(plan, readings)[1]!.workedOut).toMatchObject({ 'from-known': 0, 'of-known': 100 })
    expect(sureSentences(plan, evidenceOf(plan, record)!).join(' ')).toContain('and our 30 children 5.94\u202fL.')
    expect(resultsGraph({ ...plan, graph: 'bars' }, record)!.known).toBe(100)
  })

  it('weighs containers empty once: only what is in them counts, and one that was not weighed has no result', () => {
    const grams = {
      unit: 'g',
      counts: 'of-100',
      weighsEmpty: true,
      empties: { [`${groups[0]}/${sprouts.conditions[0]!.id}`]: 100 },
    } as const
    const plan = jars(grams)
    const rows = [...read(plan, 0, groups[0]!, [300, 280, 240]), ...read(plan, 0, groups[1]!, [300, 280, 240])]
    expect(trialResults(plan, rows).map(({ value }) => value)).toEqual([30])
    // A loss is the same with its container.
    expect(trialResults(jars({ ...grams, counts: 'loss' }), rows).map(({ value }) => value)).toEqual([60, 60])
    expect(trialResults(jars({ ...grams, counts: 'last' }), rows).map(({ value }) => value)).toEqual([140])
  })
})
