import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkFairness, type Setting } from '.'

const wide: Setting[] = [
  { condition: 'A', values: { paper: 'kitchen roll', width: '3 cm' } },
  { condition: 'B', values: { paper: 'tissue', width: '2 cm' } },
  { condition: 'C', values: { paper: 'card', width: '2 cm' } },
]

describe('checkFairness', () => {
  it('names the factor that differs, its pairs and what is fair among themselves', () => {
    const check = checkFairness(wide, ['paper', 'width'], 'paper')
    expect(check.fair).toBe(false)
    expect(check.pairs).toEqual([
      { a: 'A', b: 'B', status: 'unfair', differing: ['width'] },
      { a: 'A', b: 'C', status: 'unfair', differing: ['width'] },
      { a: 'B', b: 'C', status: 'fair', differing: [] },
    ])
    expect(check.differing).toEqual([
      {
        factor: 'width',
        shares: [
          { value: '2 cm', conditions: ['B', 'C'] },
          { value: '3 cm', conditions: ['A'] },
        ],
      },
    ])
    expect(check.fairAmong).toEqual([['B', 'C']])
  })

  it('finds the other questions that a muddled set-up answers fairly', () => {
    const muddle: Setting[] = [
      { condition: 'A', values: { paper: 'card', width: '2' } },
      { condition: 'B', values: { paper: 'card', width: '4' } },
      { condition: 'C', values: { paper: 'tissue', width: '4' } },
    ]
    expect(checkFairness(muddle, ['paper', 'width'], 'paper').otherQuestions).toEqual([{ factor: 'width', conditions: ['A', 'B'] }])
  })

  it('calls a pair with an unknown value unknown, not fair, and a pair without a change the same', () => {
    const settings: Setting[] = [
      { condition: 'A', values: { paper: 'card', width: null } },
      { condition: 'B', values: { paper: 'tissue', width: '2' } },
      { condition: 'C', values: { paper: 'tissue', width: '2' } },
    ]
    const check = checkFairness(settings, ['paper', 'width'], 'paper')
    expect(check.pairs.map((pair) => pair.status)).toEqual(['unknown', 'unknown', 'same'])
    expect(check.unknown).toEqual([{ factor: 'width', conditions: ['A'] }])
  })

  const setUps = fc.array(
    fc.record({
      paper: fc.constantFrom('x', 'y', null),
      width: fc.constantFrom('1', '2', null),
      lid: fc.constantFrom('on', 'off'),
    }),
    { minLength: 2, maxLength: 8 },
  )
  const settingsFrom = (rows: Record<string, string | null>[]) => rows.map((values, place) => ({ condition: `c${place}`, values }))
  const statusOf = (settings: Setting[], factors: string[]) =>
    new Map(checkFairness(settings, factors, 'paper').pairs.map((pair) => [[pair.a, pair.b].sort().join(), pair.status]))

  it('does not care for order, names of values or a factor that is the same for all', () => {
    fc.assert(
      fc.property(setUps, (rows) => {
        const before = statusOf(settingsFrom(rows), ['paper', 'width', 'lid'])
        const turned = statusOf(settingsFrom(rows).reverse(), ['lid', 'width', 'paper'])
        const renamed = rows.map((row) => ({ ...row, width: row.width && `width ${row.width}`, room: 'same' }))
        expect(turned).toEqual(before)
        expect(statusOf(settingsFrom(renamed), ['paper', 'width', 'lid', 'room'])).toEqual(before)
      }),
    )
  })
})
