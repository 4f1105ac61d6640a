import { type Evidence, gradeBetween } from '../../evidence'
import { type Claim, isApart, type Judged, placesOf } from './order'
import { type Spoken, subjectOf } from './subject'

/** Denies the word that stands right behind: "is not higher than", "was never the best"; "not sure which is higher" denies nothing. */
export const DENIED = /(?:\b(?:not|never)|n't) (?!sure|certain|clear|tell|say|only|yet)(?:\p{L}+ ){0,2}$/u

/** What is denied is wrong where the table has it clearly, and right where it has clearly the contrary. */
export function judgeDenied(
  { word, side }: Omit<Claim, 'subject'>,
  { conditions, before, clause }: Spoken,
  evidence: Evidence,
): Judged[] {
  const subject = subjectOf(word, conditions, before, clause)
  const { order } = evidence
  const ranked = side === 'more' ? order : [...order].reverse()
  if (!subject || !order.includes(subject.id) || isApart(subject.id, evidence)) return []
  const object = conditions.find(({ from, id }) => from >= word.to && id !== subject.id)
  const other = word.superlative ? (ranked[0] === subject.id ? ranked[1] : ranked[0]) : object?.id
  if (other === undefined || !order.includes(other)) return []
  const grade = gradeBetween(evidence, subject.id, other)
  // "Wool is not warmer than bare", where the two are the same as far as anybody can tell.
  if (grade === 'same' && object) return [{ code: 'right', at: placesOf(subject, word, object) }]
  if (grade !== 'clear') return []
  const at = placesOf(subject, word, ...(word.superlative || !object ? [] : [object]))
  return ranked.indexOf(subject.id) < ranked.indexOf(other)
    ? [{ code: 'wrong-direction', named: [subject.id, other], at }]
    : [{ code: 'right', at }]
}
