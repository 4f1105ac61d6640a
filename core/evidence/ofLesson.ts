import { activeConditions, measuredCard, type LessonRecord, type Plan } from '../lesson'
import { methodMeasuringSd } from '../measuring'
import { countedReadings } from '../record'
import { weighEvidence, type Evidence } from './grade'

/** The evidence of a lesson as it stands; undefined while nothing is chosen to measure. Conditions come in the plan's order. */
export function evidenceOf(plan: Plan, record: LessonRecord): Evidence | undefined {
  const method = measuredCard(plan)?.method
  if (!method) return undefined
  const counted = countedReadings(plan, record.readings)
  const ordered = activeConditions(plan).flatMap(({ id }) => counted.filter((reading) => reading.condition === id))
  return weighEvidence(ordered, {
    resolution: method.resolution,
    measuringSd: methodMeasuringSd(method),
    differenceThatMatters: method.differenceThatMatters,
  })
}
