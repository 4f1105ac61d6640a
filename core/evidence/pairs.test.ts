import { expect, it } from 'vitest'
import golden from '../../test/golden/pairs.json'
import { cellsOf, fitCells } from './cells'
import { weighEvidence } from './grade'
import { pairsOf } from './pairs'
import { seriesTests } from './seriesTests'
import { slopesTest } from './slopes'
import { wholeOf } from './whole'

it.each(golden.pairs)(
  '$name: each pair against its own variance, and the whole',
  ({ input: { readings, resolution }, expected }) => {
    const fit = fitCells(readings, resolution)
    const pairs = pairsOf(fit, readings, resolution)
    const whole = wholeOf(fit, pairs)!
    for (const key of ['F', 'df1', 'df2', 'epsilon', 'p'] as const) {
      const value = key === 'df1' || key === 'df2' ? whole[key] / whole.epsilon : whole[key]
      expect(value, key).toSatisfy(
        (found: number) => Math.abs(found - expected[key]) <= 1e-6 * Math.max(1e-3, Math.abs(expected[key])),
      )
    }
    expect(pairs.map(({ a, b }) => [a, b].sort().join())).toEqual(expected.pairs.map(({ a, b }) => [a, b].sort().join()))
    for (const [place, wanted] of expected.pairs.entries()) {
      const pair = pairs[place]!
      const turned = pair.a === wanted.a ? 1 : -1
      expect([pair.how, pair.df], `${wanted.a}, ${wanted.b}`).toEqual([wanted.how, wanted.df])
      for (const key of ['difference', 'standardError', 'p', 'pHolm'] as const) {
        const found = key === 'difference' ? turned * pair[key] : pair[key]
        expect(Math.abs(found - wanted[key]), `${key} of ${wanted.a}, ${wanted.b}`).toBeLessThanOrEqual(
          1e-6 * Math.max(1e-3, Math.abs(wanted[key])),
        )
      }
    }
    const { grade } = weighEvidence(readings, { resolution, totalSd: 1, differenceThatMatters: 0 })
    expect(expected.whole.split('-or-')).toContain(grade)
  },
)

const within = (found: number, wanted: number) => Math.abs(found - wanted) <= 1e-6 * Math.max(1e-3, Math.abs(wanted))

it.each(golden.slopes)('$name: each group’s own line', ({ input: { readings, levels, resolution }, expected }) => {
  const { cells, perCell } = fitCells(readings, resolution)
  const numbers = new Map(Object.entries(levels))
  const points = cells.map(({ group, condition, value }) => ({ group, x: numbers.get(condition)!, y: value }))
  const found = slopesTest(points, resolution ** 2 / (12 * perCell))!
  for (const key of ['groups', 'slope', 'standardError', 'df', 'p'] as const)
    expect(found[key], key).toSatisfy((one: number) => within(one, expected[key]))
})

it.each(golden.series)('$name: series against what groups differ in them', ({ input: { readings, numbers }, expected }) => {
  const [series, levels] = [[...new Set(readings.map((one) => one.series))], [...new Set(readings.map((one) => one.condition))]]
  const keyed = readings.map(({ group, condition, value, series: own }) => ({ group, value, condition: `${own}/${condition}` }))
  const cells = cellsOf(keyed).map(({ group, condition, value }) => {
    const [own, level] = condition.split('/')
    return { group, value, series: series.indexOf(own!), level: levels.indexOf(level!) }
  })
  const values = numbers && levels.map((level) => (numbers as Record<string, number>)[level]!)
  const { apart, differently } = seriesTests(cells, series.length, values)!
  for (const key of ['F', 'df1', 'df2', 'p'] as const)
    expect(apart[key], key).toSatisfy((one: number) => within(one, expected.differ[key]))
  const { same } = expected
  const wanted = 't' in same ? { F: same.t! ** 2, df1: 1, df2: same.df!, p: same.p } : (same as typeof expected.differ)
  for (const key of ['F', 'df1', 'df2', 'p'] as const)
    expect(differently![key], `same: ${key}`).toSatisfy((one: number) => within(one, wanted[key]))
})
