import { expect, it } from 'vitest'
import { progressOf } from '../record'
import { seededRandom } from '../chance'
import { counter, soakUpPlan } from '../../test/soakUp'
import { codeOf, hasOldCodes, recordByCode, withFreshKeys, withEachChild, withoutEachChild, withRecords } from '.'

it('each child gets a code that nobody else has, and keeps it when others come or go', () => {
  for (const [children, seed] of [
    [1, 1],
    [26, 2],
    [34, 3],
    [40, 4],
  ] as const) {
    const plan = withEachChild({ ...soakUpPlan(), children }, counter('c'), seededRandom(seed))
    const codes = plan.groups.map(({ name }) => name)
    expect(codes).toHaveLength(Math.min(34, children))
    expect(new Set(codes).size).toBe(codes.length)
    expect(codes.every((code) => /^[A-Z][2-9]{2}$/.test(code))).toBe(true)
    const fewer = withRecords(plan, Math.max(1, children - 3), counter('d'), seededRandom(9))
    expect(codes.slice(0, fewer.groups.length)).toEqual(fewer.groups.map(({ name }) => name))
    const whole = codeOf(plan.groups[0]!)
    expect(whole).toMatch(/^[A-Z][2-9]{2} [A-Z2-9]{4}$/)
    expect(recordByCode(plan, ` ${whole.toLowerCase().replace(/(.)/, '$1 ')}`)).toBe(plan.groups[0]!.id)
    // What stands on the board opens nothing.
    expect(recordByCode(plan, codes[0]!)).toBeUndefined()
  }
})

it('a lesson from before there were keys opens with the code alone, until new ones are made', () => {
  const plan = withEachChild(soakUpPlan(), counter('c'), seededRandom(5))
  const old = { ...plan, groups: plan.groups.map((group) => ({ ...group, key: '' })) }
  expect([hasOldCodes(old), recordByCode(old, old.groups[2]!.name)]).toEqual([true, old.groups[2]!.id])
  const renewed = withFreshKeys(old, seededRandom(6))
  expect([hasOldCodes(renewed), recordByCode(renewed, old.groups[2]!.name)]).toEqual([false, undefined])
})

it('nothing is left open for a child that is away, and what it wrote before stays', () => {
  const plan = withEachChild({ ...soakUpPlan(), children: 3, repeats: 2 }, counter('c'), seededRandom(1))
  plan.groups[1]!.away = [1]
  const conditions = plan.conditions.filter(({ leftOut }) => !leftOut).length
  expect(progressOf(plan, []).map(({ all }) => all)).toEqual([2 * conditions, 0, 2 * conditions])
  expect(withoutEachChild(plan, 1, counter('g')).groups).toMatchObject([{ name: 'Alder', seats: 3 }])
})

it('a plan with nothing to compare gets the one thing that each measures', () => {
  const plan = withEachChild({ ...soakUpPlan(), conditions: [] }, counter('c'), seededRandom(1))
  expect(plan.conditions).toHaveLength(1)
})
