import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { fitOf, phaseAt, timeAt } from '.'

describe('fitOf', () => {
  it('takes the test from one trial x conditions x repeats and practice', () => {
    // 105 s x 4 conditions x (3 + 1) = 28 minutes, and 45 minutes of everything else.
    const fit = fitOf(soakUpPlan())
    expect(fit).toMatchObject({ trialSeconds: 105, trials: 16, needed: 73, spare: 2, repeatsThatFit: 3 })
    expect(fit.phases.find((one) => one.phase === 'test')).toEqual({ phase: 'test', start: 25, minutes: 28 })
  })

  it('says by how much it misses and how many repeats would fit', () => {
    const plan = soakUpPlan({ repeats: 6 })
    expect(fitOf(plan)).toMatchObject({ spare: -19, repeatsThatFit: 3 })
    expect(fitOf({ ...plan, clock: { ...plan.clock, minutes: 30 } }).repeatsThatFit).toBe(0)
  })

  it('knows the phase of a minute', () => {
    const fit = fitOf(soakUpPlan())
    expect(phaseAt(fit, 25)).toEqual({ phase: 'test', left: 28 })
    expect(phaseAt(fit, -1)).toBeUndefined()
    expect(phaseAt(fit, 73)).toBeUndefined()
  })
})

it('timeAt counts over the hour and over midnight', () => {
  expect(timeAt('10:30', 45)).toBe('11:15')
  expect(timeAt('23:50', 15)).toBe('00:05')
  expect(timeAt('', 5)).toBeUndefined()
})
