import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkScale, scaleLabels, squareScale } from '.'

const anyValues = fc.array(
  fc.double({ min: 0.01, max: 1e5, noNaN: true }).map((value) => Number(value.toPrecision(3))),
  { minLength: 1, maxLength: 12 },
)
const anyPaper = fc.record({ squares: fc.integer({ min: 10, max: 60 }), withZero: fc.boolean() })

describe('squareScale', () => {
  it('counts in 1, 2 or 5 on whole squares, and holds every value', () => {
    expect(squareScale([14, 58], 24, true)).toEqual({ from: 0, to: 60, step: 5, squaresPerStep: 2, squares: 24 })
    fc.assert(
      fc.property(anyValues, anyPaper, (values, { squares, withZero }) => {
        const scale = squareScale(values, squares, withZero)!
        const leading = Number((scale.step / 10 ** Math.floor(Math.log10(scale.step) + 1e-9)).toFixed(6))
        expect([1, 2, 5]).toContain(leading)
        expect(Number.isInteger(scale.squaresPerStep)).toBe(true)
        expect(scale.squares).toBeLessThanOrEqual(squares)
        expect(scale.from).toBeLessThanOrEqual(Math.min(...values) + scale.step * 1e-6)
        expect(scale.to).toBeGreaterThanOrEqual(Math.max(...values) - scale.step * 1e-6)
        if (withZero) expect(scale.from).toBe(0)
        expect(scaleLabels(scale).at(-1)).toEqual({ at: scale.squares, value: scale.to })
      }),
    )
  })

  it('never proposes what its own checker would find fault with', () => {
    fc.assert(
      fc.property(anyValues, anyPaper, (values, { squares, withZero }) => {
        expect(checkScale(squareScale(values, squares, withZero)!, values, squares, withZero)).toEqual([])
      }),
    )
  })
})

describe('checkScale', () => {
  const codes = (from: number, step: number, squaresPerStep: number) =>
    checkScale({ from, step, squaresPerStep }, [14, 58], 24, true).map(({ code }) => code)

  it('names what is wrong with a scale', () => {
    expect(codes(0, 5, 2)).toEqual([])
    expect(checkScale({ from: 0, step: 7, squaresPerStep: 2 }, [14, 58], 24, true)[0]).toEqual({
      code: 'hard-to-count',
      step: 7,
      better: 5,
    })
    expect(codes(0, 2, 2)).toContain('does-not-fit')
    expect(codes(10, 5, 2)).toContain('not-from-zero')
    expect(codes(0, 50, 2)).toEqual(['uses-little'])
    expect(codes(0, 10, 3)).toEqual(['between-squares'])
  })
})
