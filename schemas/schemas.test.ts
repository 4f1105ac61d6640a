import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../test/soakUp'
import type { Plan } from '../core/lesson'
import { planSchema } from './plan'
import { newReadingsSchema } from './record'
import { joinSchema, sinceSchema } from './requests'

const where = (plan: unknown) => planSchema.validate(plan).error?.details[0]?.path.join('.')
const changed = (change: (plan: Plan) => void): Plan => {
  const plan = soakUpPlan()
  change(plan)
  return plan
}

describe('the plan', () => {
  const wrong: [string, (plan: Plan) => void][] = [
    ['repeats', (plan) => (plan.repeats = 0)],
    ['repeats', (plan) => (plan.repeats = 2.5)],
    ['date', (plan) => (plan.date = '12/3/2026')],
    ['clock.start', (plan) => (plan.clock.start = '25:00')],
    ['clock.phases.gather', (plan) => (plan.clock.phases.gather = -1)],
    ['groups.1', (plan) => (plan.groups[1]!.id = plan.groups[0]!.id)],
    ['groups.0.name', (plan) => (plan.groups[0]!.name = '  ')],
    ['conditions.0.id', (plan) => (plan.conditions[0]!.id = '../etc')],
    ['measures.0.method.resolution', (plan) => (plan.measures[0]!.method.resolution = 0)],
    ['measures.0.method.unit', (plan) => (plan.measures[0]!.method.unit = 'furlong' as never)],
    ['materials.0.spare', (plan) => (plan.materials[0]!.spare = Number.NaN)],
    ['materials.0.cautions.0', (plan) => (plan.materials[0]!.cautions = ['dragons' as never])],
    ['kind', (plan) => (plan.kind = 'unfair-test' as never)],
    ['surprise', (plan) => Object.assign(plan, { surprise: 1 })],
  ]
  it.each(wrong)('says that %s is wrong', (path, change) => expect(where(changed(change))).toBe(path))

  it('takes what a teacher may leave half done', () => {
    for (const change of [
      (plan: Plan) => (plan.resetList = []),
      (plan: Plan) => (plan.changed = 'gone'),
      (plan: Plan) => (plan.conditions[1]!.label = ''),
      (plan: Plan) => (plan.materials[0]!.amount = 'some of it'),
      (plan: Plan) => (plan.groups = []),
    ]) {
      expect(where(changed(change as (plan: Plan) => void))).toBeUndefined()
    }
  })
})

it('a reading set aside needs a reason, and an id is a UUID', () => {
  const row = {
    id: '0b7ee1a8-3f3d-4f55-9d5a-6b1f6f1f2a10',
    group: 'g',
    condition: 'c',
    repeat: 1,
    moment: '',
    practice: false,
    value: 1,
    unit: 'mm',
    entered: '1',
    status: 'set-aside',
    reason: '',
    confirmed: false,
    supersedes: null,
  }
  const problem = (change: object) =>
    newReadingsSchema.validate({ readings: [{ ...row, ...change }] }).error?.details[0]?.path.join('.')
  expect(problem({})).toBe('readings.0.reason')
  expect(problem({ reason: 'leaked' })).toBeUndefined()
  expect(problem({ reason: 'leaked', id: '1' })).toBe('readings.0.id')
  expect(newReadingsSchema.validate({ readings: [] }).error).toBeDefined()
})

it('queries and codes are bounded', () => {
  expect(sinceSchema.validate({}).value).toEqual({ since: 0 })
  expect(sinceSchema.validate({ since: '-1' }).error).toBeDefined()
  expect(joinSchema.validate({ code: 'x'.repeat(21), group: 'g' }).error).toBeDefined()
})
