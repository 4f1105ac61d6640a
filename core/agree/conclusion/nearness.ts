import { evenedOf, type Evidence, gradeBetween } from '../../evidence'
import type { ComparingMention, ConditionMention, Stretch } from './stretch'
import { type Judged, placesOf } from './order'

/** "Writing paper is closer to card than to tissue": which of two averages is nearer. */
export function readNearness(
  { word, from, to }: ComparingMention,
  subject: ConditionMention,
  clause: Stretch,
  conditions: ConditionMention[],
  evidence: Evidence,
): Judged[] | undefined {
  const [near, far] = conditions.filter((one) => one.from >= to)
  if (
    !/^(?:closer|nearer)$/.test(word) ||
    !near ||
    !/^ to (?:the )?$/.test(clause.text.slice(to - clause.from, near.from - clause.from))
  )
    return undefined
  const [own, one, other] = [subject, near, far].map((of) => of && evenedOf(evidence, of.id))
  if (!far || own === undefined || one === undefined || other === undefined) return []
  if (gradeBetween(evidence, near.id, far.id) !== 'clear') return []
  const at = placesOf(subject, { from, to }, near, far)
  return Math.abs(own - one) < Math.abs(own - other) ? [{ code: 'right', at }] : [{ code: 'wrong-direction', named: undefined, at }]
}
