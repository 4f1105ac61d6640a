import type { Evidence, Grade } from '../../evidence'
import { bestOf, changedFactor, measuredCard, type Plan } from '../../lesson'
import { unitOf, type Side } from '../../quantity'
import { LOST, NEGATED, NOT_FOUND } from './lexicon'
import { clausesOf, isAbout, keptFactorOf, type ComparingMention, type ConditionMention, type Span, type Stretch } from './mentions'

/** What the order of the averages says to a comparing word. */
export type Judged =
  | { code: 'right'; spans: Span[] }
  | { code: 'too-much'; grade: Grade; spans: Span[]; words: string[] }
  | { code: 'another-winner'; named: string; winner: string; spans: Span[] }
  | { code: 'wrong-direction'; named: string; other: string | undefined; spans: Span[] }
  | { code: 'not-fair'; named: string | undefined; spans: Span[] }
  | { code: 'not-tested'; factor: string; spans: Span[] }

interface Claim {
  word: ComparingMention
  side: Side
  subject: ConditionMention
}

/** Every comparison that a sentence makes, against the order of the averages. */
export function readDirections(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean): Judged[] {
  if (NOT_FOUND.test(sentence.text) && !/\bas we\b/.test(sentence.text)) return clausesJudged(sentence, plan, evidence, hedged)
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
      if (kept) return [{ code: 'not-tested', factor: kept.id, spans: [word] }]
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
  const measure = measuredCard(plan)
  if (!measure) return false
  if (quality === 'size' || quality === 'speed') return true
  if (quality === 'rank') return bestSideOf(plan) !== undefined
  if (isAbout(measure.name, quality)) return true
  const { dimension } = unitOf(measure.method.unit)
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
  const unit = unitOf(measuredCard(plan)!.method.unit)
  const turned = word.quality === 'speed' && unit.dimension === 'time'
  // "Lost most" is the largest change downwards.
  const lost = word.quality === 'size' && LOST.test(clause) && summaries.some(({ evened }) => evened < 0)
  const least = word.quality === 'rank' && bestSideOf(plan) === 'less'
  return [turned, lost, least].filter(Boolean).length % 2 === 1 ? (word.side === 'more' ? 'less' : 'more') : word.side
}

function judgeSuperlative({ word, subject, side }: Claim, evidence: Evidence, hedged: boolean): Judged[] {
  const spans = [subject, word]
  if (isApart(subject.id, evidence)) return [{ code: 'not-fair', named: subject.id, spans }]
  const order = side === 'more' ? evidence.order : [...evidence.order].reverse()
  const [winner, next] = order
  if (!winner || !order.includes(subject.id)) return []
  if (subject.id !== winner) {
    const tellable = isTold(subject.id, winner, evidence) || (hedged && differ(subject.id, winner, evidence))
    if (tellable) return [{ code: 'another-winner', named: subject.id, winner, spans }]
    return hedged ? [] : [{ code: 'too-much', grade: evidence.grade, spans, words: [word.word] }]
  }
  const grade = next === undefined ? 'clear' : gradeBetween(winner, next, evidence)
  if (grade !== 'clear' && !hedged) return [{ code: 'too-much', grade, spans, words: [word.word] }]
  return [{ code: 'right', spans }]
}

function judgeComparative(
  { word, subject, side }: Claim,
  object: ConditionMention | undefined,
  plan: Plan,
  evidence: Evidence,
  hedged: boolean,
): Judged[] {
  const spans = [subject, word, ...(object ? [object] : [])]
  const apart = [subject, ...(object ? [object] : [])].find(({ id }) => isApart(id, evidence))
  if (apart) return [{ code: 'not-fair', named: apart.id, spans }]
  const others = object ? [object.id] : evidence.order.filter((id) => id !== subject.id)
  const place = (id: string) => evidence.order.indexOf(id)
  if (place(subject.id) < 0 || others.length === 0 || others.some((id) => place(id) < 0)) return []
  const agrees = (id: string) => (side === 'more' ? place(subject.id) < place(id) : place(subject.id) > place(id))
  const wrong = others.filter((id) => !agrees(id))
  if (wrong.length === others.length) {
    const against =
      wrong.find((id) => isTold(subject.id, id, evidence)) ??
      (hedged ? wrong.find((id) => differ(subject.id, id, evidence)) : undefined)
    if (against) return [{ code: 'wrong-direction', named: subject.id, other: against, spans }]
    return hedged ? [] : [{ code: 'too-much', grade: evidence.grade, spans, words: [word.word] }]
  }
  // Of several, "is higher" may mean some of them.
  if (wrong.length > 0) return []
  const grades = others.map((id) => gradeBetween(subject.id, id, evidence))
  if (!grades.includes('clear') && !hedged) return [{ code: 'too-much', grade: grades[0]!, spans, words: [word.word] }]
  return [{ code: 'right', spans }]
}

function isApart(id: string, { grade, notFair }: Evidence): boolean {
  return grade === 'not-fair' || (notFair?.apart.some(({ condition }) => condition === id) ?? false)
}

/** How sure the comparison of two is. */
export function gradeBetween(a: string, b: string, evidence: Evidence): Grade {
  const pair = evidence.pairs.find((one) => (one.a === a && one.b === b) || (one.a === b && one.b === a))
  if (pair) return pair.grade
  const next = evidence.neighbours.find((one) => [one.more, one.less].includes(a) && [one.more, one.less].includes(b))
  return next?.grade ?? evidence.grade
}

function isTold(a: string, b: string, evidence: Evidence): boolean {
  const grade = gradeBetween(a, b, evidence)
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
  if (!cause || !effect || !about || NEGATED.test(sentence.text)) return undefined
  const spans = [cause, effect]
  const rising = risingOf(plan, evidence)
  const said = (cause.side === 'more') === (sideOf(effect, sentence.text, plan, evidence) === 'more')
  if (evidence.grade === 'not-fair') return { code: 'not-fair', named: undefined, spans }
  if (evidence.grade !== 'clear' && !hedged)
    return { code: 'too-much', grade: evidence.grade, spans, words: words.map(({ word }) => word) }
  if (rising === undefined) return undefined
  return said === rising
    ? { code: 'right', spans }
    : { code: 'wrong-direction', named: evidence.order[0]!, other: undefined, spans }
}

/** Do the averages go up with the numbers all the way, or down; undefined where they do neither. */
function risingOf(plan: Plan, { summaries, order }: Evidence): boolean | undefined {
  const sorted = order
    .flatMap((id) => {
      const condition = plan.conditions.find((one) => one.id === id)
      const label = Number.parseFloat(condition?.label.replace(',', '.') ?? '')
      const evened = summaries.find((one) => one.condition === id)?.evened
      return Number.isNaN(label) || evened === undefined ? [] : [{ label, evened }]
    })
    .sort((a, b) => a.label - b.label)
  const steps = sorted.slice(1).map((one, place) => Math.sign(one.evened - sorted[place]!.evened))
  return steps.length > 0 && steps.every((step) => step === steps[0] && step !== 0) ? steps[0] === 1 : undefined
}
