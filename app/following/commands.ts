import { type LessonRecord, type NewReading, type Plan, type Stop } from '~~/core/lesson'
import { backIntoWhole, forMeasure } from '~~/core/test'
import { isPlanFix, mend, targetName, type Fix } from '~~/core/secondLook'
import type { UnitCode } from '~~/core/quantity'
import { writeReading } from '~~/core/wording'
import { superseding } from './readingRow'

/** What a button of the Second look comes to. */
export type Command =
  | { do: 'replace'; plan: Plan }
  | { do: 'write'; readings: NewReading[]; /** Writes what stood there before. */ back?: NewReading[] }
  | { do: 'go'; stop: Stop; target: string | undefined }
  /** It was about a reading that is not there any more. */
  | { do: 'nothing' }

/** What is to be done for a fix. @param plan with what stations said in its lists */
export function commandFor(plan: Plan, record: LessonRecord, fix: Fix, newId: () => string): Command {
  if (fix.code === 'on-measure') return ofMeasure(plan, fix.measure, (view) => commandFor(view, record, fix.fix, newId))
  if (isPlanFix(fix)) return { do: 'replace', plan: mend(plan, fix, newId) }
  if (fix.code === 'go') return { do: 'go', stop: fix.stop, target: fix.target && targetName(fix.target) }
  if (fix.code === 'these-were') return turned(record, fix.readings, fix.unit)
  const reading = record.readings.find(({ id }) => id === fix.reading)
  if (!reading) return { do: 'nothing' }
  if (fix.code === 'keep-reading') return { do: 'write', readings: [superseding(reading, { confirmed: true })] }
  const { value, unit } = fix
  const reason = `was written as ${reading.entered}`
  return {
    do: 'write',
    readings: [superseding(reading, { value, unit, entered: writeReading(plan, value, unit), reason, confirmed: true })],
  }
}

/** What is to be done about one of several measures, for the whole lesson. */
function ofMeasure(plan: Plan, measure: string, command: (view: Plan) => Command): Command {
  const view = forMeasure(plan, measure)
  const made = command(view)
  return made.do === 'replace' ? { do: 'replace', plan: backIntoWhole(plan, view, made.plan) } : made
}

/** The same numbers in another unit: they were read so and written down under a wrong one. */
function turned(record: LessonRecord, ids: string[], unit: UnitCode): Command {
  const wrong = record.readings.filter(({ id }) => ids.includes(id))
  if (wrong.length === 0) return { do: 'nothing' }
  const readings = wrong.map((one) => superseding(one, { unit, reason: `was written in ${one.unit}` }))
  const back = readings.map((one, place) => superseding(one, { unit: wrong[place]!.unit, reason: `taken back from ${unit}` }))
  return { do: 'write', readings, back }
}
