import { gradeBetween, type Evidence } from '../../evidence'
import { activeConditions, changedFactor, conditionValue, isNamed, keptFactors, mainWords, type Plan } from '../../lesson'
import { resultUnit } from '../../test'
import { convert, unitOf } from '../../quantity'
import type { ClaimDoubt } from '../claims'
import { CERTAIN, EFFECT, MAKES, NEGATED, NO_DIFFERENCE, NOT_FOUND, OF_THE_METHOD, PROOF } from './lexicon'
import { clausesOf, plainly, type ConditionMention, type Span, type Stretch } from './mentions'

/** A number of the thing that was changed, beyond all that were tested. */
export function outsideTested(sentence: Stretch, plan: Plan, sure: boolean): ClaimDoubt | undefined {
  const foretold = sure && WOULD.test(sentence.text) && !WISHED.test(sentence.text)
  const figure = sentence.mentions.find(({ kind }) => kind === 'figure')
  if (foretold && figure) {
    const { from, to } = figure
    return {
      code: 'outside-tested',
      said: sentence.text.slice(from - sentence.from, to - sentence.from).trim(),
      at: [{ from, to }],
    }
  }
  if (plan.conditionsAs !== 'numbers' || NOT_FOUND.test(sentence.text)) return undefined
  const tested = activeConditions(plan).flatMap((condition) => conditionValue(plan, condition) ?? [])
  const alike = unitOf(plan.conditionUnit).dimension === unitOf(resultUnit(plan)).dimension
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

/** A figure that nobody read: of something that was not there, or of another number. */
const WOULD = /\bwould\b/i
const WISHED =
  /\b(?:if we|we would|would like|thought|predict\w*|guess\w*|expect\w*|wonder\w*|perhaps|maybe|might|about|probably|forecast\w*|should)\b/i

/** What is said to change the result: the thing that was changed, as far as the grade goes; anything else was not tested. */
export function effects(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): ClaimDoubt[] {
  return clausesOf(sentence).flatMap((clause): ClaimDoubt[] => {
    if (NEGATED.test(clause.text) || NOT_FOUND.test(clause.text) || / no /.test(clause.text)) return []
    const kept = OF_THE_METHOD.test(clause.text)
      ? undefined
      : keptFactors(plan).find((factor) => isNamed(factor.name, beforeVerb(clause.text, MAKES)))
    if (kept && !isNamed(changedFactor(plan)?.name ?? '', clause.text))
      return [{ code: 'not-tested', factor: kept.id, at: placesOf([MAKES.exec(clause.text)!], clause.from) }]
    const word = EFFECT.exec(clause.text)
    if (!word || !isNamed(changedFactor(plan)?.name ?? '', clause.text)) return []
    const at = placesOf([word], clause.from)
    if (evidence.grade === 'not-fair') return [{ code: 'not-fair', named: undefined, at }]
    const carried = evidence.grade === 'clear' || evidence.grade === 'one-condition' || hedged
    return carried ? [] : [{ code: 'claims-too-much', grade: evidence.grade, words: [word[0]], at }]
  })
}

function beforeVerb(text: string, verb: RegExp): string {
  const found = verb.exec(text)
  return found ? text.slice(0, found.index) : ''
}

function placesOf(found: RegExpExecArray[], offset: number): Span[] {
  return found.map((match) => ({ from: offset + match.index, to: offset + match.index + match[0].length }))
}

/** Not having seen a difference is less than there being none. */
export function noDifference(sentence: Stretch, evidence: Evidence, hedged: boolean): ClaimDoubt[] {
  const found = [...sentence.text.matchAll(NO_DIFFERENCE)]
  if (found.length === 0 || hedged || OF_THE_METHOD.test(sentence.text) || NOT_FOUND.test(sentence.text)) return []
  const named = [
    ...new Set(sentence.mentions.filter((one): one is ConditionMention => one.kind === 'condition').map(({ id }) => id)),
  ]
  const grade = named.length === 2 ? gradeBetween(evidence, named[0]!, named[1]!) : evidence.grade
  if (grade === 'same' || grade === 'one-condition') return []
  if (named.length === 2 && grade === 'cannot-tell' && /\b(about|nearly|almost)\b/.test(sentence.text)) return []
  return [{ code: 'claims-no-difference', grade, words: found.map(([word]) => word), at: placesOf(found, sentence.from) }]
}

/** Words that no single test carries. */
export function proof(sentence: Stretch, plan: Plan): ClaimDoubt[] {
  const things = mainWords(changedFactor(plan)?.name ?? '').join('|')
  const ofAll = things === '' ? [] : [...sentence.text.matchAll(new RegExp(`\\b(?:all|every|any) (?:${things})\\p{L}*`, 'gu'))]
  const found = [...sentence.text.matchAll(PROOF), ...ofAll]
  if (found.length === 0 || OF_THE_METHOD.test(sentence.text) || NOT_FOUND.test(sentence.text) || NEGATED.test(sentence.text))
    return []
  return [{ code: 'proof-words', words: found.map(([word]) => word), at: placesOf(found, sentence.from) }]
}

/** Words that are surer than the evidence. */
export function tooCertain(text: string, { grade }: Evidence): ClaimDoubt[] {
  if (
    grade === 'clear' ||
    grade === 'same' ||
    grade === 'one-condition' ||
    NEGATED.test(text.replace(/could not be clearer/gi, ''))
  )
    return []
  const found = [...plainly(text).matchAll(CERTAIN)]
  if (found.length === 0) return []
  return [{ code: 'claims-too-much', grade, words: found.map(([word]) => word), at: placesOf(found, 0) }]
}

/** What is true of the whole: that it matters, where that is clear; that nobody can tell, where nobody can; that nothing differs, where it is the same. */
export function toldRight(sentence: Stretch, plan: Plan, { grade }: Evidence): Span[] {
  const placed = (word: RegExpExecArray | null) => (word ? placesOf([word], sentence.from) : [])
  if (grade === 'cannot-tell' || grade === 'leaning') return placed(CANNOT_TELL.exec(sentence.text))
  if (grade === 'same') return placed(new RegExp(NO_DIFFERENCE.source, 'i').exec(sentence.text))
  const negated = NEGATED.test(sentence.text) || / no /.test(sentence.text) || NOT_FOUND.test(sentence.text)
  if (grade !== 'clear' || negated || OF_THE_METHOD.test(sentence.text)) return []
  return clausesOf(sentence).flatMap((clause) => {
    const word = EFFECT.exec(clause.text)
    const own =
      isNamed(changedFactor(plan)?.name ?? '', clause.text) ||
      /\b(?:it|that|this) (?:really |clearly )?$/.test(clause.text.slice(0, word?.index ?? 0))
    return word && own ? placesOf([word], clause.from) : []
  })
}

const CANNOT_TELL = /\b(?:cannot|can't|could not|are not able to) (?:yet )?(?:tell|say)(?: yet)?\b/i
