import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { emptyRecord, reading, recordOf, soakUpPlan } from '../../test/soakUp'
import { axisFor, histogram, resultsGraph } from '.'

describe('axisFor', () => {
  it('covers the values in at most nine steps of 1, 2 or 5', () => {
    expect(axisFor([14, 62], true)).toEqual({ from: 0, to: 70, step: 10 })
    expect(axisFor([0.12, 0.31], false)).toEqual({ from: 0.1, to: 0.35, step: 0.05 })
    fc.assert(
      fc.property(fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 30 }), (values) => {
        const axis = axisFor(values, true)
        const slack = axis.step * 1e-6
        expect(axis.from).toBeLessThanOrEqual(Math.min(0, ...values) + slack)
        expect(axis.to).toBeGreaterThanOrEqual(Math.max(0, ...values) - slack)
        expect((axis.to - axis.from) / axis.step).toBeLessThan(10.5)
        expect(axis.to).toBeGreaterThan(axis.from)
      }),
    )
  })
})

describe('resultsGraph', () => {
  it('ends its axis where the results end when a known value lies far off, on either side, and reaches to one that is near', () => {
    const record = recordOf({ 'kitchen-roll': [60, 62], card: [14, 15] }, 2)
    const withKnown = (known: number) => resultsGraph(measuredSo(soakUpPlan(), { known }), record)!
    expect(withKnown(150)).toMatchObject({ knownFar: undefined, axis: { from: 0, to: 160 } })
    expect(withKnown(5400)).toMatchObject({ known: 5400, knownFar: 'above', axis: { from: 0, to: 70 } })
    expect(withKnown(-900)).toMatchObject({ knownFar: 'below', axis: { from: 0, to: 70 } })
    expect(resultsGraph(measuredSo(soakUpPlan(), { known: 5400 }), emptyRecord)!.knownFar).toBeUndefined()
  })

  it('draws bars for kinds, with every reading as a dot and what was set aside beside them', () => {
    const { readings } = recordOf({ 'kitchen-roll': [60, 62], card: [14, 15] }, 2)
    const graph = resultsGraph(soakUpPlan(), {
      ...emptyRecord,
      readings: [
        ...readings,
        reading({ condition: 'card', value: 50, status: 'set-aside', reason: 'leaked' }),
        reading({ practice: true }),
      ],
    })!
    expect(graph.kind).toBe('bars')
    expect(graph.marks.map(({ letter, average }) => [letter, average])).toEqual([
      ['A', 61],
      ['B', undefined],
      ['C', undefined],
      ['D', 14.5],
    ])
    expect(graph.dots.filter(({ counted }) => counted)).toHaveLength(4)
    expect(graph.dots.filter(({ counted }) => !counted).map(({ value }) => value)).toEqual([50])
    expect(new Set(graph.dots.filter(({ condition }) => condition === 'kitchen-roll').map(({ x }) => x)).size).toBe(2)
  })

  it('draws points at their own numbers, whatever unit they were written in', () => {
    const conditions = ['20 cm', '0.4 m', '60'].map((label, place) => ({ id: `n${place}`, label, baseline: false, leftOut: false }))
    const graph = resultsGraph(soakUpPlan({ conditionsAs: 'numbers', conditions }), emptyRecord)!
    expect(graph.kind).toBe('points')
    expect(graph.marks.map(({ x }) => x)).toEqual([20, 40, 60])
  })
})

it('counts are heaped up on whole steps: nobody counted half of a thing', () => {
  const counts = [3, 4, 4, 4, 5, 5, 5, 5, 6, 6]
  expect(histogram(counts, 'count')!.map(({ from, count }) => [from, count])).toEqual([
    [3, 1],
    [4, 3],
    [5, 4],
    [6, 2],
  ])
  expect(histogram(counts, 'mm')!.map(({ from }) => from)).toContain(3.5)
})
