import { expect, it } from 'vitest'
import { counter, soakUpPlan } from '../../test/soakUp'
import { settingOf } from '../fairness'
import { EMPTY_RECORD, type Plan } from '../lesson'
import { mend, secondLook } from '.'

const withExceptions = (how: string, exceptions: Record<string, string>): Plan =>
  soakUpPlan({
    factors: soakUpPlan().factors.map((one) => (one.id === 'width' ? { ...one, how, exceptions } : one)),
  })
const made = (plan: Plan, conditions: string[]) =>
  mend(plan, { code: 'make-factor-same', factor: 'width', conditions }, counter('x')).factors.find(({ id }) => id === 'width')!

it('“make B the same” writes what most of the others have, and never a value of one that happens to come first', () => {
  const four = withExceptions('2 cm', { 'kitchen-roll': '1 cm', tissue: '3 cm', 'writing-paper': '4 cm', card: '4 cm' })
  expect(settingOf(made(four, ['tissue']), 'tissue')).toBe('4 cm')
  const places = withExceptions('', { 'kitchen-roll': 'fridge', tissue: 'room', 'writing-paper': 'fridge' })
  expect(settingOf(made(places, ['tissue']), 'tissue')).toBe('fridge')
  // What the button says is what it does.
  const found = secondLook(places, EMPTY_RECORD)
  const differs = found.find((one) => one.code === 'factor-differs' && one.odd.conditions.includes('tissue'))!
  expect(differs).toMatchObject({ usual: 'fridge', fixes: [{ conditions: ['tissue'] }, {}, { code: 'comes-with' }] })
})

it('an unknown becomes what the others have; what all the others share becomes the rule', () => {
  const unknown = withExceptions('2 cm', { card: '?' })
  expect(settingOf(made(unknown, ['card']), 'card')).toBe('2 cm')
  const shared = withExceptions('2 cm', { tissue: '3 cm', 'writing-paper': '3 cm', card: '3 cm' })
  expect(made(shared, ['kitchen-roll'])).toMatchObject({ how: '3 cm', exceptions: {} })
})
