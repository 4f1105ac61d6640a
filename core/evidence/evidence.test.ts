import { describe, expect, it } from 'vitest'
import golden from '../../test/golden/evidence.json'
import { fitGroupsAndConditions, summarise, weighEvidence, type Observation } from '.'
import { fAbove, incompleteBeta, rangeByLuck, tLeaving, drawNormal, seededRandom } from '../chance'
import { expectClose } from '../../test/close'
import { holm } from './model'

describe.each(golden)('golden: $name', ({ input, expected }) => {
  const model = fitGroupsAndConditions(input.readings, input.resolution)!

  it.each(Object.entries(expected.means))('averages %s', (condition, wanted) => {
    const values = input.readings.filter((reading) => reading.condition === condition).map((reading) => reading.value)
    expectClose(summarise(values)!.mean, wanted!)
    expectClose(summarise(values)!.median, Object.entries(expected.medians).find(([name]) => name === condition)![1]!)
  })

  it('tests condition after group', () => {
    expect(model.df).toBe(expected.df)
    expectClose(model.residualVariance, expected.residualVariance)
    expectClose(model.F, expected.F)
    expectClose(model.p, expected.p)
  })

  it.each(expected.pairs)('contrasts $a with $b', (wanted) => {
    const pair = model.pairs.find((one) => one.a === wanted.a && one.b === wanted.b)!
    for (const key of ['difference', 'standardError', 'low', 'high', 'p', 'pHolm'] as const) expectClose(pair[key], wanted[key])
  })
})

const options = { resolution: 1, totalSd: 1, differenceThatMatters: 0 }
const observations = (values: Record<string, number[]>, group = 'g'): Observation[] =>
  Object.entries(values).flatMap(([condition, own]) => own.map((value) => ({ group, condition, value })))

describe('weighEvidence', () => {
  it('grades a gap that stands out, one that does not, and none worth a mark', () => {
    expect(weighEvidence(observations({ x: [10, 11, 10], y: [30, 31, 29] }), options).grade).toBe('clear')
    expect(weighEvidence(observations({ x: [10, 30, 20], y: [22, 31, 12] }), options).grade).toBe('cannot-tell')
    const mitten = golden.find((one) => one.name.startsWith('no real effect'))!
    expect(weighEvidence(mitten.input.readings, { ...options, resolution: 1 }).grade).toBe('same')
  })

  it('is never clear with one reading each, however wide the gap', () => {
    const wide = weighEvidence(observations({ x: [1], y: [1000] }), options)
    expect(wide).toMatchObject({ grade: 'leaning', limits: ['one-reading-each'] })
    expect(weighEvidence(observations({ x: [1], y: [2] }), options).grade).toBe('cannot-tell')
  })

  it('leaves out a pair that no chain of groups connects', () => {
    const apart = [...observations({ x: [1, 2], y: [5, 6] }, 'one'), ...observations({ z: [9, 9], w: [3, 4] }, 'two')]
    expect(fitGroupsAndConditions(apart, 1)!.pairs.map(({ a, b }) => a + b)).toEqual(['xy', 'zw'])
  })

  it('counts groups that put the winner first', () => {
    const groups = [
      ...observations({ x: [9], y: [5] }, 'one'),
      ...observations({ x: [9], y: [5] }, 'two'),
      ...observations({ x: [4], y: [5] }, 'three'),
    ]
    expect(weighEvidence(groups, options).agreement).toEqual({
      agreeing: ['one', 'two'],
      level: [],
      asked: ['one', 'two', 'three'],
    })
  })

  it('says clear of nothing in at most one class in twenty, and finds a real effect nearly always', () => {
    const random = seededRandom(7)
    const classWith = (step: number): Observation[] =>
      ['a', 'b', 'c', 'd', 'e', 'f'].flatMap((group) =>
        [0, 1, 2].flatMap((condition) =>
          [1, 2, 3].map(() => ({
            group,
            condition: String(condition),
            value: Math.round(50 + step * condition + 5 * drawNormal(random)),
          })),
        ),
      )
    const share = (step: number, classes: number) =>
      Array.from({ length: classes }, () => weighEvidence(classWith(step), options).grade).filter((grade) => grade === 'clear')
        .length / classes
    expect(share(0, 2000)).toBeLessThan(0.05 + 2 * Math.sqrt((0.05 * 0.95) / 2000))
    expect(share(10, 500)).toBeGreaterThan(0.95)
  })
})

it('has the worked examples of the distributions', () => {
  expectClose(incompleteBeta(2, 3, 0.5), 0.6875)
  expectClose(tLeaving(0.05, 10), 2.228138852)
  expect(fAbove(0, 2, 10)).toBe(1)
  expect([2, 3, 4, 5, 6, 7, 8].map((conditions) => Number(rangeByLuck(conditions).toFixed(2)))).toEqual([
    1.81, 2.42, 2.78, 3.04, 3.23, 3.39, 3.52,
  ])
  expect(holm([0.01, 0.04, 0.03])).toEqual([0.03, 0.06, 0.06])
})
