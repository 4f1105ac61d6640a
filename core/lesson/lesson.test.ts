import { describe, expect, it } from 'vitest'
import { counter, soakUpPlan } from '../../test/soakUp'
import {
  activeConditions,
  conditionName,
  conditionValue,
  emptyPlan,
  keptFactors,
  letterOf,
  newMaterial,
  splitIntoGroups,
  withLabel,
  type Plan,
} from '.'

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

it('a condition that is called otherwise takes its things along, also while its name is being typed', () => {
  const plan = soakUpPlan()
  const kitOf = (changed: Plan) => changed.materials.filter(({ condition }) => condition === 'card').map(({ name }) => name)
  const [before] = kitOf(plan)
  expect(before).toContain('card')
  const typed = ['', 'n', 'news', 'newspaper'].reduce((now, label) => withLabel(now, 'card', label), plan)
  expect(kitOf(typed)).toEqual([before!.replace('card', 'newspaper')])
  expect(Math.max(...withLabel(plan, 'card', 'x'.repeat(200)).materials.map(({ name }) => name.length))).toBe(200)
  // What belongs to other conditions keeps its name.
  const others = (one: Plan) => one.materials.filter(({ condition }) => condition !== 'card').map(({ name }) => name)
  expect(others(typed)).toEqual(others(plan))
})

it('a class begins with seven groups and never with a child alone; tools come back, what is used up does not', () => {
  const groups = [0, 1, 2, 3, 5, 9, 14, 26].map((children) => emptyPlan('Puffin', children, counter('g')).groups.length)
  expect(groups).toEqual([7, 1, 1, 1, 2, 4, 7, 7])
  const used = ['metre ruler', 'scissors', 'washing-up tub', 'string', 'sugar cube'].map((name) => newMaterial('m', name).use)
  expect(used).toEqual(['again', 'again', 'again', 'up', 'up'])
})
