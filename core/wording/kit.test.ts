import { describe, expect, it } from 'vitest'
import { counter, soakUpPlan } from '../../test/soakUp'
import { demoCupboard } from '../../demo/school'
import { newMaterial, type Material, type Plan } from '../lesson'
import { gettingReady, needsOf, NO_SCHOOL } from '../kit'
import { waysToSee } from '../measuring'
import { mendsOf, scarceLimits, waysOut, type Mend, type WayOut } from '../waysOut'
import {
  limitWords,
  measuredWords,
  mendWords,
  movedWords,
  needSum,
  spanWords,
  spoonWords,
  stepWords,
  wayChance,
  wayCost,
  wayOutWords,
  wayWords,
} from '.'

const withMaterials = (...materials: Material[]): Plan => soakUpPlan({ materials })
const ordinary = (text: string) => text.replaceAll(/[\u202f\u00a0]/g, ' ')

describe('amounts of the kit', () => {
  it('are written as somebody would measure them', () => {
    expect(ordinary(measuredWords(21, 'tbsp'))).toBe('315 mL (21 tbsp)')
    expect(ordinary(measuredWords(2100, 'mL'))).toBe('2.1 L')
    expect(measuredWords(31, 'pieces')).toBe('31')
    expect(ordinary(spoonWords(['tbsp', 'mm', 'tsp']))).toBe('1 tsp is 5 mL and 1 tbsp is 15 mL.')
    expect(spoonWords(['mm'])).toBe('')
    expect([45, 60, 90, 3000].map(spanWords)).toEqual(['45 min', '1 h', '1 h 30 min', '2 days 2 h'])
  })

  it('come with the sum behind them', () => {
    const plan = withMaterials(
      { ...newMaterial('strips', 'strips', '1'), per: 'trial', condition: 'card', spare: 0.1 },
      { ...newMaterial('goggles', 'goggles', '1'), per: 'child', use: 'again' },
      { ...newMaterial('scale', 'scale', '1'), use: 'again', goesRound: 2 },
      newMaterial('odd', 'odd', '???'),
    )
    const sums = needsOf(plan).map((need, place) => needSum(need, plan.materials[place]!, plan))
    expect(sums).toEqual(['1 × 28 trials = 28, and 3 spare', '1 × 26 children = 26', '2 go round between the groups', ''])
  })

  it('are got ready in steps that say why they were moved', () => {
    const plan = withMaterials({
      ...newMaterial('ice', 'ice cubes', '4'),
      preparation: { kind: 'freeze', words: 'in the big tray', minutes: 5, secondsEach: 0, hours: 12 },
    })
    const needs = needsOf(plan)
    expect(gettingReady(plan).map((step) => stepWords(step, plan, needs))).toEqual([
      'Freeze: 28 ice cubes, in the big tray',
      'Pack 7 trays',
    ])
    expect(movedWords(['night', 'day-off'])).toBe('moved earlier, since it would fall in the night and there is no school that day')
    expect(movedWords([])).toBe('')
  })
})

describe('ways out say what they change', () => {
  it('of a thing that runs short', () => {
    const plan = withMaterials({
      ...newMaterial('cloth', 'floor cloth', '1'),
      use: 'again',
      stock: '5',
      pack: '2',
      price: '2',
      substitutes: [{ id: 's', name: 'old towel', amount: '', stock: '9', note: 'Dries slowly.' }],
    })
    const [need] = needsOf(plan)
    const said = new Map(waysOut(plan, need!, NO_SCHOOL, counter('w')).map((way) => [way.code, wayOutWords(way, plan, 'pieces')]))
    expect(said.get('buy')).toEqual({ label: 'Buy 1 pack', effect: 'costs 2.00, goes on the shopping list' })
    expect(said.get('substitute')!.label).toBe('Take old towel')
    expect(said.get('substitute')!.effect).toMatch(/^still fair, as long as every condition gets it.*Dries slowly\.$/)
    expect(said.get('rota')!.label).toBe('Let 5 go round')
    expect(said.get('fewer-groups')!.effect).toMatch(/^up to \d+ children in a group; /)
    // Nobody has said how long a trial takes: then nobody can say that it takes no more.
    const untimed = { ...plan, clock: { ...plan.clock, trial: { setUp: 0, run: 0, read: 0, reset: 0 } } }
    for (const way of waysOut(untimed, needsOf(untimed)[0]!, NO_SCHOOL, counter('w')).filter(
      ({ code }) => code !== 'buy' && code !== 'substitute',
    ))
      expect(wayOutWords(way, untimed, 'pieces').effect).toContain('not known yet')
    const shared: WayOut = { code: 'share-out', material: 'cloth', each: 2, chances: undefined, minutes: -6 }
    expect(wayOutWords(shared, plan, 'pieces')).toEqual({
      label: 'Share out: 2 each',
      effect: 'each group does 2 conditions; 6 minutes shorter',
    })
  })

  it('of a scarce thing, and of a lesson that is too long', () => {
    const plan = withMaterials({ ...newMaterial('scale', 'scale', '1'), use: 'again', stock: '6' })
    expect(
      scarceLimits(plan, { ...NO_SCHOOL, things: demoCupboard(counter('t')) }).map((limit) => limitWords(limit, plan)),
    ).toEqual(['6 × scale: 6 groups, or 2 rounds.'])
    const long = soakUpPlan({ clock: { ...plan.clock, minutes: 60 } })
    const said = Object.fromEntries(mendsOf(long).map((mend) => [mend.code, mendWords(mend)]))
    expect(said['side-by-side']!.effect).toMatch(
      /^saves 16 minutes, not enough by itself: fits in \d+ of 100 classes; nobody does less, more things in use$/,
    )
    expect(said['less-practice']!.label).toBe('Leave practice out')
    const fewer = mendsOf(long).find(({ code }) => code === 'fewer-repeats')!
    expect(mendWords({ ...fewer, clear: 0.62 } as Mend).effect).toMatch(/; it then comes out clear in only 62 in 100$/)
    expect(said['longer-lesson']!.effect).toMatch(/^fits then in 9\d of 100 classes; only if the bell can wait$/)
  })

  it('of a difference that would not be seen', () => {
    const method = { ...soakUpPlan().measures[0]!.method, trialWobble: 44 }
    const plan = soakUpPlan({ measures: [{ ...soakUpPlan().measures[0]!, method }] })
    const ways = waysToSee(plan)
    expect(ways.map((way) => wayWords(way, plan))).toContainEqual(expect.stringMatching(/^Do \d+ repeats$/))
    for (const way of ways) {
      expect(wayCost(way)).toMatch(/^(no more time|\d+ (minutes?|h).* (longer|shorter))$/)
      expect(wayChance(way)).toMatch(/^clear in \d+ in 100$/)
    }
  })
})
