import { describe, expect, it } from 'vitest'
import { NO_SCHOOL, needsOf } from '../kit'
import { INVESTIGATIONS, planFrom } from '../../library'
import { soakUpPlan } from '../../test/soakUp'
import { measuredWords, moneyWords, spelled, spelledThrough, spoonWords } from '.'

describe('a school in the United States', () => {
  it.each([
    ['Kitchen roll in coloured water', 'Paper towel in colored water'],
    ['kitchen rolls, torches, neighbours and 3 millilitres', 'paper towels, flashlights, neighbors and 3 milliliters'],
    ['What the class practised; practising in the centre', 'What the class practiced; practicing in the center'],
    ['Mould stays shut. A mouldy grey crust, 2 metres of Aluminium', 'Mold stays shut. A moldy gray crust, 2 meters of Aluminum'],
    ['thermometers and parameters', 'thermometers and parameters'],
  ])('writes %j as %j', (british, american) => {
    expect(spelled(british, 'american')).toBe(american)
    expect(spelled(british, 'british')).toBe(british)
  })

  it('gets every investigation whole: only words change, never a code', () => {
    for (const investigation of Object.values(INVESTIGATIONS)) {
      let ids = 0
      const plan = planFrom(investigation, '4B', 24, () => `n${(ids += 1)}`)
      const written = spelledThrough(plan, 'american')
      expect(JSON.stringify(written)).not.toMatch(/kitchen roll|colour|mould(?!")|litre|metre/i)
      const bare = (value: unknown): string =>
        JSON.stringify(value).replace(
          /paper towel|kitchen (?:roll|towel)|color|colour|center|centre|gr[ae]y|mou?ld|liter|litre|meter|metre/gi,
          '',
        )
      expect(bare(written)).toBe(bare(plan))
    }
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
      '1.5\u202fcup (24\u202ftbsp)',
    ])
    expect(spoonWords(['cup', 'tbsp'], 'us')).toBe('1 tbsp is 14.8\u202fmL and 1 cup is 237\u202fmL.')
    expect([moneyWords(1234.5), moneyWords(7.5, 'USD'), moneyWords(7.5, 'GBP')]).toEqual(['1234.50', '$7.50', '£7.50'])
  })
})
