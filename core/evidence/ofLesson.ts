import { arrangementOf } from '../clock'
import { activeConditions, measuredCard, momentsOf, WHOLE_CLASS, type LessonRecord, type Plan } from '../lesson'
import { methodMeasuringSd } from '../measuring'
import { countedReadings, oncePerPair, trialResults, wholeTrials } from '../record'
import { agreementOn, weighEvidence, weighOrder, type Evidence, type EvidenceOptions } from './grade'
import type { Observation } from './model'

/**
 * The evidence of a lesson as it stands; undefined while nothing is chosen to measure. Conditions come in the plan's order.
 * One thing read before and after is compared with itself: `before` and `after` stand for the conditions then.
 */
export const evidenceOf = oncePerPair((plan: Plan, record: LessonRecord): Evidence | undefined => {
  const method = measuredCard(plan)?.method
  if (!method) return undefined
  const conditions = activeConditions(plan)
  const options = {
    resolution: method.resolution,
    measuringSd: methodMeasuringSd(method),
    differenceThatMatters: method.differenceThatMatters,
  }
  if (plan.kind === 'before-after' && conditions.length === 1) return beforeAndAfter(plan, record, conditions[0]!.id, options)
  // Everybody takes turns at the same apparatus: whose turn it was is no block of its own.
  const oneApparatus = arrangementOf(plan) === 'together' && method.instrument === 'number'
  const results = trialResults(plan, record.readings)
  const ordered = conditions
    .flatMap(({ id }) => results.filter((result) => result.condition === id))
    .map((result) => (oneApparatus ? { ...result, group: WHOLE_CLASS } : result))
  if (method.instrument === 'number') return weighEvidence(ordered, options)
  return weighOrder(ordered, method.instrument === 'words' ? 'words' : 'places')
})

/** Each trial is its own block: how heavy one bag is says nothing about another. */
function beforeAndAfter(plan: Plan, record: LessonRecord, condition: string, options: EvidenceOptions): Evidence {
  const counted = wholeTrials(countedReadings(plan, record.readings)).filter((reading) => reading.condition === condition)
  const at = (block: (reading: (typeof counted)[number]) => string): Observation[] =>
    momentsOf(plan).flatMap(({ id }) =>
      counted
        .filter(({ moment }) => moment === id)
        .map((reading) => ({ group: block(reading), condition: id, value: reading.value })),
    )
  const evidence = weighEvidence(
    at(({ group, repeat }) => `${group}/${repeat}`),
    options,
  )
  const winner = evidence.order[0]
  return {
    ...evidence,
    agreement: winner
      ? agreementOn(
          winner,
          at(({ group }) => group),
        )
      : undefined,
  }
}
