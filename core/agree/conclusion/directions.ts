import { evenedOf, gradeBetween, type Evidence } from '../../evidence'
import { activeConditions, changedFactor, isWordOf, mainWords, withoutEnding, type Plan } from '../../lesson'
import { comparesMoments, countsOf, resultUnit, testOf } from '../../test'
import { NUMBER_WORDS, numberOf, unitOf, type Quality, type Side } from '../../quantity'
import { readEquality } from './equality'
import { HEDGED, NARROWED, NEGATED, NOT_FOUND } from './lexicon'
import {
  areJoined,
  clausesOf,
  joinedBefore,
  withoutNames,
  type ComparingMention,
  type ConditionMention,
  type Mention,
  type Span,
  type Stretch,
} from './mentions'
import { isAbout } from './plainly'
import {
  fitsResult,
  isApart,
  judgeComparative,
  judgeSuperlative,
  MUCH,
  placesOf,
  saysCooling,
  sideOf,
  unitOfWhat,
  type Claim,
  type Judged,
} from './order'
import { CALLED_NOTHING } from './names'
import { inOrder, isList, isOneByOne, judgeNth, listsOrder, nthOf, readOrder } from './inOrder'
import { readPlaces, type PlaceClaim } from './places'
import { keptBefore, notTested, ofSetUp, otherKindOfKept } from './setUp'
import { readTrend } from './trend'

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

/** Who was named before a sentence: last of all, and alone in the sentence right before it. */
export interface Earlier {
  /** In the sentence right before. */
  ago?: ConditionMention[] | undefined
  earlier?: ConditionMention | undefined
  sole?: ConditionMention | undefined
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
  { earlier, sole, ago }: Earlier = {},
): Judged[] {
  // "With more layers it lifts fewer clips: 18 with one": behind the colon stand the figures for it.
  const colon = sentence.text.indexOf(': ')
  const [lead, rest] = colon < 0 ? leadOf(sentence) : [part(sentence, 0, colon), part(sentence, colon, sentence.text.length)]
  if (FOR_EACH.test(sentence.text)) return []
  const untrue = NOT_TRUE.exec(sentence.text)
  if (untrue) {
    const told = clausesJudged(part(sentence, untrue.index + untrue[0].length, sentence.text.length), plan, evidence, hedged, {
      earlier,
      sole,
      ago,
    })
    return told.flatMap(({ code, at }): Judged[] => (code === 'right' ? [{ code: 'wrong-direction', named: undefined, at }] : []))
  }
  const listed = readOrder(sentence, plan, evidence)
  // What is listed one after the other is read clause by clause as well, unless it is wrong already.
  if (listed && (listsOrder(sentence) || listed.some(({ code }) => code !== 'right'))) return listed
  if (listed && isList(sentence)) return [...listed, ...clausesJudged(sentence, plan, evidence, hedged, { earlier, sole, ago })]
  const trend = readTrend(lead, plan, evidence, hedged)
  if (!trend) return clausesJudged(sentence, plan, evidence, hedged, { earlier, sole, ago })
  return [trend, ...(rest ? clausesJudged(rest, plan, evidence, hedged, { earlier, sole, ago }) : [])]
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

function clausesJudged(
  sentence: Stretch,
  plan: Plan,
  evidence: Evidence,
  hedged: boolean,
  { earlier, sole, ago = [] }: Earlier,
): Judged[] {
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
      sole: before ? undefined : sole,
      ago,
      given: before ? undefined : givenIn(clauses.slice(place + 1)),
    }
    return words.flatMap((word) => judgeWord(word, spoken, plan, evidence, hedged))
  })
}

const LEFT_OUT_OF = /^\W*(?:and )?not (?:the |in |with |on )*[\p{L}\d]+(?: \p{L}+)?\W*$/u

/** "Without kitchen roll", "all but card": what is said is said of the others. */
function isLeftAside({ from }: ConditionMention, clause: Stretch): boolean {
  return /\b(?:without|except(?: for)?|apart from|other than|besides|all but) (?:the )?$/.test(
    clause.text.slice(0, from - clause.from),
  )
}

/** The only one that is named in what follows, where that says in which case. */
function givenIn(clauses: Stretch[]): ConditionMention | undefined {
  const named = clauses.flatMap(({ mentions }) => mentions.filter((one): one is ConditionMention => one.kind === 'condition'))
  const of = clauses.find(({ mentions }) => mentions.some(({ kind }) => kind === 'condition'))
  return named.length === 1 && of && /^\W*(?:when|if|with|through)\b/.test(of.text) ? named[0] : undefined
}

/** A clause, and who was named before it. */
interface Spoken {
  clause: Stretch
  sentence: Stretch
  conditions: ConditionMention[]
  /** In the same sentence. */
  before: ConditionMention | undefined
  /** In this sentence or one before it. */
  earlier: ConditionMention | undefined
  /** Behind it, where the sentence names nobody before: "the most clips, 18, when there was one layer". */
  given: ConditionMention | undefined
  /** In the sentence before this one. */
  ago: ConditionMention[]
  /** The only one that the sentence before this one names. */
  sole: ConditionMention | undefined
}

/** Is the thing that a word is said of named in what was measured. */
function ofMeasured({ from }: ComparingMention, clause: Stretch, plan: Plan): boolean {
  const noun = /\b(?:the|our) (\p{L}{3,}) (?:is|was) $/u.exec(clause.text.slice(0, from - clause.from))?.[1]
  const name = testOf(plan).measure?.name ?? ''
  // "The length of the shadow" says nothing of how dark it is.
  return noun !== undefined && !/^the \p{L}+ of /u.test(name) && mainWords(name).includes(withoutEnding(noun))
}

const BECAME = /\b(?:got|gets|became|becomes|has become|turned)\b/
const THAN_ALL =
  /\bthan (?:(?:in|with|from|on|for) )?(?:(?:any|all|every|each)(?: of)?(?: the| our)? (?:others?|rest)|the (?:others|rest|other (?:two|three|four|five)))\b/

function judgeWord(word: ComparingMention, spoken: Spoken, plan: Plan, evidence: Evidence, hedged: boolean): Judged[] {
  const { clause, sentence, conditions, before } = spoken
  const ofKept = conditions.length === 0 ? keptBefore(word, clause, plan, fitsResult(word, plan)) : undefined
  if (ofKept) return [{ code: 'not-tested', factor: ofKept.id, at: placesOf(word) }]
  const setUp = ofSetUp(word, sentence, plan)
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
  if (figure && !word.superlative && conditions.length === 0 && /^\W*(?:and )?so\b/.test(clause.text) && namesTwo(sentence))
    return hasFigure(figure, evidence) ? [{ code: 'right', at: placesOf(word) }] : []
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

const namesTwo = ({ mentions }: Stretch) =>
  new Set(mentions.flatMap((one) => (one.kind === 'condition' ? [one.id] : []))).size === 2

/** Is it read in the unit of the results: what it says was held against the differences. */
const hasFigure = (figure: Mention, { summaries }: Evidence) => figure.kind === 'figure' && summaries.length > 1

/** "From 60 in instead of 20 in": what is compared with, though it stands first. */
function isObject({ from }: Span, clause: Stretch): boolean {
  return /\b(?:instead of|rather than|compared (?:to|with)|unlike) (?:the |in |with |from |on )*$/.test(
    clause.text.slice(0, from - clause.from),
  )
}

/** "Wrapping it in newspaper made it louder": than with nothing. */
function madeSo({ from, to }: ComparingMention, { text, from: begin }: Stretch, plan: Plan): ConditionMention | undefined {
  const nothing = activeConditions(plan).find(({ label }) => CALLED_NOTHING.test(label))
  return nothing && /\b(?:makes?|made) (?:it|the \p{L}+) (?:much |a little |a bit )?$/u.test(text.slice(0, from - begin))
    ? { kind: 'condition', id: nothing.id, from, to }
    : undefined
}

/** "Writing paper is closer to card than to tissue": which of two averages is nearer. */
function readNearness(
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

/** "All three wrappings are better than nothing": each of them. */
function readOfAll(
  word: ComparingMention,
  side: Side,
  { clause, conditions }: Spoken,
  plan: Plan,
  evidence: Evidence,
  hedged: boolean,
): Judged[] | undefined {
  const [object, ...more] = conditions
  const match = OF_ALL.exec(clause.text.slice(0, word.from - clause.from))
  if (!match || !object || object.from < word.to || more.length > 0 || word.superlative) return undefined
  const [said, many, thing] = match
  const others = evidence.order.filter((id) => id !== object.id)
  if (!isWordOf(thing!, changedFactor(plan)?.name ?? '') || (many !== undefined && numberOf(many) !== others.length))
    return undefined
  const at = { from: clause.from + match.index, to: clause.from + match.index + said.length }
  const each = others.flatMap((id) =>
    judgeComparative({ word, subject: { kind: 'condition', id, ...at }, side }, [object], plan, evidence, hedged),
  )
  return each.find(({ code }) => code !== 'right') ? each.filter(({ code }) => code !== 'right').slice(0, 1) : each.slice(0, 1)
}

const OF_ALL =
  /\b(?:all|every|each|both|any)(?: of)?(?: the| our)?(?: (\p{L}+))? (\p{L}{3,}) (?:are|is|was|were|worked|did|climbed|went) $/u

/** "It held fewest", "we are sure it was highest". */
const IT = /\b(?:it|this|that one|that(?= (?:is|was)\b)) (?:\p{L}+ ){1,2}(?:the )?$/u
const KEPT = /\b(?:keeps?|kept|stays?|stayed|is|was|were|are|remain\w*|end(?:s|ed)? up)\b/
const TAKES = /\b(?:takes?|took|taking|lasts?|lasted|needs?|needed) (?:\p{L}+ )?$/u

const isATime = (plan: Plan) => unitOf(resultUnit(plan)).dimension === 'time' || countsOf(plan) === 'until'

const OF_READINGS_ITSELF = /^ (?:reading|value|number|result|measurement)s?\b/

/** "The lowest reading of kitchen roll was 56 mm": of its own readings, and not of all conditions. */
function ofReadings(word: ComparingMention, { id }: ConditionMention, clause: Stretch, { summaries }: Evidence): Judged[] {
  const summary = summaries.find(({ condition }) => condition === id)
  const figure = clause.mentions.find((one) => one.kind === 'figure')
  if (!summary || figure?.kind !== 'figure') return []
  return figure.value === (word.side === 'more' ? summary.highest : summary.lowest) ? [{ code: 'right', at: placesOf(word) }] : []
}

/** "Our highest reading was 65 mm, in kitchen roll": of all that were read. */
function ofAllReadings(word: ComparingMention, { mentions }: Stretch, { summaries }: Evidence): Judged[] {
  const figure = mentions.find((one) => one.kind === 'figure')
  const named = mentions.filter((one): one is ConditionMention => one.kind === 'condition')
  if (figure?.kind !== 'figure' || named.length > 1) return []
  const endOf = ({ highest, lowest }: (typeof summaries)[number]) => (word.side === 'more' ? highest : lowest)
  const ends = summaries.map(endOf)
  const end = word.side === 'more' ? Math.max(...ends) : Math.min(...ends)
  const whose = summaries.filter((one) => endOf(one) === end).map(({ condition }) => condition)
  return figure.value === end && named.every(({ id }) => whose.includes(id))
    ? [{ code: 'right', at: placesOf(word, ...named) }]
    : []
}

/** "Of the three wrappings the scarf is best". */
const OF_THE_THINGS = new RegExp(`^\\W*of (?:the |our |all )*(?:(${NUMBER_WORDS.join('|')}) )?(\\p{L}{3,}) `, 'u')

/** "The worst wrapping": what is called nothing is none of them. */
function amongThings(word: ComparingMention, clause: Stretch, sentence: string, plan: Plan, evidence: Evidence): Evidence {
  const after = clause.text.slice(word.to - clause.from)
  const [, many, ofAll] = OF_THE_THINGS.exec(sentence) ?? /^ of (?:the |our |all )*(?:(\p{L}+) )?(\p{L}{3,})/u.exec(after) ?? []
  const noun = ofAll ?? /^\s+(\p{L}{3,})/u.exec(after)?.[1]
  if (noun === undefined || !isWordOf(noun, changedFactor(plan)?.name ?? '')) return evidence
  // "The worst of the four wrappings", where nothing is one of them.
  if (many !== undefined && numberOf(many) === evidence.order.length) return evidence
  const nothing = plan.conditions.filter(({ label }) => CALLED_NOTHING.test(label)).map(({ id }) => id)
  return nothing.length === 0 ? evidence : { ...evidence, order: evidence.order.filter((id) => !nothing.includes(id)) }
}

/** First of all, with the words that say so: "than any other paper", "by far". */
function judgeFirst(claim: Claim, toAll: RegExpExecArray | null, clause: Stretch, evidence: Evidence, hedged: boolean): Judged[] {
  const judged = judgeSuperlative(claim, evidence, hedged)
  if (judged[0]?.code !== 'right') return judged
  const { word, subject } = claim
  const at: Span[] = toAll ? [{ from: word.to + toAll.index, to: word.to + toAll.index + toAll[0].length }] : []
  const place = evidence.order.indexOf(subject.id)
  const next = evidence.order[place === 0 ? 1 : place - 1]
  const far = BY_FAR.exec(clause.text)
  if (far && next !== undefined && hasDegree(true, subject.id, next, evidence))
    at.push({ from: clause.from + far.index, to: clause.from + far.index + far[0].length })
  return at.length > 0 ? [...judged, { code: 'right', at }] : judged
}

const BY_FAR = /\bby far\b/
const DEGREE = /\b(?:(much|far|a lot|lots|way)|(only a little|a little|a (?:little |tiny |small )?bit|slightly)) $/

/** "Much higher", "a bit higher": the words right before. */
function degreeOf(word: ComparingMention, { text, from }: Stretch): { large: boolean; at: Span } | undefined {
  const match = DEGREE.exec(text.slice(0, word.from - from))
  return match ? { large: match[1] !== undefined, at: { from: from + match.index, to: word.from - 1 } } : undefined
}

function hasDegree(large: boolean, a: string, b: string, evidence: Evidence): boolean {
  const [one, other] = [a, b].map((id) => evenedOf(evidence, id) ?? 0) as [number, number]
  const share = Math.abs(one - other) / Math.max(Math.abs(one), Math.abs(other), Number.EPSILON)
  return large ? share >= MUCH : share <= MUCH
}

/** Denies the word that stands right behind: "is not higher than", "was never the best"; "not sure which is higher" denies nothing. */
const DENIED = /(?:\b(?:not|never)|n't) (?!sure|certain|clear|tell|say|only|yet)(?:\p{L}+ ){0,2}$/u

/** What is denied is wrong where the table has it clearly, and right where it has clearly the contrary. */
function judgeDenied({ word, side }: Omit<Claim, 'subject'>, { conditions, before, clause }: Spoken, evidence: Evidence): Judged[] {
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

/** Names whom it stands before or behind without a "than". */
function isBehind({ word }: ComparingMention): boolean {
  return /^(?:ahead|behind|beats?|in front)/.test(word)
}

/** Properties of a thing that an instrument for something else does not show. */
const PROPERTIES: readonly Quality[] = ['speed', 'strength', 'weight', 'warmth', 'loudness', 'light', 'wetness']
/** How large something became is a length. */
const LASTS = /\b(?:keeps?|kept|stays?|stayed|lasts?|lasted) (?:\p{L}+ ){0,3}$/u
const IS_THE = /\b(?:is|was) (?:\p{L}+ )?the $/u
const GROWN = /^(?:tall|wid|broad|deep)/
const OF_THINGS: readonly Quality[] = ['width', 'length', 'depth']

const saysPerTime = (plan: Plan) =>
  /\b(?:per|in|each|every) (?:a |one |ten )?(?:second|minute|hour|day)/.test(testOf(plan).measure?.name ?? '')

/** How much in a second, where nobody looked at the clock. */
const PER_TIME = /^ (?:\p{L}+ )?(?:per|each|every) (?:second|minute|hour|day)\b/u

/** How much of something is held is not how high it climbs. */
const HOLDS = /\b(?:holds?|held|keeps?|kept|carries|carried|stores?) (?:the )?$/

function isUnmeasured({ word, quality, from, to, of }: ComparingMention, clause: Stretch, plan: Plan, explained: boolean): boolean {
  // What stands before a colon is explained behind it.
  if (HEDGED.test(clause.text) || explained) return false
  if (quality === 'size' && (unitOfWhat(of) || PER_TIME.test(clause.text.slice(to - clause.from)))) return true
  if (quality === 'size' && of !== undefined && HOLDS.test(clause.text.slice(0, from - clause.from))) return true
  // "The thickest paper" is said of the thing itself.
  const noun = /^\s+(\p{L}{3,})/u.exec(clause.text.slice(to - clause.from))?.[1]
  const ofThing = noun !== undefined && mainWords(changedFactor(plan)?.name ?? '').includes(withoutEnding(noun))
  // "Keeps water warm longest", where degrees were read.
  if (quality === 'length' && LASTS.test(clause.text.slice(0, from - clause.from)) && !isATime(plan)) return true
  // "Kitchen roll is the thickest" is said of the thing, whatever length was read.
  if (
    quality === 'width' &&
    IS_THE.test(clause.text.slice(0, from - clause.from)) &&
    ![...plan.factors, ...plan.measures].some(({ name }) => isAbout(name, quality))
  )
    return true
  const grows = GROWN.test(word) && unitOf(resultUnit(plan)).dimension !== 'length'
  if (!PROPERTIES.includes(quality) && !grows && !(ofThing && OF_THINGS.includes(quality))) return false
  const cards = ofThing ? [changedFactor(plan)!] : plan.factors
  return ![...cards, ...plan.measures].some(({ name }) => isAbout(name, quality))
}

/** "Paste held 34 s, the glue stick 14 s, so paste holds longer": than the other of the two that were named. */
function otherOfTwo(subjects: ConditionMention[], { sentence, clause, ago }: Spoken): ConditionMention[] {
  if (subjects.length !== 1 || !DRAWN.test(clause.text)) return []
  const here = sentence.mentions.filter((one): one is ConditionMention => one.kind === 'condition' && one.to <= clause.from)
  // "Bubble wrap: 124 cm, newspaper: 183 cm. So bubble wrap is better."
  const before = here.length > 0 ? here : ago
  // "In writing paper it stood at 25 mm. We are sure that tissue is higher."
  if (here.length === 0 && new Set(ago.map(({ id }) => id)).size === 1 && ago[0]!.id !== subjects[0]!.id) return ago.slice(0, 1)
  const ids = [...new Set(before.map(({ id }) => id))]
  if (ids.length !== 2 || !ids.includes(subjects[0]!.id)) return []
  return before.filter(({ id }) => id !== subjects[0]!.id).slice(0, 1)
}

/** What follows from what was said before. */
const DRAWN = /^\W*(?:and )?(?:so\b|we are (?:\p{L}+ )?sure (?:that )?)/u

/** An object with those that stand right behind it: "than in the cupboard and the window". */
function withJoined(object: ConditionMention, conditions: ConditionMention[], clause: Stretch): ConditionMention[] {
  const next = conditions[conditions.indexOf(object) + 1]
  return next && areJoined(clause, object, next) ? [object, ...withJoined(next, conditions, clause)] : [object]
}

/** Who is meant: named nearest before the word, else behind it; else who the sentence began with. */
function subjectOf(
  word: ComparingMention,
  conditions: ConditionMention[],
  before: ConditionMention | undefined,
  clause: Stretch,
): ConditionMention | undefined {
  const earlier = conditions.filter((one) => one.from < word.from && !isObject(one, clause)).at(-1)
  const later = conditions.find(({ from }) => from > word.from)
  if (earlier) return earlier
  // "It lifts more clips when there are six layers".
  const given =
    later && /\b(?:when|if|with)(?: there (?:are|is|were|was))?(?: the)? $/.test(clause.text.slice(0, later.from - clause.from))
  if (!word.superlative && given && !before && !clause.text.includes(' than ')) return later
  // "12 mm further in kitchen roll than in tissue".
  const than = clause.text.indexOf(' than ')
  if (!word.superlative && later && than >= 0 && later.to <= clause.from + than) return later
  return word.superlative ? (later ?? before) : before
}
