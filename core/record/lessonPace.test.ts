import { expect, it } from 'vitest'
import { trialOrderOf } from '../arrangement'
import { EMPTY_RECORD, type LessonRecord } from '../lesson'
import { testEndsOf } from '../clock'
import { reading, soakUpPlan } from '../../test/soakUp'
import { classPaceOf, lessonPace } from '.'

const plan = soakUpPlan()
const BEGUN = Date.parse('2026-03-12T10:00:00.000Z')
/** Every group its trials one after the other, each with hands that take so many times the planned. */
const lessonAt = (times: number): LessonRecord => ({
  ...EMPTY_RECORD,
  readings: plan.groups.flatMap(({ id: group }) =>
    trialOrderOf(plan)
      .get(group)!
      .map((trial, place) =>
        reading({
          ...trial,
          group,
          id: `${group}-${place}`,
          by: 'station',
          at: new Date(BEGUN + (place + 1) * (60 + 45 * times) * 1000).toISOString(),
        }),
      ),
  ),
})

it('a lesson tells its class’s pace from the times between its numbers, near to the plan where little is known', () => {
  const slow = lessonPace(plan, lessonAt(1.4))!
  expect(slow.timed).toBe(7 * 11)
  expect(Math.exp(slow.log)).toBeGreaterThan(1.3)
  expect(Math.exp(slow.log)).toBeLessThan(1.4)
  expect(lessonPace(plan, { ...EMPTY_RECORD, readings: lessonAt(1.4).readings.slice(0, 5) })).toBeUndefined()
})

it('the last three lessons make the class’s pace, and the next plan takes longer for it', () => {
  const slow = lessonPace(plan, lessonAt(1.4))!
  const quick = lessonPace(plan, lessonAt(0.8))!
  const known = classPaceOf([slow, slow, slow, quick])!
  expect(known).toMatchObject({ lessons: 3, trials: 3 * 84 })
  expect(known.times).toBeGreaterThan(1.25)
  expect(classPaceOf([slow])!.times).toBeLessThan(known.times)
  expect(classPaceOf([])).toBeNull()
  const next = { ...plan, clock: { ...plan.clock, pace: known } }
  expect(testEndsOf(next)!.half).toBeGreaterThan(testEndsOf(plan)!.half + 3)
})

it('failures make the share of trials that fail, which begins at one of twenty-five', () => {
  const failures = Array.from({ length: 12 }, (_, place) => ({
    id: `f${place}`,
    group: 'g1',
    condition: 'card',
    repeat: 1,
    at: new Date(BEGUN).toISOString(),
  }))
  const record = { ...lessonAt(1), failures: failures as unknown as LessonRecord['failures'] }
  expect(classPaceOf([lessonPace(plan, record)!])!.failed).toBeCloseTo((12 + 1) / (84 + 12 + 25))
  expect(classPaceOf([lessonPace(plan, lessonAt(1))!])!.failed).toBeLessThan(0.04)
})
