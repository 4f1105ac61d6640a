import type { Evidence, Grade } from '../evidence'
import { activeConditions, changedFactor, conditionValue, keptFactors, measuredCard, type Plan } from '../lesson'
import { convert, unitOf } from '../quantity'
import { gradeBetween, readDirections } from './conclusion/directions'
import { readFigures } from './conclusion/figures'
import {
  CERTAIN,
  EFFECT,
  HEDGED,
  HOW_SURE,
  MAKES,
  NEGATED,
  NO_DIFFERENCE,
  NOT_FOUND,
  OF_THE_METHOD,
  PROOF,
} from './conclusion/lexicon'
import { clausesOf, namesFactor, plainly, sentencesOf, type ConditionMention, type Span, type Stretch } from './conclusion/mentions'

/** What may be said against a conclusion, with the places where it says so; what is left out has no place. */
export type ClaimDoubt = { at: Span[] } & (
  | { code: 'claims-too-much'; grade: Grade; words: string[] }
  | { code: 'claims-no-difference'; grade: Grade; words: string[] }
  | { code: 'names-another-winner'; named: string; winner: string }
  | { code: 'wrong-direction'; named: string; other: string | undefined }
  | { code: 'wrong-number'; said: string; condition: string | undefined; table: number | undefined }
  | { code: 'not-fair'; named: string | undefined }
  | { code: 'not-tested'; factor: string }
  | { code: 'outside-tested'; said: string }
  | { code: 'proof-words'; words: string[] }
  | { code: 'no-numbers' }
  | { code: 'does-not-say-how-sure' }
  | { code: 'cause-without-reason'; words: string[] }
  | { code: 'unfinished' }
)

export interface ReadConclusion {
  doubts: ClaimDoubt[]
  /** Figures, winners and directions that the table has. */
  right: Span[]
}

const CAUSE =
  /\b(causes?|caused|due to|leads? to|led to|thanks to|that is why|that's why|makes? (?:it|them|the)|made (?:it|them|the))\b/gi
const REASON = /\b(because|since|the reason)\b(?!\s*(?:…|\.\.\.|$))/i

/**
 * What a conclusion says that the table and the evidence do not carry, or leaves out.
 * @example doubtsOfConclusion('Card is definitely best.', plan, evidence).map(({ code }) => code)
 *   // => ['names-another-winner', 'no-numbers', 'does-not-say-how-sure']
 */
export function doubtsOfConclusion(text: string, plan: Plan, evidence: Evidence): ClaimDoubt[] {
  return readConclusion(text, plan, evidence).doubts
}

/**
 * A conclusion read against the table, sentence by sentence: figures, winners, directions, effects, what was not tested or lies outside, certainty; and
 * what of it is right. Where the words can be meant in more than one way, it says nothing against them.
 * @param own of the group that says it: its own averages are right, too
 * @example readConclusion('Kitchen roll was highest.', plan, evidence).right // => [{ from: 0, to: 12 }, { from: 17, to: 24 }]
 */
export function readConclusion(text: string, plan: Plan, evidence: Evidence, own?: Evidence): ReadConclusion {
  const doubts: ClaimDoubt[] = isUnfinished(text) ? [{ code: 'unfinished', at: [] }] : []
  const right: Span[] = []
  if (evidence.grade !== 'nothing-yet') {
    const hedged = HEDGED.test(text)
    for (const sentence of sentencesOf(text, plan)) {
      const read = readSentence(sentence, plan, evidence, own, hedged)
      doubts.push(...read.doubts)
      right.push(...read.right)
    }
    doubts.push(...tooCertain(text, evidence))
  }
  doubts.push(...leftOut(text))
  return {
    doubts: together(doubts),
    right: right.filter((one, place) => right.findIndex(({ from }) => from === one.from) === place),
  }
}

function readSentence(
  sentence: Stretch,
  plan: Plan,
  evidence: Evidence,
  own: Evidence | undefined,
  hedged: boolean,
): ReadConclusion {
  const doubts: ClaimDoubt[] = []
  const right: Span[] = []
  const outside = outsideTested(sentence, plan)
  if (outside) doubts.push(outside)
  else if (!NOT_FOUND.test(sentence.text)) {
    const figures = readFigures(sentence, plan, evidence, own)
    right.push(...figures.right)
    for (const { from, to, ...wrong } of figures.wrong) doubts.push({ code: 'wrong-number', ...wrong, at: [{ from, to }] })
  }
  for (const judged of readDirections(sentence, plan, evidence, hedged)) {
    if (judged.code === 'right') right.push(...judged.spans.map(({ from, to }) => ({ from, to })))
    else doubts.push(doubtOf(judged))
  }
  doubts.push(...effects(sentence, plan, evidence, hedged), ...noDifference(sentence, evidence, hedged), ...proof(sentence))
  return { doubts, right }
}

function doubtOf(judged: Exclude<ReturnType<typeof readDirections>[number], { code: 'right' }>): ClaimDoubt {
  const at = judged.spans.map(({ from, to }) => ({ from, to }))
  switch (judged.code) {
    case 'too-much':
      return { code: 'claims-too-much', grade: judged.grade, words: judged.words, at }
    case 'another-winner':
      return { code: 'names-another-winner', named: judged.named, winner: judged.winner, at }
    case 'wrong-direction':
      return { code: 'wrong-direction', named: judged.named, other: judged.other, at }
    case 'not-fair':
      return { code: 'not-fair', named: judged.named, at }
    case 'not-tested':
      return { code: 'not-tested', factor: judged.factor, at }
  }
}

/** A number of the thing that was changed, beyond all that were tested. */
function outsideTested(sentence: Stretch, plan: Plan): ClaimDoubt | undefined {
  if (plan.conditionsAs !== 'numbers' || NOT_FOUND.test(sentence.text)) return undefined
  const tested = activeConditions(plan).flatMap((condition) => conditionValue(plan, condition) ?? [])
  const alike = unitOf(plan.conditionUnit).dimension === unitOf(measuredCard(plan)?.method.unit ?? 'count').dimension
  const found = sentence.mentions.find((figure) => {
    if (figure.kind !== 'figure' || !figure.unitSaid || (alike && figure.unit !== plan.conditionUnit)) return false
    const value = convert(figure.value, figure.unit, plan.conditionUnit)
    const before = sentence.text.slice(0, figure.from - sentence.from)
    const placed =
      /\b(?:at|from|beyond|past)\s*$/.test(before) || (!alike && /\b(?:with|of|over|above|below|under)\s*$/.test(before))
    return placed && value !== undefined && (value > Math.max(...tested) || value < Math.min(...tested))
  })
  if (!found || tested.length === 0) return undefined
  const { from, to } = found
  return { code: 'outside-tested', said: sentence.text.slice(from - sentence.from, to - sentence.from).trim(), at: [{ from, to }] }
}

/** What is said to change the result: the thing that was changed, as far as the grade goes; anything else was not tested. */
function effects(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): ClaimDoubt[] {
  return clausesOf(sentence).flatMap((clause): ClaimDoubt[] => {
    if (NEGATED.test(clause.text) || NOT_FOUND.test(clause.text) || / no /.test(clause.text)) return []
    const kept = OF_THE_METHOD.test(clause.text)
      ? undefined
      : keptFactors(plan).find((factor) => namesFactor(factor, beforeVerb(clause.text, MAKES)))
    if (kept && !namesFactor(changedFactor(plan), clause.text))
      return [{ code: 'not-tested', factor: kept.id, at: [placeOf(clause, MAKES)] }]
    const word = EFFECT.exec(clause.text)
    if (!word || !namesFactor(changedFactor(plan), clause.text)) return []
    const at = [placeOf(clause, EFFECT)]
    if (evidence.grade === 'not-fair') return [{ code: 'not-fair', named: undefined, at }]
    const carried = evidence.grade === 'clear' || evidence.grade === 'one-condition' || hedged
    return carried ? [] : [{ code: 'claims-too-much', grade: evidence.grade, words: [word[0]], at }]
  })
}

function beforeVerb(text: string, verb: RegExp): string {
  const found = verb.exec(text)
  return found ? text.slice(0, found.index) : ''
}

function placeOf(stretch: Stretch, words: RegExp): Span {
  const found = words.exec(stretch.text)!
  return { from: stretch.from + found.index, to: stretch.from + found.index + found[0].length }
}

function noDifference(sentence: Stretch, evidence: Evidence, hedged: boolean): ClaimDoubt[] {
  const found = [...sentence.text.matchAll(NO_DIFFERENCE)]
  if (found.length === 0 || hedged || OF_THE_METHOD.test(sentence.text) || NOT_FOUND.test(sentence.text)) return []
  const named = [
    ...new Set(sentence.mentions.filter((one): one is ConditionMention => one.kind === 'condition').map(({ id }) => id)),
  ]
  const grade = named.length === 2 ? gradeBetween(named[0]!, named[1]!, evidence) : evidence.grade
  if (grade === 'same' || grade === 'one-condition') return []
  if (named.length === 2 && grade === 'cannot-tell' && /\b(about|nearly|almost)\b/.test(sentence.text)) return []
  const at = found.map((match) => ({ from: sentence.from + match.index, to: sentence.from + match.index + match[0].length }))
  return [{ code: 'claims-no-difference', grade, words: found.map(([word]) => word), at }]
}

function proof(sentence: Stretch): ClaimDoubt[] {
  const found = [...sentence.text.matchAll(PROOF)]
  if (found.length === 0 || OF_THE_METHOD.test(sentence.text) || NOT_FOUND.test(sentence.text) || NEGATED.test(sentence.text))
    return []
  const at = found.map((match) => ({ from: sentence.from + match.index, to: sentence.from + match.index + match[0].length }))
  return [{ code: 'proof-words', words: found.map(([word]) => word), at }]
}

/** Words that are surer than the evidence. */
function tooCertain(text: string, { grade }: Evidence): ClaimDoubt[] {
  if (grade === 'clear' || grade === 'same' || grade === 'one-condition' || NEGATED.test(text)) return []
  const found = [...plainly(text).matchAll(CERTAIN)]
  if (found.length === 0) return []
  const at = found.map((match) => ({ from: match.index, to: match.index + match[0].length }))
  return [{ code: 'claims-too-much', grade, words: found.map(([word]) => word), at }]
}

/** What a whole conclusion has and this one has not. */
function leftOut(text: string): ClaimDoubt[] {
  const causes = [...new Set([...text.matchAll(CAUSE)].map(([word]) => word.toLowerCase()))]
  return [
    ...(/\d/.test(text) ? [] : [{ code: 'no-numbers' as const, at: [] }]),
    ...(HOW_SURE.test(text) || HEDGED.test(text) ? [] : [{ code: 'does-not-say-how-sure' as const, at: [] }]),
    ...(causes.length > 0 && !REASON.test(text) ? [{ code: 'cause-without-reason' as const, words: causes, at: [] }] : []),
  ]
}

/** One doubt a code, but for figures, of which each is its own; what is wrong goes before what is left out. */
function together(doubts: ClaimDoubt[]): ClaimDoubt[] {
  const merged: ClaimDoubt[] = []
  for (const doubt of doubts) {
    const same = merged.find(({ code }) => code === doubt.code && code !== 'wrong-number')
    if (!same) merged.push({ ...doubt })
    else {
      same.at = [...same.at, ...doubt.at.filter(({ from }) => !same.at.some((one) => one.from === from))]
      if ('words' in same && 'words' in doubt) same.words = [...new Set([...same.words, ...doubt.words])]
    }
  }
  return merged
}

/** Does a hole of a sentence's beginning wait to be filled. `isUnfinished('We found that …') // true` */
export function isUnfinished(text: string): boolean {
  return /…|\.\.\./.test(text)
}

/** What only the numbers can say against a sentence: a group that does not see the class's results yet is not asked how sure it is. */
const SEEN_IN_OWN_TABLE: ClaimDoubt['code'][] = ['unfinished', 'wrong-number', 'names-another-winner', 'wrong-direction']

/**
 * A group's own sentence, read before it is offered: against the class's table where the group sees it, else against its own alone.
 * @example readOffer('Card reached 90 mm.', plan, { own: evidence, ofClass: undefined }).doubts[0].code // => 'wrong-number'
 */
export function readOffer(
  text: string,
  plan: Plan,
  { own, ofClass }: { own: Evidence | undefined; ofClass: Evidence | undefined },
): ReadConclusion {
  if (ofClass) return readConclusion(text, plan, ofClass, own)
  if (!own) return { doubts: [], right: [] }
  const read = readConclusion(text, plan, own)
  return { ...read, doubts: read.doubts.filter(({ code }) => SEEN_IN_OWN_TABLE.includes(code)) }
}
