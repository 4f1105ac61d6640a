import { describe, expect, it } from 'vitest'
import { counter, emptyRecord, soakUpPlan } from '../../test/soakUp'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { mend, secondLook } from '../secondLook'
import { findingWords } from '../wording'
import { withMethod, planFrom, resolved, newMeasure } from '../../core/test'
import { instrumentForCard, misfitOf, withNamedInstrument } from '.'

describe('a card knows its instrument', () => {
  it.each([
    ['how long it takes to melt', 's'],
    ['how many clips it lifts', 'count'],
    ['the temperature after ten minutes', 'degC'],
    ['how heavy the bag is', 'g'],
    ['how far the cart rolls', 'cm'],
    ['how wet the paper feels', 'words'],
    ['how high the ball bounces', 'mm'],
    ['how long the shadow gets', 'mm'],
    ['how pretty it is', undefined],
  ])('“%s” is read in %s', (name, unit) => {
    expect(instrumentForCard(name)?.unit).toBe(unit)
    expect(resolved(withNamedInstrument(newMeasure('m', name), 'fair-test').method).unit).toBe(unit ?? 'cm')
  })

  it('no ready investigation has a wrong one', () => {
    const wrong = Object.values(INVESTIGATIONS).filter((one) => misfitOf(planFrom(one, 'Puffin', 26, counter('g'))))
    expect(wrong).toEqual([])
  })

  it('a wrong one is found, and one button takes the right one', () => {
    const plan = withMethod(soakUpPlan(), (method) => ({ ...method, unit: 's', tool: 'stopwatch' }))
    const finding = secondLook(plan, emptyRecord).find(({ code }) => code === 'instrument-misfit')!
    expect(findingWords(finding, plan).text).toBe(
      'How high water climbs in 60 s is read with a stopwatch, to the nearest s; its name calls for ruler (mm).',
    )
    const [fix] = finding.fixes
    const mended = mend(plan, fix as Extract<typeof fix, { code: 'take-instrument' }>, counter('n'))
    expect([misfitOf(plan)?.unit, misfitOf(mended)]).toEqual(['mm', undefined])
    expect(misfitOf(withMethod(soakUpPlan(), (method) => ({ ...method, unit: 'in' })))).toBeUndefined()
  })
})
