import { randomUUID } from 'node:crypto'
import { format } from 'date-fns'
import { trialOrderOf } from '../core/arrangement'
import { fitOf, testStartOf } from '../core/clock'
import { writeLessonFile } from '../core/formats'
import { EMPTY_RECORD, type Plan, type Reading } from '../core/lesson'

const A_MINUTE = 60_000

/**
 * The file of a lesson that runs today: its test began so many minutes ago, and each group has written a number every so many seconds.
 * @param whole   the plan, as a lesson of the server's has it
 * @param seconds of a trial of each group, the first group first
 */
export function classUnderWay(whole: Plan, seconds: number[], passed: number): string {
  const base = { ...whole, practice: 0, title: 'Under way' }
  const start = new Date(Math.floor(Date.now() / A_MINUTE) * A_MINUTE - (testStartOf(fitOf(base)) + passed) * A_MINUTE)
  const clock = { ...base.clock, start: format(start, 'HH:mm') }
  const plan = { ...base, date: format(start, 'yyyy-MM-dd'), clock }
  const began = start.getTime() + testStartOf(fitOf(plan)) * A_MINUTE
  const readings = plan.groups.flatMap(({ id: group }, place) =>
    trialOrderOf(plan)
      .get(group)!
      .map((trial, at) => ({ trial, ends: (at + 1) * seconds[place]!, value: 30 + ((at * 7) % 23) }))
      .filter(({ ends }) => ends < passed * 60)
      .map(({ trial, ends, value }): Reading => ({
        ...{ ...trial, group, value, id: randomUUID(), moment: '', practice: false, unit: 'mm', entered: String(value) },
        ...{ status: 'kept', reason: '', confirmed: false, supersedes: null, by: 'station' },
        at: new Date(began + ends * 1000).toISOString(),
      })),
  )
  return JSON.stringify(writeLessonFile(plan, { ...EMPTY_RECORD, readings }, [], new Date().toISOString()))
}
