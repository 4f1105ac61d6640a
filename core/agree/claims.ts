import { activeConditions, conditionName, type Plan } from '../lesson'
import { matchable, placesOf } from './names'
import type { Evidence, Grade } from '../evidence'

export type ClaimDoubt =
  | { code: 'claims-too-much'; grade: Grade; words: string[] }
  | { code: 'claims-no-difference'; grade: Grade; words: string[] }
  | { code: 'names-another-winner'; named: string; winner: string }
  | { code: 'not-fair'; named: string | undefined }
  | { code: 'no-numbers' }
  | { code: 'does-not-say-how-sure' }
  | { code: 'cause-without-reason'; words: string[] }
  | { code: 'unfinished' }

const CERTAIN =
  /\b(prove[sdn]?|proof|definitely|certain(?:ly)?|always|every time|for sure|without (?:a |any )?doubt|we know|we are sure|shows? (?:clearly|that)|clearly|is clear(?:ly)?|must be)\b/gi
export const HEDGED =
  /\b(may|might|maybe|perhaps|seems?|looks? (?:like|as if)|probably|lean\w*|not sure|cannot tell|can't tell|not (?:yet )?(?:tell|say)|could be|not clear|unclear)\b/i
const COMPARED =
  /\b(most|more|highest|higher|longest|longer|fastest|faster|best|better|biggest|bigger|furthest|further|heaviest|heavier|tallest|taller|strongest|stronger|least|less|lowest|lower|shortest|shorter|slowest|slower|smallest|smaller)\b/gi
const NO_DIFFERENCE = /\b(no difference|makes? no|the same|does not (?:matter|change)|doesn't (?:matter|change)|not change)\b/gi
export const HOW_SURE =
  /\b(sure|clear|clearly|tell|show|shown|groups? (?:agree\w*|found|got|put)|probably|lean\w*|evidence|wobble|certain)\b/i

const CAUSE =
  /\b(causes?|caused|due to|leads? to|led to|thanks to|that is why|that's why|makes? (?:it|them|the)|made (?:it|them|the))\b/gi
const REASON = /\b(because|since|the reason)\b(?!\s*(?:…|\.\.\.|$))/i

/**
 * What a conclusion says that the evidence does not carry, or leaves out: more certainty or a firmer comparison than the grade
 * allows, a winner that the numbers do not name, no numbers, nothing on how sure, a cause without a reason for it.
 * @example doubtsOfConclusion('Card is definitely best.', plan, evidence).map(({ code }) => code)
 *   // => ['names-another-winner', 'no-numbers', 'does-not-say-how-sure']
 */
export function doubtsOfConclusion(text: string, plan: Plan, evidence: Evidence): ClaimDoubt[] {
  const doubts: ClaimDoubt[] = isUnfinished(text) ? [{ code: 'unfinished' }] : []
  const certain = matches(text, CERTAIN)
  const same = matches(text, NO_DIFFERENCE)
  const compared = matches(text, COMPARED)
  const hedged = HEDGED.test(text)
  const { grade, lead } = evidence
  const alone = grade === 'one-condition'
  if (grade !== 'clear' && grade !== 'same' && !alone && certain.length > 0 && !/\b(not|cannot|can't)\b/i.test(text)) {
    doubts.push({ code: 'claims-too-much', grade, words: certain })
  } else if (grade !== 'clear' && compared.length > 0 && !hedged && same.length === 0) {
    doubts.push({ code: 'claims-too-much', grade, words: compared })
  } else if (grade === 'clear' && lead && lead.grade !== 'clear' && !hedged && namesTop(text, plan, lead.more)) {
    doubts.push({ code: 'claims-too-much', grade: lead.grade, words: compared })
  }
  if (same.length > 0 && grade !== 'same' && !alone && !hedged) doubts.push({ code: 'claims-no-difference', grade, words: same })
  const named = namedWinner(text, plan)
  const notFair = evidence.notFair?.apart.some(({ condition }) => condition === named)
  if (notFair || (grade === 'not-fair' && compared.length > 0)) doubts.push({ code: 'not-fair', named })
  if (named && lead && grade === 'clear' && lead.grade === 'clear' && named !== lead.more) {
    doubts.push({ code: 'names-another-winner', named, winner: lead.more })
  }
  if (!/\d/.test(text)) doubts.push({ code: 'no-numbers' })
  if (!HOW_SURE.test(text) && !hedged) doubts.push({ code: 'does-not-say-how-sure' })
  const causes = matches(text, CAUSE)
  if (causes.length > 0 && !REASON.test(text)) doubts.push({ code: 'cause-without-reason', words: causes })
  return doubts
}

/** Does a hole of a sentence's beginning wait to be filled. `isUnfinished('We found that …') // true` */
export function isUnfinished(text: string): boolean {
  return /…|\.\.\./.test(text)
}

const MOST = /\b(most|highest|longest|fastest|best|biggest|furthest|heaviest|tallest|strongest)\b/i

/** Does the text put this condition on top, alone? */
function namesTop(text: string, plan: Plan, condition: string): boolean {
  return MOST.test(text) && namedWinner(text, plan) === condition
}

/** The condition named nearest before a word like "highest"; where none stands before it, the first one after. */
function namedWinner(text: string, plan: Plan): string | undefined {
  const plain = matchable(text)
  const word = MOST.exec(plain)
  if (!word) return undefined
  const named = activeConditions(plan).flatMap((condition) =>
    placesOf(matchable(conditionName(plan, condition)), plain).map((at) => ({ id: condition.id, at })),
  )
  const earlier = named.filter(({ at }) => at < word.index).sort((a, b) => b.at - a.at)
  const later = named.filter(({ at }) => at > word.index).sort((a, b) => a.at - b.at)
  return earlier[0]?.id ?? later[0]?.id
}

function matches(text: string, words: RegExp): string[] {
  return [...new Set([...text.matchAll(words)].map((match) => match[0].toLowerCase()))]
}
