import { describe, expect, it } from 'vitest'
import golden from '../../../test/golden/pace.json'
import { PACE_MODEL, secondsLeft } from '.'

describe.each(golden.cases)('golden: $name', ({ input, expected, tolerance }) => {
  const forecast = secondsLeft(
    { wait: input.waitSeconds, hands: input.handsSeconds },
    input.took.map((took, place) => ({ took, elapsed: input.elapsedSeconds[place]!, left: input.trials - took.length })),
    { centre: input.centre },
  )
  const isNear = (value: number, wanted: number) =>
    expect(Math.abs(value - wanted)).toBeLessThanOrEqual(tolerance.secondsLeft * wanted)

  it('every group and the class have their pace', () => {
    expect(golden.model).toEqual({ s: PACE_MODEL.trial, u: PACE_MODEL.group, v: PACE_MODEL.class, cap: PACE_MODEL.cap })
    expect(Math.abs(forecast.paces.class.pace - expected.classPace)).toBeLessThan(tolerance.pace)
    for (const [place, wanted] of expected.groups.entries()) {
      const own = forecast.paces.groups[place]!
      expect(Math.abs(own.pace - wanted.pace)).toBeLessThan(tolerance.pace)
      expect(Math.abs(own.logMean - wanted.logMean)).toBeLessThan(tolerance.pace)
      expect(Math.abs(own.logSd - wanted.logSd)).toBeLessThan(tolerance.pace)
    }
  })

  it('half and nine in ten are done when they should', () => {
    for (const [place, { secondsLeft: wanted }] of expected.groups.entries()) {
      isNear(forecast.groups[place]!.half, wanted[0]!)
      isNear(forecast.groups[place]!.nineInTen, wanted[1]!)
    }
    isNear(forecast.class.half, expected.classSecondsLeft[0]!)
    isNear(forecast.class.nineInTen, expected.classSecondsLeft[1]!)
  })
})
