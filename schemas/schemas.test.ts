import type { ObjectSchema } from 'joi'
import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../test/soakUp'
import type { Plan } from '../core/lesson'
import { planSchema } from './plan'
import { joinSchema, shelfSchema, sinceSchema } from './requests'
import { deskBodySchemas, stationBodySchemas } from './rows'

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
    ['measures.0.method.resolution', (plan) => Object.assign(plan.measures[0]!.method, { resolution: 0 })],
    ['measures.0.method.unit', (plan) => Object.assign(plan.measures[0]!.method, { unit: 'furlong' })],
    ['measures.0.method.words', (plan) => Object.assign(plan.measures[0]!.method, { words: [] })],
    ['measures.0.method.way', (plan) => Object.assign(plan.measures[0]!.method, { way: 'guess' })],
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
    deskBodySchemas.readings.validate({ readings: [{ ...row, ...change }] }).error?.details[0]?.path.join('.')
  expect(problem({})).toBe('readings.0.reason')
  expect(problem({ reason: 'leaked' })).toBeUndefined()
  expect(problem({ reason: 'leaked', id: '1' })).toBe('readings.0.id')
  expect(deskBodySchemas.readings.validate({ readings: [] }).error).toBeDefined()
})

describe('every kind of row', () => {
  const id = '0b7ee1a8-3f3d-4f55-9d5a-6b1f6f1f2a10'
  const said = {
    predictions: { id, group: 'g', as: 'order', order: ['a', 'b'], values: {}, reason: '' },
    conclusions: { id, group: 'g', from: null, text: 'It was the tissue.', hands: null, agreed: false },
    observations: { id, group: 'g', condition: null, repeat: null, kind: 'words', text: 'It drips.', picture: null },
  }
  const place = (list: keyof typeof said, change: object, schemas: Record<string, ObjectSchema> = deskBodySchemas) =>
    schemas[list]!.validate({ ...said[list], ...change }).error?.details[0]?.path.join('.')

  it('that says nothing is refused at the column that is to blame', () => {
    expect(place('predictions', { order: [] })).toBe('order')
    expect(place('predictions', { order: [], values: { a: 3 } })).toBeUndefined()
    expect(place('observations', { text: ' ' })).toBe('text')
    expect(place('observations', { text: '', picture: id })).toBeUndefined()
    expect(place('conclusions', { text: ' ' })).toBe('text')
    expect(place('conclusions', { text: '', group: null })).toBeUndefined()
  })

  it('comes from a station without what the server or the desk alone may say', () => {
    const sentence = { id, from: null, text: 'It was the tissue.' }
    expect(stationBodySchemas.conclusions.validate(sentence).error).toBeUndefined()
    expect(place('conclusions', {}, stationBodySchemas)).toBe('group')
    expect(place('predictions', { late: false })).toBe('late')
    expect(place('observations', { by: 'desk' })).toBe('by')
  })
})

it('queries and codes are bounded', () => {
  expect(sinceSchema.validate({}).value).toEqual({ since: 0 })
  expect(sinceSchema.validate({ since: '-1' }).error).toBeDefined()
  expect(shelfSchema.validate({ most: 5000 }).error).toBeDefined()
  expect(joinSchema.validate({ code: 'x'.repeat(21), group: 'g' }).error).toBeDefined()
})
