import { expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import type { Prediction } from '../lesson'
import { nearnessOf, predictionsByGroup, tallyOf } from '.'

const predict = (group: string, order: string[], late = false): Prediction => ({
  id: `${group}${order[0]}`,
  group,
  as: 'order',
  order,
  values: {},
  reason: '',
  late,
  measure: null,
  by: 'desk',
  at: '',
})

it('takes the last prediction before the readings, and keeps a change of mind beside it', () => {
  const plan = soakUpPlan()
  const said = [
    predict('g1', ['tissue', 'card']),
    predict('g1', ['kitchen-roll', 'card']),
    predict('g1', ['card', 'tissue'], true),
    predict('g2', ['kitchen-roll', 'tissue']),
  ]
  const [alder] = predictionsByGroup(plan, said)
  expect(alder!.stamped!.order[0]).toBe('kitchen-roll')
  expect(alder!.later.map(({ order }) => order[0])).toEqual(['card'])
  expect(tallyOf(plan, said).map(({ most, least }) => [most, least])).toEqual([
    [2, 0],
    [0, 1],
    [0, 0],
    [0, 1],
  ])
})

it('counts how near an order was in pairs, over what both put in an order', () => {
  expect(nearnessOf(['a', 'b', 'c'], ['b', 'a', 'c'])).toMatchObject({ right: 2, all: 3 })
  expect(nearnessOf(['a', 'b', 'c', 'd'], ['d', 'c', 'b', 'a'])).toMatchObject({ right: 0, all: 6 })
  expect(nearnessOf(['a', 'gone', 'b'], ['a', 'b'])).toMatchObject({ right: 1, all: 1 })
})
