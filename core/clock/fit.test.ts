import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { newMaterial, type TrialPart } from '../lesson'
import { fitOf, phaseAt, sharedThings, timeAt } from '.'

describe('fitOf', () => {
  it('takes the test from one trial x conditions x repeats and practice', () => {
    // 105 s x 4 conditions x (3 + 1) = 28 minutes, and 45 minutes of everything else.
    const fit = fitOf(soakUpPlan())
    expect(fit).toMatchObject({ trialSeconds: 105, trials: 16, needed: 73, spare: 12 })
    expect(fit.phases.find((one) => one.phase === 'test')).toEqual({ phase: 'test', start: 25, minutes: 28 })
  })

  it('says by how much it misses', () => {
    expect(fitOf(soakUpPlan({ repeats: 6 })).spare).toBe(-9)
  })

  it('what goes round is held from the first step that needs it to the last', () => {
    // One tray for seven groups, 16 trials each: with the strip in it for the 60 s of the run, 7 x 16 x 60 s at least.
    const tray = (inUse: TrialPart[]) => ({ ...newMaterial('tray', 'water tray'), use: 'again' as const, goesRound: 1, inUse })
    const minutes = (inUse: TrialPart[]) => fitOf(soakUpPlan({ materials: [tray(inUse)] })).testSeconds / 60
    expect(minutes(['read'])).toBe((16 * 105 + 6 * 10) / 60)
    expect(minutes(['run'])).toBe((16 * 7 * 60 + 6 * 60) / 60)
    expect(minutes(['setUp', 'run', 'read', 'reset'])).toBe((16 * 7 * 105 + 6 * 105) / 60)
    expect(sharedThings(soakUpPlan({ materials: [tray(['run', 'read'])] }))[0]).toMatchObject({ after: 20, hold: 70 })
    const beside = soakUpPlan({ materials: [tray(['run', 'read'])] })
    expect(sharedThings({ ...beside, clock: { ...beside.clock, sideBySide: 2 } })[0]!.hold).toBeGreaterThan(70)
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
