import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import type { Plan } from '../lesson'
import { checkPlan, settingOf, settingsOf } from '.'

const withExceptions = (factor: string, exceptions: Record<string, string>, change: Partial<Plan> = {}): Plan => {
  const plan = soakUpPlan(change)
  return { ...plan, factors: plan.factors.map((one) => (one.id === factor ? { ...one, exceptions } : one)) }
}

describe('the plan as a table of conditions by factors', () => {
  it('has one value for all but the exceptions, however they are spelled', () => {
    const plan = withExceptions('width', { card: ' 2 CM, cut on   the guillotine ', tissue: '3 cm' })
    expect(settingsOf(plan).map(({ values }) => values.width)).toEqual([
      '2 cm, cut on the guillotine',
      '3 cm',
      '2 cm, cut on the guillotine',
      '2 cm, cut on the guillotine',
    ])
    expect(settingOf(plan.factors[1]!, 'tissue')).toBe('3 cm')
    expect(
      checkPlan(plan)!.differing.map(({ factor, shares }) => [factor, shares.map(({ conditions }) => conditions.length)]),
    ).toEqual([['width', [3, 1]]])
  })

  it('leaves out conditions that are left out, and forgets exceptions for them', () => {
    const plan = withExceptions('width', { card: '3 cm' })
    plan.conditions[3]!.leftOut = true
    expect(checkPlan(plan)!.fair).toBe(true)
  })

  it('sees that 0.5 m and 50 cm are the same number', () => {
    const conditions = ['0.5 m', '50 cm', '70'].map((label, place) => ({ id: `n${place}`, label, baseline: false, leftOut: false }))
    const pairs = checkPlan(soakUpPlan({ conditionsAs: 'numbers', conditions }))!.pairs
    expect(pairs.map(({ status }) => status)).toEqual(['same', 'fair', 'fair'])
  })

  it('says nothing while nothing is chosen to change', () => expect(checkPlan(soakUpPlan({ changed: null }))).toBeUndefined())

  it('finds the fair comparisons hidden in a muddled set-up of a dozen pots', () => {
    const pots = ['small', 'large'].flatMap((size) =>
      ['lid', 'open'].flatMap((lid) => ['sun', 'shade', 'cupboard'].map((place) => ({ size, lid, place }))),
    )
    const factor = (name: 'size' | 'lid' | 'place') => ({
      id: name,
      name,
      how: '',
      exceptions: Object.fromEntries(pots.map((pot, at) => [`p${at}`, pot[name]])),
    })
    const plan = soakUpPlan({
      changed: 'size',
      conditions: pots.map((pot, at) => ({ id: `p${at}`, label: pot.size, baseline: false, leftOut: false })),
      factors: [{ ...factor('size'), exceptions: {} }, factor('lid'), factor('place')],
    })
    const check = checkPlan(plan)!
    expect(check.fair).toBe(false)
    // Size: six pairs that share lid and place; place: three pots each for both sizes and both lids.
    expect(check.fairAmong.map((set) => set.length)).toEqual([2, 2, 2, 2, 2, 2])
    expect(check.otherQuestions.filter((one) => one.factor === 'place').map(({ conditions }) => conditions.length)).toEqual([
      3, 3, 3, 3,
    ])
    expect(check.otherQuestions.filter((one) => one.factor === 'lid')).toHaveLength(6)
  })
})
