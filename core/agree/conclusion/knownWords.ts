import type { Evidence } from '../../evidence'
import { changedFactor, comingFactors, keptFactors, mainWords, type Plan, withoutEnding } from '../../lesson'
import { NUMBER_WORDS, numberOf, plainUnit, type Quality, type ResultUnit, unitOf } from '../../quantity'
import { comparesMoments, resultUnit, testOf } from '../../test'
import { AS_FAR_AS_SEEN, JOINING, NEGATED } from './lexicon'
import { thingsOf } from './names'
import { isAbout } from './plainly'
import { type Mention, overlap, type Span, type Stretch } from './stretch'

/** What things do while they are tested: beside a condition and a figure they say that it was measured. */
const HAPPENED =
  /^(climb|reach|get|got|com|came|lift|drink|drank|drunk|soak|hear|heard|manag|carr|held|bounc|weigh|grow|grew|grown|tak|took|need|go|went|win|won|last|swing|swung|pull|make|made|measur|ris|rose|sink|sank|melt|dissolv|slid|slip|stay|rise|jump|fall|fell|mov|us|work|giv|gave|stretch|burn|float|spin|spun|roll|stick|stuck|stop|start|read|count|cross|travel|let|pick|drop|finish|run|ran|keep|kept|leave|left|lose|lost|gain|stand|stood|turn|beat|hang|hung|need|flow|spread|rose|fly|flew|grip|throw|threw|understand|understood|push|blow|blew|send|sent|rub|show|shown|wait|hop|scoop|pour|snap|broke|break|tear|tore|sprout|be|caught|catch|drew|draw|drawn|collect|squeez|breath|support|cost|bring|brought|put|add|end|becom|became|choos|chos)[bdglmnprt]?(s|es|ed|ing|e|es|ies|ied)?$/

/** Shares and multiples, which nobody works out here. */
export const RATIO =
  /\b(twice|half|halves|halved|double[sd]?|doubling|triple[sd]?|thrice|times as|times (?:more|higher|longer|further)|per cent|percent|third|quarter|every|(?:always|never)(?! (?:below|above|under|over|more than|less than) \d)|(?<!\bof )all|any|everybody|nobody|would|should|because)\b|%/

/** What is read when something happens. */
const AT_WHICH = /\b(?:at which|until|till|before|when)\b/i

/** "Beat everything else": whoever is ahead without a name behind it is ahead of all. */
const ALL_ELSE =
  /\b(?:beats?|ahead of) (?:everything(?: else)?|all(?: the)?(?: others| rest)?|the others|the rest|the other(?: two| three| four| five)?)$/

/** A bound of all readings, which the figure behind it was held against. */
const BOUND = /\b(?:never|always) (?:below|above|under|over|more than|less than) \d/

/** "Kitchen roll, tissue and writing paper all climbed". */
export function followsNames(clause: Stretch, at: number): boolean {
  return namesTwo(clause) && clause.mentions.some(({ kind, to }) => kind === 'condition' && to === clause.from + at - 1)
}

const CERTAIN_WORD = /^(sure|clear|clearly|certain|definitely|obviously|doubt)$/

const HEDGE_WORD =
  /^(changes?|changed|makes?|matters?|whether|cannot|can't|tell|sure|perhaps|maybe|probably|unsure|clear|close|call|not)$/

/** "Only 13 mm", "87 cm only". */
function isBesideFigure({ text, from: begin, mentions }: Stretch, { from, to }: Span): boolean {
  const between = (one: Mention) => text.slice(to - begin, one.from - begin)
  return mentions.some(
    (one) =>
      one.kind === 'figure' &&
      (one.from === to + 1 ||
        one.to + 1 === from ||
        (one.from > to && ONLY_TO.test(between(one)) && !mentions.some((other) => other.from > to && other.to < one.from)) ||
        (one.from > to && HAPPENED.test(between(one).trim()))),
  )
}

/** "We only heard it from 87 cm", "only to 25 mm". */
const ONLY_TO = /^ (?:\p{L}+ ){1,5}$/u

const SIZES: [RegExp, Quality][] = [
  [/^long$/, 'length'],
  [/^(?:high|tall)$/, 'height'],
  [/^far$/, 'distance'],
  [/^deep$/, 'depth'],
  [/^wide$/, 'width'],
  [/^(?:warm|hot|cold)$/, 'warmth'],
  [/^loud$/, 'loudness'],
  [/^heavy$/, 'weight'],
]

/** Is it how long, where lengths were read, and not how long the strip was that water climbed in. */
function isOfMeasuredSize(word: string, plan: Plan): boolean {
  const size = SIZES.find(([pattern]) => pattern.test(word))
  return size !== undefined && isAbout(testOf(plan).measure?.name ?? '', size[1])
}

const UPWARD = /\b(?:climbs?|high|rises?|grows?|tall|bounces?)\b/i

const SINKS = /^(?:fell|falls?|sank|sinks?|dropped|drops?|shrank|shrinks?|down)$/

/** "The water fell 61 mm", where it was read how high it climbs; "fell from 18 to 3" goes along the conditions. */
function goesWrongWay(word: string, { text }: Stretch, at: number, plan: Plan): boolean {
  if (!SINKS.test(word) || !UPWARD.test(testOf(plan).measure?.name ?? '') || comparesMoments(plan)) return false
  const goesOn = /^ (?:from|to)\b/.test(text.slice(at + word.length))
  return !(goesOn && /\bfrom\b/.test(text.slice(0, at))) && !/^ from\b/.test(text.slice(at + word.length))
}

/** "From 245 cm up to 87 cm". */
function isTurned({ text, from: begin, mentions }: Stretch, { from, to }: Span, word: string): boolean {
  const figures = mentions.filter((one) => one.kind === 'figure')
  const after = figures.find((one) => /^ to (?:about |only )?$/.test(text.slice(to - begin, one.from - begin)))
  const before = figures.findLast((one) => one.to <= from && /\bfrom (?:about )?$/.test(text.slice(0, one.from - begin)))
  return before !== undefined && after !== undefined && (word === 'up' ? after.value < before.value : after.value > before.value)
}

/** Says on which side of a number it lies, and not how far it went. */
const SAYS_MORE = /^(?:exceeded|missed|passed|topped|surpassed|failed|avoided|neared|approached)$/

/** "Sucked the water up to 61 mm": whatever was done, the figure says how far. */
function leadsToFigure({ text, from: begin, mentions }: Stretch, { to }: Span, found: Span[]): boolean {
  const next = mentions.find(({ from }) => from > to)
  return (
    next?.kind === 'figure' &&
    found.some((one) => overlap(one, next)) &&
    /^ (?:\p{L}+ ){0,4}$/u.test(text.slice(to - begin, next.from - begin))
  )
}

const NOUNS: Partial<Record<string, Quality>> = {
  distance: 'distance',
  height: 'height',
  length: 'length',
  depth: 'depth',
  time: 'length',
  weight: 'weight',
  mass: 'weight',
  temperature: 'warmth',
}

/** "The distance was 158 cm less", of how far off it is heard. */
function isNounOfMeasured(word: string, plan: Plan): boolean {
  const quality = NOUNS[word]
  return quality !== undefined && isAbout(testOf(plan).measure?.name ?? '', quality)
}

function isAfterTime({ mentions }: Stretch, { to }: Span, plan: Plan): boolean {
  const isTime = (unit: ResultUnit) => unitOf(plainUnit(unit)).dimension === 'time'
  return mentions.some(
    (one) =>
      one.from === to + 1 &&
      ((one.kind === 'figure' && isTime(one.unit)) || (one.kind === 'condition' && isTime(plan.conditionUnit))),
  )
}

/** "All four papers", "these two": how many there are. */
const ALL_OF_THEM = /\b(all|these|those|both|out of|of|between)(?: of)?(?: the| our)? $/

function namesTwo({ mentions }: Stretch): boolean {
  return (
    new Set(mentions.flatMap((one) => (one.kind === 'condition' ? [one.id] : one.kind === 'place' ? [String(one.place)] : [])))
      .size >= 2
  )
}

/** "The difference between ceiling and floor": both are meant, and nothing is said of one. */
export function namesBoth({ mentions }: Stretch): boolean {
  return new Set(mentions.flatMap((one) => (one.kind === 'place' ? [one.place] : []))).size === 2
}

/** What the plan calls its things: the measure, what was changed, what was kept the same. */
export function wordsOfPlan(plan: Plan): Set<string> {
  const { measure, method } = testOf(plan)
  const texts = [
    measure?.name,
    changedFactor(plan)?.name,
    method?.tool,
    ...[...keptFactors(plan), ...comingFactors(plan)].map(({ name }) => name),
  ]
  const written = texts.join(' ').toLowerCase()
  const words = written.split(/[^\p{L}]+/u).filter((word) => word.length > 1)
  return new Set([...mainWords(written), ...words, ...words.map(stemOf)])
}

/** "Rubbing" and "rubbed" are "rub". */
function stemOf(word: string): string {
  const bare = word.replace(/(?:ing|ed|es|s)$/, '')
  return bare.length < 3 ? word : bare.replace(/([bdglmnprt])\1$/, '$1').replace(/e$/, '')
}

/** A part of a sentence while its words are looked at. */
export interface Reading {
  clause: Stretch
  plan: Plan
  evidence: Evidence
  /** What the plan calls its things. */
  known: Set<string>
  /** What was found in the table. */
  found: Span[]
  /** And what else was looked at: names, numbers of the plan. */
  judged: Span[]
  /** It says that nobody can tell yet. */
  open: boolean
  /** It says that there is no difference, and there is none. */
  same: boolean
  /** It begins with "because", and the table has the reason. */
  reasoned: boolean
}

/** Does a word say nothing that would have to be checked, beside what was: it joins, says what happened, or belongs to what was found. */
export function isKnown(
  word: string,
  at: number,
  span: Span,
  { clause, plan, evidence, known, found, judged, open, same, reasoned }: Reading,
): boolean {
  const asSeen = AS_FAR_AS_SEEN.exec(clause.text)
  if (judged.some((one) => overlap(one, span)) || clause.mentions.some((one) => overlap(one, span))) return true
  if (BOUND.test(clause.text) && /^(?:never|always|below|above|under|over|than)$/.test(word)) return true
  if (ALL_ELSE.test(clause.text.slice(0, at + word.length))) return true
  // "Through six layers".
  if (
    word === 'through' &&
    clause.mentions.some(
      ({ kind, from }) => kind === 'condition' && /^ (?:the )?$/.test(clause.text.slice(span.to - clause.from, from - clause.from)),
    )
  )
    return true
  if (/^(?:up|down)$/.test(word) && isTurned(clause, span, word)) return false
  if (!known.has(stemOf(word)) && goesWrongWay(word, clause, at, plan)) return false
  if (
    word === 'only' &&
    (isBesideFigure(clause, span) ||
      clause.mentions.some(({ kind, from }) => kind === 'condition' && plan.conditionsAs === 'numbers' && from === span.to + 1))
  )
    return true
  // "Needs a little more", of what nobody can tell for sure.
  if (open && /^(?:little|bit|slightly)$/.test(word)) return true
  // "As close as 183 cm".
  if (
    /\bas $/.test(clause.text.slice(0, at)) &&
    found.some(({ from }) => clause.text.slice(at + word.length, from - clause.from) === ' as ')
  )
    return true
  if (/^holds?$/.test(word) && unitOf(resultUnit(plan)).dimension !== 'length') return true
  // "32 cm long".
  if (isOfMeasuredSize(word, plan) && found.some(({ to }) => to === span.from - 1)) return true
  if (word === 'times' && /^how often\b/i.test(testOf(plan).measure?.name ?? '') && isBesideFigure(clause, span)) return true
  if (word === 'through' && /\blets? $/.test(clause.text.slice(0, at))) return true
  if (isNounOfMeasured(word, plan)) return true
  if (/\p{L}{3,}ed$/u.test(word) && !RATIO.test(word) && !SAYS_MORE.test(word) && leadsToFigure(clause, span, found)) return true
  // "Lets most light through", where light was read.
  const letThrough = /\blets? (?:\p{L}+ )*(light|sound) $/u.exec(clause.text.slice(0, at))?.[1]
  if (word === 'through' && letThrough !== undefined && known.has(letThrough)) return true
  // "After a drop of 20 in".
  if (
    word === 'after' &&
    clause.mentions.some(
      ({ kind, from }) =>
        kind === 'condition' &&
        /^ (?:an? |the )?(?:\p{L}+ of )$/u.test(clause.text.slice(span.to - clause.from, from - clause.from)),
    )
  )
    return true
  // "First, after 5 days", "24 after 20 s".
  if (word === 'after' && (isAfterTime(clause, span, plan) || found.some(({ from }) => from === span.to + 1))) return true
  // "9 kg before the handle tore", of the load at which it tears.
  if (/^(?:before|until|till|when)$/.test(word) && AT_WHICH.test(testOf(plan).measure?.name ?? '')) return true
  if (asSeen && span.from >= clause.from + asSeen.index && span.to <= clause.from + asSeen.index + asSeen[0].length) return true
  const whose = NUMBER_WORDS.includes(word) && ALL_OF_THEM.exec(clause.text.slice(0, at))
  if (
    whose &&
    ((whose[1] !== 'all' && !whose[1]!.endsWith('of')) ||
      [evidence.summaries.length, thingsOf(plan).length].includes(numberOf(word)!))
  )
    return true
  if (word === 'no' && clause.text.startsWith(' doubt', at + word.length)) return true
  // "The worst drinker".
  if (
    /ers?$/.test(word) &&
    HAPPENED.test(word.replace(/ers?$/, '')) &&
    clause.mentions.some(({ kind, to }) => kind === 'comparing' && to === span.from - 1)
  )
    return true
  if (word === 'all' && (same || followsNames(clause, at))) return true
  // "Even got to 65 mm".
  if (word === 'even' && HAPPENED.test(/^ (\p{L}+)/u.exec(clause.text.slice(at + word.length))?.[1] ?? '')) return true
  if (word === 'because' && reasoned) return true
  if (clause.text.startsWith(` and ${word}`, at + word.length)) return true
  if (word === 'both' && namesTwo(clause)) return true
  if (/^differ(?:s|ed)?$/.test(word) && namesBoth(clause)) return true
  if (word === 'all' && /\bof all\b/.test(clause.text)) return true
  if (JOINING.has(word) || HAPPENED.test(word) || known.has(withoutEnding(word)) || known.has(word) || known.has(stemOf(word)))
    return true
  if (
    CERTAIN_WORD.test(word) ||
    ((open || (same && NEGATED.test(clause.text))) && HEDGE_WORD.test(word)) ||
    (same && /^(no|difference|same|equal)$/.test(word))
  )
    return true
  return false
}
