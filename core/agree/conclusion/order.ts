import { evenedOf, gradeBetween, type Evidence } from '../../evidence'
import { bestOf, canBeNothing, countsOf, resultUnit, testOf } from '../../test'
import { unitNamed, unitOf, type Side, type UnitCode } from '../../quantity'
import { mainWords, type Plan } from '../../lesson'
import type { ClaimDoubt } from '../claims'
import { LOST } from './lexicon'
import type { ComparingMention, ConditionMention, Span } from './stretch'
import { isAbout } from './plainly'

/** What the order of the averages says to a comparing word: something against it, or that it is so. */
export type Judged = ClaimDoubt | { code: 'right'; at: Span[] }

export interface Claim {
  word: ComparingMention
  side: Side
  subject: ConditionMention
}

/** Which end is best; undefined where none is, or a number between them. */
export function bestSideOf(plan: Plan): Side | undefined {
  const best = bestOf(plan)
  if (best === 'most') return 'more'
  return best === 'least' ? 'less' : undefined
}

/** The end of the order that the word points to. */
export function sideOf(word: ComparingMention, clause: string, plan: Plan, { summaries }: Evidence): Side {
  const unit = unitOf(resultUnit(plan))
  const turned = word.quality === 'speed' && unit.dimension === 'time'
  // "Lost most" is the largest change downwards.
  const lost = word.quality === 'size' && LOST.test(clause) && summaries.some(({ evened }) => evened < 0)
  const least = word.quality === 'rank' && bestSideOf(plan) === 'less'
  const warmer = word.quality === 'warmth' && saysCooling(plan)
  return [turned, lost, least, warmer].filter(Boolean).length % 2 === 1 ? (word.side === 'more' ? 'less' : 'more') : word.side
}

/** Is it read how far something cools: what cools most is the coldest in the end. */
export function saysCooling(plan: Plan): boolean {
  return (
    unitOf(resultUnit(plan)).dimension === 'temperature' &&
    /\b(?:cools?|cooling|cooled|loses?|lost|loss|falls?|fell|drops?|dropped)\b/i.test(testOf(plan).measure?.name ?? '')
  )
}

export function judgeSuperlative({ word, subject, side }: Claim, evidence: Evidence, hedged: boolean): Judged[] {
  const at = placesOf(subject, word)
  // Who is ahead of all is ahead of what was not set up fairly, too.
  const unfair = isApart(subject.id, evidence) ? subject.id : evidence.notFair?.apart[0]?.condition
  if (unfair !== undefined) return [{ code: 'not-fair', named: unfair, at }]
  const order = side === 'more' ? evidence.order : [...evidence.order].reverse()
  const [winner, next] = order
  if (!winner || !order.includes(subject.id)) return []
  if (subject.id !== winner) {
    const tellable = isTold(subject.id, winner, evidence) || (hedged && differ(subject.id, winner, evidence))
    if (tellable) return [{ code: 'names-another-winner', named: subject.id, winner, at }]
    return hedged ? [] : [{ code: 'claims-too-much', grade: evidence.grade, at, words: [word.word] }]
  }
  const grade = next === undefined ? 'clear' : gradeBetween(evidence, winner, next)
  if (grade !== 'clear' && !hedged) return [{ code: 'claims-too-much', grade, at, words: [word.word] }]
  return [{ code: 'right', at }]
}

export function judgeComparative(
  { word, subject, side }: Claim,
  objects: ConditionMention[],
  plan: Plan,
  evidence: Evidence,
  hedged: boolean,
): Judged[] {
  const at = placesOf(subject, word, ...objects)
  const apart = [subject, ...objects].find(({ id }) => isApart(id, evidence))
  if (apart) return [{ code: 'not-fair', named: apart.id, at }]
  const others = objects.length > 0 ? objects.map(({ id }) => id) : evidence.order.filter((id) => id !== subject.id)
  const place = (id: string) => evidence.order.indexOf(id)
  if (place(subject.id) < 0 || others.length === 0 || others.some((id) => place(id) < 0)) return []
  const agrees = (id: string) => (side === 'more' ? place(subject.id) < place(id) : place(subject.id) > place(id))
  const wrong = others.filter((id) => !agrees(id))
  if (wrong.length === others.length) {
    const against =
      wrong.find((id) => isTold(subject.id, id, evidence)) ??
      (hedged ? wrong.find((id) => differ(subject.id, id, evidence)) : undefined)
    if (against) return [{ code: 'wrong-direction', named: [subject.id, against], at }]
    return hedged ? [] : [{ code: 'claims-too-much', grade: evidence.grade, at, words: [word.word] }]
  }
  if (wrong.some((id) => objects.length > 0 && isTold(subject.id, id, evidence)))
    return [{ code: 'wrong-direction', named: [subject.id, wrong[0]!], at }]
  // Of several, "is higher" may mean some of them.
  if (wrong.length > 0) return []
  const grades = others.map((id) => gradeBetween(evidence, subject.id, id))
  const clear = objects.length > 0 ? grades.every((grade) => grade === 'clear') : grades.includes('clear')
  if (!clear && !hedged)
    return [{ code: 'claims-too-much', grade: grades.find((grade) => grade !== 'clear') ?? 'cannot-tell', at, words: [word.word] }]
  return [{ code: 'right', at }]
}

/** A fifth of the larger one parts much from a little. */
export const MUCH = 0.2

export function isApart(id: string, { grade, notFair }: Evidence): boolean {
  return grade === 'not-fair' || (notFair?.apart.some(({ condition }) => condition === id) ?? false)
}

export function isTold(a: string, b: string, evidence: Evidence): boolean {
  const grade = gradeBetween(evidence, a, b)
  return grade === 'clear' || grade === 'leaning'
}

/** Do the averages differ at all, where the whole is not the same. */
function differ(a: string, b: string, evidence: Evidence): boolean {
  const one = evenedOf(evidence, a)
  return evidence.grade !== 'same' && one !== undefined && one !== evenedOf(evidence, b)
}

export function placesOf(...spans: Span[]): Span[] {
  return spans.map(({ from, to }) => ({ from, to }))
}

/** How far in a minute is how fast. */
const IN_A_TIME = /\b(?:in|after|within|per|each|every) (?:\p{L}+ )?(?:\d+ ?)?(?:s|sec|seconds?|min|minutes?|hours?|days?)\b/iu

/** "The most millilitres": a unit, without its ending. */
export function unitOfWhat(of: string | undefined): UnitCode | undefined {
  return of === undefined ? undefined : ['', 's', 'e'].map((ending) => unitNamed(of + ending)).find((unit) => unit !== undefined)
}

/** How much there is of a thing is not how high, how warm or how long. */
const MEASURES = /^(?:time|height|length|distance|heat|warmth)/
const NOT_AMOUNTS: readonly string[] = ['length', 'temperature', 'time']
const HEARD = /\b(?:hear|heard|sound|tick\w*|noise)\b/i

/** Is the word about what was measured, and not about the thing: "heavier" of a mass, "higher" of anything. */
export function fitsResult({ quality, of }: ComparingMention, plan: Plan): boolean {
  const measure = testOf(plan).measure
  if (!measure) return false
  // "Holds most water", where heights were read.
  const ofThing = of !== undefined && !MEASURES.test(of) && mainWords(measure.name).includes(of)
  if (quality === 'size' && ofThing && NOT_AMOUNTS.includes(unitOf(resultUnit(plan)).dimension)) return false
  // "Lasts the most years", where a load was read.
  const ofUnit = unitOfWhat(of)
  if (quality === 'size' && ofUnit && ofUnit !== 'pieces' && unitOf(ofUnit).dimension !== unitOf(resultUnit(plan)).dimension)
    return false
  if (quality === 'size') return true
  if (quality === 'speed') {
    return (
      isAbout(measure.name, quality) ||
      unitOf(resultUnit(plan)).dimension === 'time' ||
      countsOf(plan) === 'until' ||
      IN_A_TIME.test(measure.name)
    )
  }
  if (quality === 'rank') return bestSideOf(plan) !== undefined
  const counted = countsOf(plan)
  // The heavier one may well have lost less: of a change only its size is spoken of.
  if (canBeNothing(plan) || counted === 'total') return false
  if (counted !== 'until' && isAbout(measure.name, quality)) return true
  const { dimension } = unitOf(resultUnit(plan))
  // How far off it is heard is how loud it is.
  if (quality === 'loudness' && HEARD.test(measure.name)) return true
  if (dimension === 'length') return quality === 'length' || quality === 'height' || quality === 'distance'
  if (dimension === 'time') return quality === 'length'
  return (
    (dimension === 'mass' && quality === 'weight') ||
    (dimension === 'temperature' && quality === 'warmth') ||
    (dimension === 'sound' && quality === 'loudness')
  )
}
