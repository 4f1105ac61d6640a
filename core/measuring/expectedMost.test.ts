import { describe, expect, it } from 'vitest'
import { counter, soakUpPlan } from '../../test/soakUp'
import { testOf, withMethod, withSeries } from '../test'
import { asksForMost, expectedMost, outlookOf, withExpectedMost } from '.'

describe('which is expected to give most', () => {
  const guessed = withMethod(soakUpPlan(), (method) => ({
    ...method,
    expected: {},
    expectedFrom: 'guess',
    expectedLow: 10,
    expectedHigh: 40,
  }))

  it('is said with one choice, and taken back with another', () => {
    expect([asksForMost(guessed), expectedMost(guessed)]).toEqual([true, undefined])
    const said = withMethod(guessed, withExpectedMost(guessed, 'tissue'))
    expect(expectedMost(said)).toBe('tissue')
    expect(testOf(said).method!.expected).toEqual({ 'kitchen-roll': 10, 'writing-paper': 20, card: 30, tissue: 40 })
    expect(outlookOf(said)!.clear).toBeCloseTo(outlookOf(guessed)!.clear, 6)
    expect(expectedMost(withMethod(said, withExpectedMost(said, undefined)))).toBeUndefined()
  })

  it('is the same in each series, and no question for numbers or without a guess', () => {
    const twice = withSeries(guessed, 'width', ['narrow', 'wide'], counter('s'))
    const said = withMethod(twice, withExpectedMost(twice, 'card'))
    expect(Object.values(testOf(said).method!.expected).filter((value) => value === 40)).toHaveLength(2)
    expect(asksForMost({ ...guessed, conditionsAs: 'numbers' })).toBe(false)
    expect(asksForMost(withMethod(guessed, (method) => ({ ...method, expectedHigh: null })))).toBe(false)
  })
})
