import { expect, it } from 'vitest'
import golden from '../../test/golden/pairs.json'
import { fitCells } from './cells'
import { weighEvidence } from './grade'
import { pairsOf } from './pairs'
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
