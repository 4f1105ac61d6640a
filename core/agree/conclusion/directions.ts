import { gradeBetween, type Evidence } from '../../evidence'
import { changedFactor, conditionValue, type Plan } from '../../lesson'
import { bestOf, canBeNothing, countsOf, resultUnit, testOf } from '../../test'
import { unitOf, type Side } from '../../quantity'
import type { ClaimDoubt } from '../claims'
import { LOST, NEGATED, NOT_FOUND } from './lexicon'
import { clausesOf, isAbout, keptFactorOf, type ComparingMention, type ConditionMention, type Span, type Stretch } from './mentions'

/** What the order of the averages says to a comparing word: something against it, or that it is so. */
export type Judged = ClaimDoubt | { code: 'right'; at: Span[] }

interface Claim {
  word: ComparingMention
  side: Side
  subject: ConditionMention
}

/** Every comparison that a sentence makes, against the order of the averages. */
export function readDirections(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): Judged[] {
  const trend = readTrend(sentence, plan, evidence, hedged)
  return trend ? [trend] : clausesJudged(sentence, plan, evidence, hedged)
}

function clausesJudged(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): Judged[] {
  // Who a sentence began with stays its subject: "card was lower than tissue, but higher than …".
  let last: ConditionMention | undefined
  return clausesOf(sentence).flatMap((clause) => {
    const conditions = clause.mentions.filter((one): one is ConditionMention => one.kind === 'condition')
    const words = clause.mentions.filter((one): one is ComparingMention => one.kind === 'comparing')
    const before = last
    last = conditions[0] ?? last
    if (NOT_FOUND.test(clause.text)) return []
    return words.flatMap((word): Judged[] => {
      const kept = keptFactorOf(word, sentence, plan)
      if (kept) return [{ code: 'not-tested', factor: kept.id, at: placesOf(word) }]
      if (!fitsResult(word, plan) || NEGATED.test(clause.text.slice(0, word.from - clause.from))) return []
      const subject = subjectOf(word, conditions, before)
      if (!subject) return []
      const claim: Claim = { word, subject, side: sideOf(word, clause.text, plan, evidence) }
      if (word.superlative) return judgeSuperlative(claim, evidence, hedged)
      const than = /\bthan\b/.exec(clause.text.slice(word.to - clause.from))
      const object = conditions.find(({ from, id }) => from > word.to && id !== subject.id)
      if (than && !object) return []
      return judgeComparative(claim, than ? object : undefined, plan, evidence, hedged)
    })
  })
}

/** Who is meant: named nearest before the word, else behind it; else who the sentence began with. */
function subjectOf(
  word: ComparingMention,
  conditions: ConditionMention[],
  before: ConditionMention | undefined,
): ConditionMention | undefined {
  const earlier = conditions.filter(({ from }) => from < word.from).at(-1)
  const later = conditions.find(({ from }) => from > word.from)
  if (earlier) return earlier
  return word.superlative ? (later ?? before) : before
}

/** Is the word about what was measured, and not about the thing: "heavier" of a mass, "higher" of anything. */
function fitsResult({ quality }: ComparingMention, plan: Plan): boolean {
  const measure = testOf(plan).measure
  if (!measure) return false
  if (quality === 'size' || quality === 'speed') return true
  if (quality === 'rank') return bestSideOf(plan) !== undefined
  const counted = countsOf(plan)
  // The heavier one may well have lost less: of a change only its size is spoken of.
  if (canBeNothing(plan) || counted === 'total') return false
  if (counted !== 'until' && isAbout(measure.name, quality)) return true
  const { dimension } = unitOf(resultUnit(plan))
  if (dimension === 'length') return quality === 'length' || quality === 'height' || quality === 'distance'
  if (dimension === 'time') return quality === 'length'
  return (
    (dimension === 'mass' && quality === 'weight') ||
    (dimension === 'temperature' && quality === 'warmth') ||
    (dimension === 'sound' && quality === 'loudness')
  )
}

/** Which end is best; undefined where none is, or a number between them. */
function bestSideOf(plan: Plan): Side | undefined {
  const best = bestOf(plan)
  if (best === 'most') return 'more'
  return best === 'least' ? 'less' : undefined
}

/** The end of the order that the word points to. */
function sideOf(word: ComparingMention, clause: string, plan: Plan, { summaries }: Evidence): Side {
  const unit = unitOf(resultUnit(plan))
  const turned = word.quality === 'speed' && unit.dimension === 'time'
  // "Lost most" is the largest change downwards.
  const lost = word.quality === 'size' && LOST.test(clause) && summaries.some(({ evened }) => evened < 0)
  const least = word.quality === 'rank' && bestSideOf(plan) === 'less'
  return [turned, lost, least].filter(Boolean).length % 2 === 1 ? (word.side === 'more' ? 'less' : 'more') : word.side
}

function judgeSuperlative({ word, subject, side }: Claim, evidence: Evidence, hedged: boolean): Judged[] {
  const at = placesOf(subject, word)
  if (isApart(subject.id, evidence)) return [{ code: 'not-fair', named: subject.id, at }]
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

function judgeComparative(
  { word, subject, side }: Claim,
  object: ConditionMention | undefined,
  plan: Plan,
  evidence: Evidence,
  hedged: boolean,
): Judged[] {
  const at = placesOf(subject, word, ...(object ? [object] : []))
  const apart = [subject, ...(object ? [object] : [])].find(({ id }) => isApart(id, evidence))
  if (apart) return [{ code: 'not-fair', named: apart.id, at }]
  const others = object ? [object.id] : evidence.order.filter((id) => id !== subject.id)
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
  // Of several, "is higher" may mean some of them.
  if (wrong.length > 0) return []
  const grades = others.map((id) => gradeBetween(evidence, subject.id, id))
  if (!grades.includes('clear') && !hedged) return [{ code: 'claims-too-much', grade: grades[0]!, at, words: [word.word] }]
  return [{ code: 'right', at }]
}

function isApart(id: string, { grade, notFair }: Evidence): boolean {
  return grade === 'not-fair' || (notFair?.apart.some(({ condition }) => condition === id) ?? false)
}

function isTold(a: string, b: string, evidence: Evidence): boolean {
  const grade = gradeBetween(evidence, a, b)
  return grade === 'clear' || grade === 'leaning'
}

/** Do the averages differ at all, where the whole is not the same. */
function differ(a: string, b: string, { grade, summaries }: Evidence): boolean {
  const of = (id: string) => summaries.find(({ condition }) => condition === id)?.evened
  return grade !== 'same' && of(a) !== undefined && of(a) !== of(b)
}

const CORRELATED = /\bthe (\p{L}+)\b(.*?),? the (\p{L}+)\b/u

/** "The further …, the shorter …", "moving it closer makes the shadow longer", "longer strings swing slower". */
function readTrend(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): Judged | undefined {
  if (plan.conditionsAs !== 'numbers' || sentence.mentions.some(({ kind }) => kind === 'condition')) return undefined
  const words = sentence.mentions.filter((one): one is ComparingMention => one.kind === 'comparing' && !one.superlative)
  const [cause, effect] = words
  const joined = CORRELATED.test(sentence.text) || /\b(makes?|made|gives?|means?|lets?)\b/.test(sentence.text)
  const changed = changedFactor(plan)
  const about = cause && changed && (isAbout(changed.name, cause.quality) || cause.quality === 'size' || joined)
  if (!cause || !effect || !about || NEGATED.test(sentence.text) || NOT_FOUND.test(sentence.text)) return undefined
  const at = placesOf(cause, effect)
  const rising = risingOf(plan, evidence)
  const said = (cause.side === 'more') === (sideOf(effect, sentence.text, plan, evidence) === 'more')
  if (evidence.grade === 'not-fair') return { code: 'not-fair', named: undefined, at }
  if (evidence.grade !== 'clear' && !hedged)
    return { code: 'claims-too-much', grade: evidence.grade, at, words: words.map(({ word }) => word) }
  if (rising === undefined) return undefined
  return said === rising ? { code: 'right', at } : { code: 'wrong-direction', named: undefined, at }
}

/** Do the averages go up with the numbers all the way, or down; undefined where they do neither. */
function risingOf(plan: Plan, { summaries, order }: Evidence): boolean | undefined {
  const sorted = order
    .flatMap((id) => {
      const condition = plan.conditions.find((one) => one.id === id)
      const number = condition && conditionValue(plan, condition)
      const evened = summaries.find((one) => one.condition === id)?.evened
      return number === undefined || evened === undefined ? [] : [{ number, evened }]
    })
    .sort((a, b) => a.number - b.number)
  const steps = sorted.slice(1).map((one, place) => Math.sign(one.evened - sorted[place]!.evened))
  return steps.length > 0 && steps.every((step) => step === steps[0] && step !== 0) ? steps[0] === 1 : undefined
}

function placesOf(...spans: Span[]): Span[] {
  return spans.map(({ from, to }) => ({ from, to }))
}
