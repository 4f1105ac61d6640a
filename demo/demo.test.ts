import { randomUUID } from 'node:crypto'
import { expect, it } from 'vitest'
import { currentReadings } from '../core/record'
import { writeLessonFile } from '../core/formats'
import { emptyPlan } from '../core/lesson'
import { planSchema } from '../schemas/plan'
import { lessonFileSchema } from '../schemas/record'
import { demoLessons } from './lessons'

it('an empty lesson and the demo fit the schemas that guard the borders', () => {
  expect(planSchema.validate(emptyPlan('Puffin', 26, randomUUID)).error).toBeUndefined()
  for (const { plan, record } of demoLessons('2026-03-12', randomUUID)) {
    expect(lessonFileSchema.validate(writeLessonFile(plan, record, [], '2026-03-12T12:00:00.000Z')).error).toBeUndefined()
  }
})

it('the demo class watches cress grow: four readings of five, and what groups said at their stations', () => {
  const { plan, record } = demoLessons('2026-03-12', randomUUID)[2]!
  expect(new Set(record.readings.map(({ moment }) => moment))).toEqual(new Set(['t0', 't2', 't4', 't7']))
  expect(record.readings).toHaveLength(7 * 5 * 4)
  expect(plan.wonder.wondered.some(({ id }) => id === plan.asked.chosen)).toBe(true)
  expect(record.remarks).toHaveLength(3)
})

it('the demo class has a slip, an odd reading set aside with a reason, and one gap, and is the same every time', () => {
  const [{ plan, record }] = demoLessons('2026-03-12', randomUUID) as [ReturnType<typeof demoLessons>[number]]
  const current = currentReadings(record.readings).filter((reading) => !reading.practice)
  expect(plan.groups).toHaveLength(7)
  expect(current.filter(({ status }) => status === 'set-aside').map(({ reason }) => reason)).toEqual(['it touched the side'])
  // 7 groups x 4 papers x 3 repeats, less the gap.
  expect(current.filter(({ status }) => status === 'kept')).toHaveLength(83)
  const again = demoLessons('2026-03-12', randomUUID)[0]!
  expect(again.record.readings.map(({ value }) => value)).toEqual(record.readings.map(({ value }) => value))
})
