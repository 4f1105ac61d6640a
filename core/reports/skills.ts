import { classConclusion } from '../agree'
import { evidenceOf } from '../evidence'
import { activeConditions, keptFactors, type LessonRecord, type Plan } from '../lesson'
import { handsOf, predictionsByGroup } from '../predictions'
import { currentReadings, hasBegun } from '../record'
import { testOf } from '../test'

/** What children practise in an investigation, in the order of a lesson. */
export const SKILLS = [
  'noticing',
  'asking',
  'fair-testing',
  'predicting',
  'measuring',
  'repeating',
  'observing',
  'judging-odd',
  'averaging',
  'graphing',
  'concluding',
  'weighing-evidence',
] as const
export type Skill = (typeof SKILLS)[number]

/**
 * Which skills this lesson practised, as far as its record shows: a plan alone practises nothing.
 * @example skillsOf(plan, record) // => ['fair-testing', 'measuring', 'repeating', 'averaging', 'graphing']
 */
export function skillsOf(plan: Plan, record: LessonRecord): Skill[] {
  const readings = currentReadings(record.readings).filter(({ practice }) => !practice)
  const begun = hasBegun(record.readings)
  const conclusion = classConclusion(record.conclusions)
  const { way, kind } = testOf(plan)
  const grade = evidenceOf(plan, record)?.grade ?? 'nothing-yet'
  const graded = grade !== 'nothing-yet' && grade !== 'not-fair'
  const practised: Record<Skill, boolean> = {
    noticing: plan.wonder.noticed.length > 0 || record.remarks.some(({ list }) => list === 'noticed'),
    asking: plan.wonder.wondered.length > 0 || record.remarks.some(({ list }) => list === 'wondered'),
    'fair-testing': begun && !kind.improves && keptFactors(plan).length > 0 && activeConditions(plan).length > 1,
    predicting:
      handsOf(plan, record.predictions) !== undefined ||
      predictionsByGroup(plan, record.predictions).some(({ stamped }) => stamped),
    measuring: begun && way.isAmount,
    repeating: new Set(readings.map(({ repeat }) => repeat)).size > 1,
    observing: record.observations.length > 0,
    'judging-odd': readings.some(({ status, confirmed }) => status === 'set-aside' || confirmed),
    averaging: graded && way.isAmount && plan.average !== 'none',
    graphing: graded,
    concluding: conclusion !== undefined && conclusion.text !== '',
    'weighing-evidence': graded && (conclusion?.agreed ?? false),
  }
  return SKILLS.filter((skill) => practised[skill])
}
