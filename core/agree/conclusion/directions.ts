import { gradeBetween, type Evidence } from '../../evidence'
import { changedFactor, conditionValue, keptFactors, mainWords, withoutEnding, type Factor, type Plan } from '../../lesson'
import { bestOf, canBeNothing, countsOf, resultUnit, testOf } from '../../test'
import { unitOf, type Quality, type Side } from '../../quantity'
import type { ClaimDoubt } from '../claims'
import { HEDGED, LOST, NEGATED, NOT_FOUND } from './lexicon'
import {
  areJoined,
  clausesOf,
  isAbout,
  keptFactorOf,
  type ComparingMention,
  type ConditionMention,
  type Span,
  type Stretch,
} from './mentions'

/** What the order of the averages says to a comparing word: something against it, or that it is so. */
export type Judged = ClaimDoubt | { code: 'right'; at: Span[] }

interface Claim {
  word: ComparingMention
  side: Side
  subject: ConditionMention
}

/** Every comparison that a sentence makes, against the order of the averages. */
export function readDirections(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): Judged[] {
  // "With more layers it lifts fewer clips: 18 with one": behind the colon stand the figures for it.
  const colon = sentence.text.indexOf(': ')
  const [lead, rest] = colon < 0 ? [sentence, undefined] : [part(sentence, 0, colon), part(sentence, colon, sentence.text.length)]
  const trend = readTrend(lead, plan, evidence, hedged)
  if (!trend) return clausesJudged(sentence, plan, evidence, hedged)
  return [trend, ...(rest ? clausesJudged(rest, plan, evidence, hedged) : [])]
}

function part({ text, from, mentions }: Stretch, begin: number, end: number): Stretch {
  const span = { from: from + begin, to: from + end }
  return { ...span, text: text.slice(begin, end), mentions: mentions.filter((one) => one.from >= span.from && one.to <= span.to) }
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
    const [only, ...more] = conditions
    const nth = nthOf(clause, conditions)
    if (nth && (only ?? before)) return judgeNth((only ?? before)!, nth, clause, plan, evidence)
    if (before && only && more.length === 0 && words.length === 0 && THEN.test(clause.text)) return inOrder(before, only, evidence)
    return words.flatMap((word): Judged[] => {
      const kept = keptFactorOf(word, sentence, plan)
      if (kept) return [{ code: 'not-tested', factor: kept.id, at: placesOf(word) }]
      const ofSetUp = ofKept(word, sentence, plan)
      if (ofSetUp) return SIZES.test(word.word) ? [{ code: 'not-tested', factor: ofSetUp.id, at: placesOf(word) }] : []
      if (NEGATED.test(withoutNames(clause, word.from))) return []
      if (!fitsResult(word, plan))
        return isUnmeasured(word, clause, plan, sentence.text.includes(': ')) && (conditions.length > 0 || before)
          ? [{ code: 'not-measured', word: word.word, at: placesOf(word) }]
          : []
      const subject = subjectOf(word, conditions, before, clause)
      if (!subject) return []
      const side = sideOf(word, clause.text, plan, evidence)
      const subjects = joinedTo(subject, conditions, clause)
      // Two cannot both be the highest.
      if (word.superlative) return subjects.length > 1 ? [] : judgeSuperlative({ word, subject, side }, evidence, hedged)
      const than = /\bthan\b/.exec(clause.text.slice(word.to - clause.from))
      const object = conditions.find(({ from, id }) => from > Math.max(word.to, subject.to) && id !== subject.id)
      if (than && !object) return []
      const each = subjects.map((one) =>
        judgeComparative({ word, subject: one, side }, than ? object : undefined, plan, evidence, hedged),
      )
      return each.some((judged) => judged.length === 0) ? each.flat().filter(({ code }) => code !== 'right') : each.flat()
    })
  })
}

/** How far in a minute is how fast. */
const IN_A_TIME = /\b(?:in|after|within|per|each|every) (?:\p{L}+ )?(?:\d+ ?)?(?:s|sec|seconds?|min|minutes?|hours?|days?)\b/iu

/** Properties of a thing that an instrument for something else does not show. */
const PROPERTIES: readonly Quality[] = ['speed', 'strength', 'weight', 'warmth', 'loudness', 'light', 'wetness']

function isUnmeasured({ quality }: ComparingMention, clause: Stretch, plan: Plan, explained: boolean): boolean {
  // What stands before a colon is explained behind it.
  if (!PROPERTIES.includes(quality) || HEDGED.test(clause.text) || explained) return false
  // How far off it is heard is how loud it is.
  if (quality === 'loudness' && /\b(?:hear|heard|sound|tick\w*|noise)\b/i.test(testOf(plan).measure?.name ?? '')) return false
  return ![...plan.factors.map(({ name }) => name), ...plan.measures.map(({ name }) => name)].some((name) => isAbout(name, quality))
}

/** What stands before a place of a clause, its conditions left out: "no wrapping" denies nothing. */
function withoutNames({ text, from, mentions }: Stretch, to: number): string {
  const names = mentions.filter((one) => one.kind === 'condition' && one.to <= to)
  return names.reduce(
    (kept, one) => kept.slice(0, one.from - from) + ' '.repeat(one.to - one.from) + kept.slice(one.to - from),
    text.slice(0, to - from),
  )
}

const NTH = /\b(?:came|comes|was|is|finished) (second|third|fourth)(?: best)?\b/
const PLACES = ['second', 'third', 'fourth']

/** The place that a clause gives away: "second try" may be a condition's name. */
function nthOf(clause: Stretch, conditions: ConditionMention[]): RegExpExecArray | undefined {
  const match = NTH.exec(clause.text)
  const end = clause.from + (match ? match.index + match[0].length : 0)
  return match && !conditions.some(({ from, to }) => from < end && end <= to) ? match : undefined
}

/** "Came third": right where its neighbours stand clearly before and behind it. */
function judgeNth(subject: ConditionMention, match: RegExpExecArray, clause: Stretch, plan: Plan, evidence: Evidence): Judged[] {
  const side = bestSideOf(plan)
  if (side === undefined || isApart(subject.id, evidence)) return []
  const order = side === 'more' ? evidence.order : [...evidence.order].reverse()
  const place = PLACES.indexOf(match[1]!) + 1
  const from = clause.from + match.index
  const at = placesOf(subject, { from, to: from + match[0].length })
  const there = order[place]
  if (there !== undefined && there !== subject.id && isTold(subject.id, there, evidence))
    return [{ code: 'names-another-winner', named: subject.id, winner: there, at }]
  const neighbours = [order[place - 1], order[place + 1]].filter((id) => id !== undefined)
  return there === subject.id && neighbours.every((id) => gradeBetween(evidence, subject.id, id) === 'clear')
    ? [{ code: 'right', at }]
    : []
}

const THEN = /^\W*(?:and )?then /

/** "Kitchen roll first, then tissue": each stands clearly before the next. */
function inOrder(earlier: ConditionMention, later: ConditionMention, evidence: Evidence): Judged[] {
  const place = (id: string) => evidence.order.indexOf(id)
  if (place(earlier.id) < 0 || place(later.id) < 0 || gradeBetween(evidence, earlier.id, later.id) !== 'clear') return []
  if (Math.abs(place(earlier.id) - place(later.id)) !== 1) return []
  return [{ code: 'right', at: placesOf(later) }]
}

const SIZES = /^(?:bigger|larger|smaller|biggest|largest|smallest)$/

/** "More water" or "a bigger magnet", where that was to be kept the same: said of the set-up. */
function ofKept(word: ComparingMention, sentence: Stretch, plan: Plan): Factor | undefined {
  const noun = /^\s+(\p{L}{3,})/u.exec(sentence.text.slice(word.to - sentence.from))?.[1]
  const measured = mainWords(testOf(plan).measure?.name ?? '')
  if (!noun || (measured.includes(withoutEnding(noun)) && !SIZES.test(word.word))) return undefined
  return keptFactors(plan).find(({ name }) => mainWords(name).includes(withoutEnding(noun)))
}

/** A subject with those that stand right before it: "moss and gravel are both taller". */
function joinedTo(subject: ConditionMention, conditions: ConditionMention[], clause: Stretch): ConditionMention[] {
  const place = conditions.indexOf(subject)
  const before = conditions[place - 1]
  return before && areJoined(clause, before, subject) ? [...joinedTo(before, conditions, clause), subject] : [subject]
}

/** Who is meant: named nearest before the word, else behind it; else who the sentence began with. */
function subjectOf(
  word: ComparingMention,
  conditions: ConditionMention[],
  before: ConditionMention | undefined,
  clause: Stretch,
): ConditionMention | undefined {
  const earlier = conditions.filter(({ from }) => from < word.from).at(-1)
  const later = conditions.find(({ from }) => from > word.from)
  if (earlier) return earlier
  // "12 mm further in kitchen roll than in tissue".
  const than = clause.text.indexOf(' than ')
  if (!word.superlative && later && than >= 0 && later.to <= clause.from + than) return later
  return word.superlative ? (later ?? before) : before
}

/** Is the word about what was measured, and not about the thing: "heavier" of a mass, "higher" of anything. */
function fitsResult({ quality }: ComparingMention, plan: Plan): boolean {
  const measure = testOf(plan).measure
  if (!measure) return false
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
