import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { planSchema } from '../../schemas/plan'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { FIRST_WATCH, KINDS, measuredCard, type Plan } from '../lesson'
import { kindOf, momentsOf, planFrom, predictionOf, predictionsFor, readTimes, withKind } from '.'

let last = 0
const ready = (id: string): Plan => planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, () => `g${(last += 1)}`)

describe('withKind', () => {
  it('keeps every card, gives an instrument that the kind can be read with, and stays a whole plan', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...KINDS), { minLength: 1, maxLength: 6 }), (kinds) => {
        const plan = kinds.reduce((before, kind) => withKind(before, kind), soakUpPlan())
        expect(plan.factors).toEqual(soakUpPlan().factors)
        expect(plan.conditions).toEqual(soakUpPlan().conditions)
        expect(kindOf(plan).ways).toContain(measuredCard(plan)!.method.way)
        expect(planSchema.validate(plan).error).toBeUndefined()
      }),
    )
  })

  it('gives a test over time its first times, and leaves those that are there', () => {
    expect(withKind(soakUpPlan(), 'over-time').watch.times).toEqual([0, 1, 2, 5])
    const own = soakUpPlan({ watch: { ...FIRST_WATCH, times: [0, 9] } })
    expect(withKind(own, 'over-time').watch.times).toEqual([0, 9])
  })
})

describe('momentsOf', () => {
  it('reads once, before and after, or at every time and place', () => {
    expect(momentsOf(soakUpPlan()).map(({ id }) => id)).toEqual([''])
    expect(momentsOf(ready('ice-in-a-bag')).map(({ id }) => id)).toEqual(['before', 'after'])
    const jars = { ...ready('sprout-watch'), watch: { ...FIRST_WATCH, times: [5, 0], places: ['top', 'bottom'] } }
    expect(momentsOf(jars).map(({ id }) => id)).toEqual(['t0p1', 't0p2', 't5p1', 't5p2'])
    expect(momentsOf({ ...jars, watch: { ...jars.watch, places: ['top'] } }).map(({ id }) => id)).toEqual(['t0', 't5'])
  })
})

it('a prediction is of a kind that the plan allows', () => {
  expect(predictionsFor(soakUpPlan())).toEqual(['order', 'most-least', 'number', 'change'])
  expect(predictionsFor(ready('bounce-back'))).toContain('line')
  expect(predictionsFor(ready('ice-in-a-bag'))).toEqual(['change', 'number'])
  expect(predictionOf(soakUpPlan({ predictAs: 'line' }))).toBe('order')
})

it.each([
  ['0, 1, 2, 5', [0, 1, 2, 5]],
  ['5 0 and 1', [0, 1, 5]],
  ['0;2.5', [0, 2.5]],
  ['', []],
  ['every minute', undefined],
  ['0, -1', undefined],
])('times written as “%s”', (text, times) => expect(readTimes(text)).toEqual(times))
