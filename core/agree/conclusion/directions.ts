import { evenedOf, type Evidence, gradeBetween } from '../../evidence'
import { mainWords, type Plan, withoutEnding } from '../../lesson'
import { comparesMoments, testOf } from '../../test'
import { degreeOf, hasDegree } from './degree'
import { readEquality } from './equality'
import { amongThings, judgeFirst, OF_READINGS_ITSELF, ofAllReadings, ofReadings, THAN_ALL } from './first'
import { inOrder, isList, isOneByOne, judgeNth, listsOrder, nthOf, readOrder } from './inOrder'
import { readOfAll } from './allOfThem'
import { DENIED, judgeDenied } from './denied'
import { readNearness } from './nearness'
import { NARROWED, NEGATED, NOT_FOUND } from './lexicon'
import { clausesOf, joinedBefore, withoutNames } from './mentions'
import { namedIn, type ComparingMention, type ConditionMention, type Stretch } from './stretch'
import { fitsResult, isApart, judgeComparative, type Judged, placesOf, saysCooling, sideOf } from './order'
import { type PlaceClaim, readPlaces } from './places'
import { keptBefore, anotherCondition, notTested, ofSetUp, otherKindOfKept } from './setUp'
import {
  givenIn,
  isBehind,
  isLeftAside,
  isObject,
  LEFT_OUT_OF,
  madeSo,
  otherOfTwo,
  soleOf,
  type Spoken,
  subjectOf,
  withJoined,
} from './subject'
import { readTrend } from './trend'
import { isATime, isUnmeasured, PER_TIME, saysPerTime } from './unmeasured'

const GREW =
  /\b(?:it|they|the \p{L}+) (?:really )?(?:(grew|rose|went up|increased|warmed(?: up)?)|(shrank|fell|sank|went down|decreased|cooled(?: down)?))\b/u

/** "We are sure that it grew", of one thing at its moments: the last against the first; "cooled down after lunch" against the one before. */
function readChange(clause: Stretch, plan: Plan, evidence: Evidence): Judged[] | undefined {
  const match = comparesMoments(plan) ? GREW.exec(clause.text) : null
  const named = clause.mentions.filter((one) => one.kind === 'condition')
  const place = plan.watch.named.findIndex(({ id }) => id === named[0]?.id)
  if (named.length > 1) return undefined
  const before = named[0] === undefined ? '' : clause.text.slice(0, named[0].from - clause.from)
  // "It shrank after day 6": from then on. "Before", "until" and the rest say no one step.
  const since = /\b(?:after|since|from) (?:the )?$/.test(before)
  if (/\b(?:before|until|till|by|between|during) (?:the )?$/.test(before)) return undefined
  const steps = named.length === 0 ? [0, -1] : since ? [place, place + 1] : [place - 1, place]
  if (named.length === 1 && steps.some((step) => step < 0)) return undefined
  const [first, last] = steps.map((step) => plan.watch.named.at(step)?.id) as [string | undefined, string | undefined]
  if (!match || first === undefined || last === undefined || NEGATED.test(clause.text)) return undefined
  const [then, now] = [evenedOf(evidence, first), evenedOf(evidence, last)]
  if (then === undefined || now === undefined || gradeBetween(evidence, first, last) !== 'clear') return undefined
  const at = [{ from: clause.from + match.index, to: clause.from + match.index + match[0].length }]
  return now > then === (match[1] !== undefined) ? [{ code: 'right', at }] : [{ code: 'wrong-direction', named: undefined, at }]
}

/** Who was named before a sentence. */
export interface Earlier {
  /** In the sentence right before. */
  ago: ConditionMention[]
  /** The last of all. */
  earlier: ConditionMention | undefined
}

/**
 * Every comparison that a sentence makes, against the order of the averages.
 * @param earlier who was named in the sentences before
 */
export function readDirections(
  sentence: Stretch,
  plan: Plan,
  evidence: Evidence,
  hedged: boolean,
  { earlier, ago }: Earlier = { earlier: undefined, ago: [] },
): Judged[] {
  // "With more layers it lifts fewer clips: 18 with one": behind the colon stand the figures for it.
  const colon = sentence.text.indexOf(': ')
  const [lead, rest] = colon < 0 ? leadOf(sentence) : [part(sentence, 0, colon), part(sentence, colon, sentence.text.length)]
  if (FOR_EACH.test(sentence.text)) return []
  const untrue = NOT_TRUE.exec(sentence.text)
  if (untrue) {
    const told = clausesJudged(part(sentence, untrue.index + untrue[0].length, sentence.text.length), plan, evidence, hedged, {
      earlier,
      ago,
    })
    return told.flatMap(({ code, at }): Judged[] => (code === 'right' ? [{ code: 'wrong-direction', named: undefined, at }] : []))
  }
  const listed = readOrder(sentence, plan, evidence)
  // What is listed one after the other is read clause by clause as well, unless it is wrong already.
  if (listed && (listsOrder(sentence) || listed.some(({ code }) => code !== 'right'))) return listed
  if (listed && isList(sentence)) return [...listed, ...clausesJudged(sentence, plan, evidence, hedged, { earlier, ago })]
  const trend = readTrend(lead, plan, evidence, hedged)
  if (!trend) return clausesJudged(sentence, plan, evidence, hedged, { earlier, ago })
  return [trend, ...(rest ? clausesJudged(rest, plan, evidence, hedged, { earlier, ago }) : [])]
}

/** "Dropping it higher makes it bounce higher, from 11 in at 20 in": what stands before anybody is named. */
function leadOf(sentence: Stretch): [Stretch, Stretch | undefined] {
  const first = sentence.mentions.find(({ kind }) => kind === 'condition')
  const cut = first && clausesOf(sentence).find(({ from, to }) => first.from >= from && first.to <= to)?.from
  if (cut === undefined || cut === sentence.from) return [sentence, undefined]
  const lead = part(sentence, 0, cut - sentence.from)
  const compares = lead.mentions.filter(({ kind }) => kind === 'comparing').length > 1
  return compares ? [lead, part(sentence, cut - sentence.from, sentence.text.length)] : [sentence, undefined]
}

/** "With every 20 in more it bounces 10 in more": nobody reckons that out here. */
const FOR_EACH = /\b(?:every|each) (?:extra |additional |further )?\d[\d.,]*\s?\p{L}* (?:more|longer|higher|further|extra)\b/u

/** "It is not true that kitchen roll was highest": what is so is denied. */
const NOT_TRUE = /^\W*it (?:is|was) (?:not true|false|wrong|untrue) that /

function part({ text, from, mentions }: Stretch, begin: number, end: number): Stretch {
  const span = { from: from + begin, to: from + end }
  return { ...span, text: text.slice(begin, end), mentions: mentions.filter((one) => one.from >= span.from && one.to <= span.to) }
}

function clausesJudged(sentence: Stretch, plan: Plan, evidence: Evidence, hedged: boolean, { earlier, ago }: Earlier): Judged[] {
  // Who a sentence began with stays its subject: "card was lower than tissue, but higher than …".
  let last: ConditionMention | undefined
  let ofPlaces: PlaceClaim | undefined
  return clausesOf(sentence).flatMap((clause, place, clauses): Judged[] => {
    const conditions = clause.mentions.filter((one): one is ConditionMention => one.kind === 'condition')
    const words = clause.mentions.filter((one): one is ComparingMention => one.kind === 'comparing')
    const before = last
    // "Tissue, not kitchen roll, was the highest": said of the tissue.
    if (before && LEFT_OUT_OF.test(clause.text)) return []
    last = conditions[0] ?? last
    if (NOT_FOUND.test(clause.text) || conditions.some((one) => isLeftAside(one, clause))) return []
    const ofRooms = conditions.length > 0 ? conditions : before ? [before] : []
    const inPlaces = readPlaces(clause, ofRooms, ofPlaces, evidence, hedged)
    if (inPlaces) {
      ofPlaces = inPlaces.claim
      return inPlaces.judged
    }
    const [only, ...more] = conditions
    const nth = nthOf(clause, conditions)
    if (nth && (only ?? before)) return judgeNth((only ?? before)!, nth, clause, plan, evidence)
    if (before && only && more.length === 0 && words.length === 0 && isOneByOne(clause)) return inOrder(before, only, evidence)
    // "18 with one and 3 with six, so more layers mean fewer clips".
    const trend = conditions.length === 0 && words.length === 2 && before ? readTrend(clause, plan, evidence, hedged) : undefined
    if (trend) return [trend]
    const changed = words.length === 0 && readChange(clause, plan, evidence)
    if (changed) return changed
    const equal = readEquality(clause, sentence, conditions, before, plan, evidence, hedged)
    if (equal) return equal
    if (words.length > 0 && conditions.length === 0) {
      const other = otherKindOfKept(clause, plan)
      if (other) return [{ code: 'not-tested', factor: other.factor.id, at: [other.at] }]
    }
    const spoken: Spoken = {
      clause,
      sentence,
      conditions,
      before,
      earlier: last ?? earlier,
      sole: before ? undefined : soleOf(ago),
      ago,
      given: before ? undefined : givenIn(clauses.slice(place + 1)),
    }
    return words.flatMap((word) => judgeWord(word, spoken, plan, evidence, hedged))
  })
}

/** Is the thing that a word is said of named in what was measured. */
function ofMeasured({ from }: ComparingMention, clause: Stretch, plan: Plan): boolean {
  const noun = /\b(?:the|our) (\p{L}{3,}) (?:is|was) $/u.exec(clause.text.slice(0, from - clause.from))?.[1]
  const name = testOf(plan).measure?.name ?? ''
  // "The length of the shadow" says nothing of how dark it is.
  return noun !== undefined && !/^the \p{L}+ of /u.test(name) && mainWords(name).includes(withoutEnding(noun))
}

const BECAME = /\b(?:got|gets|became|becomes|has become|turned)\b/

function judgeWord(word: ComparingMention, spoken: Spoken, plan: Plan, evidence: Evidence, hedged: boolean): Judged[] {
  const { clause, sentence, conditions, before } = spoken
  const ofKept = conditions.length === 0 ? keptBefore(word, clause, plan, fitsResult(word, plan)) : undefined
  if (ofKept) return [{ code: 'not-tested', factor: ofKept.id, at: placesOf(word) }]
  const setUp = ofSetUp(word, sentence, plan) ?? anotherCondition(word, clause, plan)
  if (setUp) return setUp.tested ? [] : [notTested(setUp, word, sentence)]
  const negated = NEGATED.test(withoutNames(clause).slice(0, word.from - clause.from))
  const denied = negated && DENIED.test(clause.text.slice(0, word.from - clause.from))
  if (negated && !denied) return []
  if (!fitsResult(word, plan) && word.quality === 'rank') return judgeUnranked(word, conditions, evidence, hedged)
  // "The magnet is weakest through six layers": what it lifts is how strong it is.
  if (!fitsResult(word, plan) && word.quality === 'strength' && ofMeasured(word, clause, plan)) return []
  const perTime = word.quality === 'size' && PER_TIME.test(clause.text.slice(word.to - clause.from)) && !saysPerTime(plan)
  if (!fitsResult(word, plan) || perTime)
    return isUnmeasured(word, clause, plan, sentence.text.includes(': ')) && (conditions.length > 0 || before)
      ? [{ code: 'not-measured', word: word.word, at: placesOf(word) }]
      : []
  // "Takes longer", where lengths were read.
  if (word.quality === 'length' && TAKES.test(clause.text.slice(0, word.from - clause.from)) && !isATime(plan))
    return [{ code: 'not-measured', word: word.word, at: placesOf(word) }]
  // "Made the water warmer", where it was read how far it cools: nobody saw that.
  if (word.quality === 'warmth' && saysCooling(plan) && !KEPT.test(clause.text.slice(0, word.from - clause.from))) return []
  const side = sideOf(word, clause.text, plan, evidence)
  if (denied) return judgeDenied({ word, side }, spoken, evidence)
  if (comparesMoments(plan) && !word.superlative && BECAME.test(clause.text)) {
    // "From wet to dry again it got lighter": the later one is spoken of, against the one that it was before.
    const fromTo = /\bfrom\b/.test(clause.text) && conditions.length === 2 && conditions[1]
    if (fromTo) return judgeComparative({ word, subject: fromTo, side }, [conditions[0]!], plan, evidence, hedged)
    const now = conditions[0] ?? spoken.earlier
    const [began, ended] = [plan.watch.named[0], plan.watch.named.at(-1)]
    // "The bottle got heavier": from the first moment to the last.
    if (!now && began && ended && conditions.length === 0) {
      const whole = { kind: 'condition' as const, from: word.from, to: word.to }
      return judgeComparative(
        { word, subject: { ...whole, id: ended.id }, side },
        [{ ...whole, id: began.id }],
        plan,
        evidence,
        hedged,
      )
    }
    const then = now && plan.watch.named[plan.watch.named.findIndex(({ id }) => id === now.id) - 1]
    return now && then ? judgeComparative({ word, subject: now, side }, [{ ...now, id: then.id }], plan, evidence, hedged) : []
  }
  // "31.7 in and 10.9 in, so 20.8 in more": of which the figure says how much.
  const figure = clause.mentions.find((one) => one.kind === 'figure' && one.to === word.from - 1)
  if (
    figure &&
    !word.superlative &&
    conditions.length === 0 &&
    /^\W*(?:and )?so\b/.test(clause.text) &&
    namedIn(sentence).size === 2
  )
    return [{ code: 'right', at: placesOf(word) }]
  const isIt = IT.test(clause.text.slice(0, word.from - clause.from))
  const ofAll = readOfAll(word, side, spoken, plan, evidence, hedged)
  if (ofAll) return ofAll
  const overall =
    word.superlative &&
    sentence.mentions.some(({ kind }) => kind === 'figure') &&
    OF_READINGS_ITSELF.test(clause.text.slice(word.to - clause.from)) &&
    conditions.length === 0
  if (overall) return ofAllReadings(word, sentence, evidence)
  const subject =
    subjectOf(word, conditions, before, clause) ?? (isIt ? spoken.sole : undefined) ?? (word.superlative ? spoken.given : undefined)
  if (!subject) return []
  if (NARROWED.test(clause.text.slice(word.from - clause.from)))
    return isApart(subject.id, evidence) ? [{ code: 'not-fair', named: subject.id, at: placesOf(subject, word) }] : []
  const nearer = readNearness(word, subject, clause, conditions, evidence)
  if (nearer) return nearer
  if (word.superlative && OF_READINGS_ITSELF.test(clause.text.slice(word.to - clause.from)))
    return ofReadings(word, subject, clause, evidence)
  // "The attic's ceiling was the warmest" is said of one place, and what is ranked is the difference of two.
  if (word.superlative && new Set(clause.mentions.flatMap((one) => (one.kind === 'place' ? [one.place] : []))).size === 1) return []
  const subjects = joinedBefore(clause, conditions, subject)
  const toAll = THAN_ALL.exec(clause.text.slice(word.to - clause.from))
  // Two cannot both be the highest.
  if (word.superlative || toAll)
    return subjects.length > 1
      ? []
      : judgeFirst({ word, subject, side }, toAll, clause, amongThings(word, clause, sentence.text, plan, evidence), hedged)
  const than = /\bthan\b/.test(clause.text.slice(word.to - clause.from))
  const object =
    conditions.find(({ from, id }) => from > Math.max(word.to, subject.to) && id !== subject.id) ??
    conditions.find((one) => isObject(one, clause) && one.id !== subject.id) ??
    madeSo(word, clause, plan)
  if (than && !object) return []
  const objects =
    object && (than || isBehind(word) || isObject(object, clause) || object.from === word.from)
      ? withJoined(object, conditions, clause)
      : otherOfTwo(subjects, spoken)
  const each = subjects.map((one) => judgeComparative({ word, subject: one, side }, objects, plan, evidence, hedged))
  if (each.some((judged) => judged.length === 0)) return each.flat().filter(({ code }) => code !== 'right')
  const degree = degreeOf(word, clause)
  const others = objects.length > 0 ? objects.map(({ id }) => id) : evidence.order.filter((id) => id !== subject.id)
  const fits = degree && others.every((id) => hasDegree(degree.large, subject.id, id, evidence))
  return fits ? [...each.flat(), { code: 'right', at: [degree.at] }] : each.flat()
}

/** "It held fewest", "we are sure it was highest". */
const IT = /\b(?:it|this|that one|that(?= (?:is|was)\b)) (?:\p{L}+ ){1,2}(?:the )?$/u

const KEPT = /\b(?:keeps?|kept|stays?|stayed|is|was|were|are|remain\w*|end(?:s|ed)? up)\b/

const TAKES = /\b(?:takes?|took|taking|lasts?|lasted|needs?|needed) (?:\p{L}+ )?$/u

/** Better and worse, where nobody said which end is best: too much where the two cannot be told apart, else not checked. */
function judgeUnranked(word: ComparingMention, conditions: ConditionMention[], evidence: Evidence, hedged: boolean): Judged[] {
  const [subject, object] = [conditions.findLast(({ to }) => to <= word.from), conditions.find(({ from }) => from >= word.to)]
  // Whichever end is best: where nothing differs, none of them is.
  const { grade: whole } = evidence
  if (word.superlative && (subject ?? object) && !hedged && (whole === 'same' || whole === 'cannot-tell'))
    return [{ code: 'claims-too-much', grade: whole, words: [word.word], at: placesOf(word) }]
  if (!subject || !object || hedged || isApart(subject.id, evidence) || isApart(object.id, evidence)) return []
  const grade = gradeBetween(evidence, subject.id, object.id)
  return grade === 'clear' ? [] : [{ code: 'claims-too-much', grade, words: [word.word], at: placesOf(word) }]
}
