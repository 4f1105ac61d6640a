import { describe, expect, it } from 'vitest'
import { counter, soakUpPlan } from '../../test/soakUp'
import { fitOf, testEndsOf } from '../clock'
import { needsOf, NO_SCHOOL } from '../kit'
import { newMaterial, type Material, type Plan } from '../lesson'
import { withMethod } from '../test'
import { mendsOf, scarceLimits, takeMend, takeWayOut, waysOut } from '.'

const planOf = (change: Partial<Material>, more: Partial<Plan> = {}) =>
  soakUpPlan({ materials: [{ ...newMaterial('thing', 'thing'), ...change }], ...more })
const ways = (plan: Plan) => waysOut(plan, needsOf(plan)[0]!, NO_SCHOOL, counter('n'))

describe('waysOut', () => {
  const strips = planOf({ per: 'trial', condition: null, stock: '90', pack: '25', price: '2' })

  it('are each worked out, and end the shortage when taken', () => {
    const found = ways(strips)
    expect(found.map(({ code }) => code)).toEqual(['buy', 'share-out', 'fewer-groups'])
    expect(found[0]).toMatchObject({ packs: 1, cost: 2, leftOver: 3 })
    for (const way of found.slice(1)) expect(needsOf(takeWayOut(strips, way, counter('n')))[0]!.short).toBe(0)
    expect(takeWayOut(strips, found[0]!, counter('n')).materials[0]!.toBuy).toBe(true)
  })

  it('offers a rota first where it costs no time', () => {
    const scales = planOf({ ...newMaterial('scale', 'scale'), use: 'again', stock: '3' })
    const [rota] = ways(scales)
    expect(rota).toMatchObject({ code: 'rota', copies: 3, minutes: 1 })
    expect(needsOf(takeWayOut(scales, rota!, counter('n')))[0]).toMatchObject({ forClass: 3, short: 0 })
  })

  it('all together and shared out stand beside it, with their figures', () => {
    const scales = planOf({ use: 'again', stock: '1' })
    const together = ways(scales).find(({ code }) => code === 'together')!
    expect(together).toMatchObject({ trials: expect.any(Number), minutes: expect.any(Number) })
    expect(needsOf(takeWayOut(scales, together, counter('n')))[0]!.short).toBe(0)
    const shared = ways(strips).find(({ code }) => code === 'share-out')!
    const { before, after } = (shared as { chances: { before: number; after: number } }).chances
    expect(after).toBeLessThanOrEqual(before)
  })

  it('says what a substitute does to fairness and to the chance of seeing the difference', () => {
    const tape = { id: 's', name: 'tape measure', amount: '', stock: '9', note: 'bends' }
    const plan = withMethod(planOf({ name: 'ruler', use: 'again', stock: '3', substitutes: [tape] }), (method) => ({
      ...method,
      expectedLow: 40,
      expectedHigh: 46,
    }))
    const way = ways(plan).find(({ code }) => code === 'substitute')!
    expect(way).toMatchObject({ effect: 'all-alike', stillShort: 0 })
    const { before, after } = (way as { chances: { before: number; after: number } }).chances
    expect(after).toBeLessThan(before)
    const taken = takeWayOut(plan, way, counter('n'))
    expect(taken.materials[0]).toMatchObject({ name: 'tape measure', substitutes: [{ name: 'ruler', stock: '3' }] })
    expect(taken.measures[0]!.method).toMatchObject({ tool: 'tape measure', unit: 'cm', resolution: 1 })
    const one = ways(planOf({ per: 'trial', condition: 'card', stock: '1', substitutes: [tape] }))
    expect(one.find(({ code }) => code === 'substitute')).toMatchObject({ effect: 'other-condition' })
  })

  it('five thermometers: five groups, or two rounds', () => {
    const five = planOf({ name: 'thermometer', use: 'again', stock: '5' })
    expect(scarceLimits(five, NO_SCHOOL)).toMatchObject([{ stock: 5, groups: 5, rounds: 2 }])
    expect(scarceLimits(planOf({ use: 'again', stock: '9' }), NO_SCHOOL)).toEqual([])
  })
})

describe('mendsOf', () => {
  const long = soakUpPlan({ repeats: 6 })

  it('rank what takes nothing from the children first, and each saves what it says', () => {
    const mends = mendsOf(long)
    expect(mends.map(({ code }) => code)).toEqual([
      'side-by-side',
      'share-out',
      'fewer-repeats',
      'longer-lesson',
      'fetch-while-predicting',
      'less-practice',
    ])
    for (const mend of mends) {
      const after = fitOf(takeMend(long, mend))
      expect(fitOf(long).needed - after.needed).toBe(mend.saves)
      expect(testEndsOf(takeMend(long, mend))!.chance).toBe(mend.chance)
      expect(mend.fits).toBe(mend.chance! >= 0.9)
    }
  })

  it('say so when fewer repeats are fewer than the class needs, and rank that below a longer lesson', () => {
    const blurred = withMethod(long, (method) => ({ ...method, trialWobble: 60 }))
    const codes = mendsOf(blurred)
      .filter(({ fits }) => fits)
      .map(({ code }) => code)
    expect(codes.indexOf('fewer-repeats')).toBeGreaterThan(codes.indexOf('longer-lesson'))
    expect(mendsOf(blurred).find(({ code }) => code === 'fewer-repeats')).toMatchObject({ clear: expect.any(Number) as number })
  })

  it('is empty when it fits', () => expect(mendsOf(soakUpPlan())).toEqual([]))
})
