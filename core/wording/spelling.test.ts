import { describe, expect, it } from 'vitest'
import { cautionsOf, NO_SCHOOL, needsOf, readAmount } from '../kit'
import type { NumberMethod } from '../lesson'
import { outlookOf } from '../measuring'
import { planSchema } from '../../schemas/plan'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { soakUpPlan } from '../../test/soakUp'
import { readEntry, planFrom } from '../../core/test'
import { fixWords, measuredWords, moneyWords, inSchoolsWay, spelled, spoonWords } from '.'

function sequence(): () => string {
  let count = 0
  return () => `n${(count += 1)}`
}

describe('a school in the United States', () => {
  it.each([
    ['Kitchen roll in coloured water', 'Paper towel in colored water'],
    ['kitchen rolls, neighbours and 3 millilitres', 'paper towels, neighbors and 3 milliliters'],
    ['What the class practised; Practising', 'What the class practiced; Practicing'],
    ['Mould stays shut. A mouldy grey crust, 2 metres on', 'Mold stays shut. A moldy gray crust, 2 meters on'],
    ['warm water, 50 °C', 'warm water, 122 °F'],
    ['thermometers and parameters', 'thermometers and parameters'],
  ])('writes %j as %j', (british, american) => {
    expect(spelled(british, 'american')).toBe(american)
    expect(spelled(british, 'british')).toBe(british)
  })

  it('gets every investigation whole: its words, never its codes or the name of the class', () => {
    for (const [id, investigation] of Object.entries(INVESTIGATIONS)) {
      const planned = (one: typeof investigation) => planFrom(one, 'Grey Neighbours', 24, sequence())
      const [british, american] = [planned(investigation), planned(inSchoolsWay(investigation, 'american'))]
      expect(american.className).toBe('Grey Neighbours')
      expect(JSON.stringify({ ...american, className: '' }), id).not.toMatch(/kitchen roll|colour|litre|metre|°C|degC/i)
      expect(planSchema.validate(american).error, id).toBeUndefined()
      expect(american.conditions.map((one) => one.id)).toEqual(british.conditions.map((one) => one.id))
      expect(cautionsOf(american).map(({ caution }) => caution)).toEqual(cautionsOf(british).map(({ caution }) => caution))
    }
  })

  it('measures warmth in its degrees and pours by the cup, every lesson of ours', () => {
    const { plan } = inSchoolsWay(INVESTIGATIONS['mitten-mystery']!, 'american')
    const method = plan.measures[0]!.method as NumberMethod
    expect([method.unit, method.expectedLow, method.resolution, method.differenceThatMatters]).toEqual(['degF', 68.9, 1, 1.8])
    const poured = inSchoolsWay(INVESTIGATIONS['soak-up-strips']!, 'american').plan.materials.find(({ id }) => id === 'water')!
    expect(readAmount(poured.amount, 'us')).toMatchObject({ value: 1.25, unit: 'cup' })
    const vanish = planFrom(inSchoolsWay(INVESTIGATIONS['sugar-vanish']!, 'american'), 'Puffin', 26, sequence())
    const [there, here] = [vanish, planFrom(INVESTIGATIONS['sugar-vanish']!, 'Puffin', 26, sequence())].map(
      (one) => outlookOf(one)!.clear,
    )
    expect(Math.abs(there! - here!)).toBeLessThan(0.02)
  })

  it('has its things in the list of cautions too', () => {
    const [material] = soakUpPlan().materials
    const cautions = (name: string) => cautionsOf(soakUpPlan({ materials: [{ ...material!, name }] })).map(({ caution }) => caution)
    expect(cautions('3 flashlights')).toEqual(cautions('3 torches'))
    expect(cautions('3 flashlights')).toContain('batteries')
  })

  it('measures with its own cups and spoons, and writes its own money', () => {
    const [material] = soakUpPlan().materials
    const plan = soakUpPlan({ materials: [{ ...material!, amount: '1 cup', stock: '1 L', per: 'class', spare: 0 }] })
    const short = (english: 'british' | 'american', amount: string) =>
      needsOf(
        { ...plan, materials: [{ ...plan.materials[0]!, amount }] },
        { ...NO_SCHOOL, customs: { english, currency: 'none' } },
      )[0]!.short
    // 4.2 cups are 1050 mL, or 994 mL.
    expect([short('british', '4.2 cup') > 0, short('american', '4.2 cup')]).toEqual([true, 0])
    expect([measuredWords(24, 'tbsp'), measuredWords(24, 'tbsp', 'us')]).toEqual([
      '360\u202fmL (24\u202ftbsp)',
      '1.5\u202fcups (24\u202ftbsp)',
    ])
    expect(spoonWords(['cup', 'tbsp'], 'us')).toBe('1 tbsp is 14.8\u202fmL and 1 cup is 237\u202fmL.')
    expect([moneyWords(1234.5), moneyWords(7.5, 'USD'), moneyWords(7.5, 'GBP')]).toEqual(['1234.50', '$7.50', '£7.50'])
  })

  it('reads half a cup as its own, and names a unit its own way without touching a name', () => {
    const plan = soakUpPlan({
      measures: soakUpPlan().measures.map((one) => ({ ...one, method: { ...one.method, unit: 'mL' as const } })),
    })
    expect(readEntry(plan, '1/2 cup')).toMatchObject({ value: 125 })
    expect(readEntry(plan, '1/2 cup + 1/2 cup', { kitchen: 'us' })).toMatchObject({ value: 236.58824, unit: 'mL' })
    expect(fixWords({ code: 'these-were', unit: 'm', readings: [] }, plan, 'american')).toBe('These were meters')
  })
})
