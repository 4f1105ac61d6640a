import { describe, expect, it } from 'vitest'
import { counter, soakUpPlan } from '../../test/soakUp'
import { activeConditions, conditionName, conditionValue, keptFactors, letterOf, splitIntoGroups, type Plan } from '.'

const numbers = (...labels: string[]): Plan =>
  soakUpPlan({
    conditionsAs: 'numbers',
    conditions: labels.map((label, place) => ({ id: `n${place}`, label, baseline: false, leftOut: false })),
  })

describe('conditions', () => {
  it('keep their letter when another is left out, and go on behind Z', () => {
    const plan = soakUpPlan()
    plan.conditions[0]!.leftOut = true
    expect(activeConditions(plan).map(({ id }) => letterOf(plan, id))).toEqual(['B', 'C', 'D'])
    const many = numbers(...Array.from({ length: 28 }, (_, place) => String(place)))
    expect([letterOf(many, 'n25'), letterOf(many, 'n26'), letterOf(many, 'n27')]).toEqual(['Z', 'A2', 'B2'])
    expect(letterOf(many, 'gone')).toBe('?')
  })

  it('that are numbers come in one unit, and what cannot be read stays as it was written', () => {
    const plan = numbers('40', '0.6 m', 'far')
    expect(plan.conditions.map((one) => conditionValue(plan, one))).toEqual([40, 60, undefined])
    expect(plan.conditions.map((one) => conditionName(plan, one))).toEqual(['40\u202fcm', '60\u202fcm', 'far'])
    expect(conditionValue(soakUpPlan(), { id: 'x', label: '40', baseline: false, leftOut: false })).toBeUndefined()
  })
})

it('every factor but the changed one is kept the same, once something is changed', () => {
  expect(keptFactors(soakUpPlan()).map(({ id }) => id)).toEqual(['width', 'depth', 'water', 'time'])
  expect(keptFactors(soakUpPlan({ changed: null }))).toEqual([])
})

it('a class splits into groups that differ by one child at most', () => {
  expect(splitIntoGroups(26, 7, counter('g')).map(({ seats }) => seats)).toEqual([4, 4, 4, 4, 4, 3, 3])
  expect(splitIntoGroups(31, 11, counter('g'))).toHaveLength(10)
  expect(splitIntoGroups(5, 0, counter('g'))).toEqual([])
})
