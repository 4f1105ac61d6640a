import { drawNormal, seededRandom } from '../chance'
import { describe, expect, it } from 'vitest'
import golden from '../../test/golden/cells.json'
import { expectClose } from '../../test/close'
import { cellsOf, fitCells, weighEvidence, weighOrder, type Observation } from '.'
import { changesFromNothing } from './fromNothing'
import { signTest } from './neighbours'

const options = { resolution: 1, totalSd: 1, differenceThatMatters: 0 }

describe.each(golden)('golden: $name', ({ input, expected }) => {
  const fit = fitCells(input.readings, input.resolution)
  const evidence = weighEvidence(input.readings, { ...options, resolution: input.resolution })

  it('each cell’s mean counts once', () => {
    expect(fit.cells).toHaveLength(expected.cells)
    expect(fit.df).toBe(expected.df)
    expectClose(fit.model!.residualVariance, expected.meanSquare)
    expectClose(fit.model!.F, expected.F)
    expectClose(fit.model!.p, expected.p)
    expectClose(fit.wobble!, expected.wobble)
  })

  it('the order comes from the evened averages', () => {
    for (const [condition, wanted] of Object.entries(expected.evenedAverages)) expectClose(fit.evened.get(condition)!, wanted!)
    expect(evidence.order).toEqual(expected.order)
    expect(evidence.lead!.more).toBe(expected.order[0])
  })

  it.each(expected.pairs)('contrasts $a with $b', (wanted) => {
    const pair = fit.model!.pairs.find((one) => one.a === wanted.a && one.b === wanted.b)!
    for (const key of ['difference', 'standardError', 'low', 'high', 'low90', 'high90', 'p', 'pHolm'] as const)
      expectClose(pair[key], wanted[key])
  })
})

const inGroups = (rows: Record<string, Record<string, number[]>>): Observation[] =>
  Object.entries(rows).flatMap(([group, cells]) =>
    Object.entries(cells).flatMap(([condition, values]) => values.map((value) => ({ group, condition, value }))),
  )

describe('what keeps a grade from being clear', () => {
  const far = { x: [10, 11, 10], y: [30, 31, 29] }
  it('one group with the same thing each time: leaning at most, whichever way', () => {
    const alone = inGroups({ A: far })
    expect(weighEvidence(alone, options).grade).toBe('clear')
    expect(weighEvidence(alone, { ...options, sameThing: true })).toMatchObject({ grade: 'leaning', limits: ['same-thing'] })
    const alike = inGroups({ A: { x: [10, 10, 10, 10], y: [10, 10, 10, 10] } })
    expect(weighEvidence(alike, options).grade).toBe('same')
    expect(weighEvidence(alike, { ...options, sameThing: true }).grade).toBe('cannot-tell')
  })

  it('places that are still empty: leaning at most, the pairs too', () => {
    const evidence = weighEvidence(inGroups({ A: far, B: far, C: far }), { ...options, unfinished: true })
    expect(evidence).toMatchObject({ grade: 'leaning', limits: ['unfinished', 'few-groups'] })
    expect(evidence.pairs.map(({ grade }) => grade)).toEqual(['leaning'])
    expect(evidence.lead!.grade).toBe('leaning')
  })

  it('no freedom, and too little of it', () => {
    const chained = inGroups({ A: { x: [10, 11], y: [30, 31] }, B: { y: [30, 29], z: [50, 51] } })
    expect(weighEvidence(chained, options)).toMatchObject({ grade: 'leaning', limits: ['no-freedom'], model: undefined })
    expect(weighEvidence(inGroups({ A: far, B: far, C: far }), options).limits).toEqual(['few-groups'])
    expect(weighEvidence(inGroups({ A: far, B: far, C: far, D: far }), options).limits).toEqual([])
  })

  it('one reading each in one group: leaning only from so many wobbles on, and no wobble is known', () => {
    const two = (difference: number) => weighEvidence(inGroups({ A: { x: [0], y: [difference] } }), options)
    expect(two(1.82)).toMatchObject({ grade: 'leaning', limits: ['one-reading-each'], wobble: undefined })
    expect(two(1.8).grade).toBe('cannot-tell')
  })
})

describe('the lead', () => {
  it('is nobody’s where two come out level, and ties are no agreement', () => {
    const evidence = weighEvidence(inGroups({ A: { x: [5], y: [5], z: [1] }, B: { x: [6], y: [6], z: [2] } }), options)
    expect(evidence).toMatchObject({ tied: ['x', 'y'], lead: undefined })
    expect(evidence.agreement).toEqual({ agreeing: [], level: ['A', 'B'], asked: ['A', 'B'] })
  })

  it('leaves out what no chain of groups connects', () => {
    const apart = inGroups({ A: { x: [1], y: [5] }, B: { x: [2], y: [6] }, C: { w: [90] } })
    expect(weighEvidence(apart, options).order).toEqual(['y', 'x'])
  })
})

it('each change is tested against nothing: both lost five grams, and that is clear', () => {
  const lost = inGroups({ A: { ice: [-5], slush: [-5] }, B: { ice: [-6], slush: [-5] }, C: { ice: [-5], slush: [-6] } })
  expect(weighEvidence(lost, options).grade).not.toBe('clear')
  const changes = changesFromNothing(lost, options, [])
  expect(changes.map(({ grade }) => grade)).toEqual(['clear', 'clear'])
  // By hand: mean -16/3, variance floored at 2/12 against 1/3: t = -16/3 / sqrt(1/3/3) = -16 with 2 degrees of freedom.
  expectClose(changes[0]!.p, 0.00388350981)
  expect(changesFromNothing(lost, options, ['unfinished']).map(({ grade }) => grade)).toEqual(['leaning', 'leaning'])
  const none = inGroups({ A: { ice: [0.2] }, B: { ice: [-0.2] }, C: { ice: [0.1] }, D: { ice: [-0.1] } })
  expect(changesFromNothing(none, options, [])[0]!.grade).toBe('same')
})

it('neighbours in an order are told apart by the exact sign test, as far as so many orders can', () => {
  expect(signTest(6, 0)).toBe(0.03125)
  expect(signTest(3, 3)).toBe(1)
  const rows = (count: number) =>
    Array.from({ length: count }, (_, place) =>
      ['a', 'b', 'c'].map((condition, at) => ({ group: `g${place}`, condition, repeat: 1, value: at + 1 })),
    ).flat()
  const five = weighOrder(rows(5), 'places')
  expect(five).toMatchObject({ grade: 'clear', lead: { grade: 'leaning' }, reach: { blocks: 5, needed: 7 } })
  expect(weighOrder(rows(7), 'places').lead!.grade).toBe('clear')
})

it('groups with a thing of their own: what pooled readings called clear comes out clear in one class of twenty', () => {
  const random = seededRandom(3)
  const classes = 600
  let clear = 0
  for (let one = 0; one < classes; one += 1) {
    const observations = ['A', 'B', 'C', 'D', 'E', 'F', 'G'].flatMap((group) =>
      ['w', 'x', 'y', 'z'].flatMap((condition) => {
        const thing = 50 + drawNormal(random)
        return [1, 2, 3].map(() => ({ group, condition, value: thing + drawNormal(random) }))
      }),
    )
    if (weighEvidence(observations, { ...options, resolution: 0.1 }).grade === 'clear') clear += 1
  }
  expect(clear / classes).toBeLessThan(0.06 + 2 * Math.sqrt((0.06 * 0.94) / classes))
})

it('the examples in the comments', () => {
  expect(
    cellsOf([
      { group: 'A', condition: 'x', value: 7 },
      { group: 'A', condition: 'x', value: 9 },
    ]),
  ).toEqual([{ group: 'A', condition: 'x', value: 8, count: 2 }])
})
