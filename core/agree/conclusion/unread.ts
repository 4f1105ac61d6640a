import { changedFactor, comingFactors, isWordOf, keptFactors, mainWords, withoutEnding, type Plan } from '../../lesson'
import { comparesMoments, resultUnit, testOf } from '../../test'
import { gradeBetween, type Evidence } from '../../evidence'
import { AS_FAR_AS_SEEN, AVERAGE_NAMED, HEDGED, JOINING, NARROWED, NEGATED, NO_DIFFERENCE } from './lexicon'
import { NUMBER_WORDS, numberOf, plainUnit, unitOf, type Quality, type ResultUnit } from '../../quantity'
import { isKnownOfPlan, isOfPlan } from './ofPlan'
import { thingsOf } from './names'
import { isApart } from './order'
import { clausesOf, withoutNames } from './mentions'
import type { Mention, Span, Stretch } from './stretch'
import { isAbout } from './plainly'

/** What things do while they are tested: beside a condition and a figure they say that it was measured. */
const HAPPENED =
  /^(climb|reach|get|got|com|came|lift|drink|drank|drunk|soak|hear|heard|manag|carr|held|bounc|weigh|grow|grew|grown|tak|took|need|go|went|win|won|last|swing|swung|pull|make|made|measur|ris|rose|sink|sank|melt|dissolv|slid|slip|stay|rise|jump|fall|fell|mov|us|work|giv|gave|stretch|burn|float|spin|spun|roll|stick|stuck|stop|start|read|count|cross|travel|let|pick|drop|finish|run|ran|keep|kept|leave|left|lose|lost|gain|stand|stood|turn|beat|hang|hung|need|flow|spread|rose|fly|flew|grip|throw|threw|understand|understood|push|blow|blew|send|sent|rub|show|shown|wait|hop|scoop|pour|snap|broke|break|tear|tore|sprout|be|caught|catch|drew|draw|drawn|collect|squeez|breath|support|cost|bring|brought|put|add|end|becom|became|choos|chos)[bdglmnprt]?(s|es|ed|ing|e|es|ies|ied)?$/

/** Nothing but how sure the class is: "and we are sure of it", "that is clear". */
const HOW_SURE_ONLY =
  /^\W*(?:and |so |but )?(?:so )?(?:we (?:are|feel|can be|were)(?: \w+)? (?:sure|certain)(?: (?:of|about) (?:it|that|this|these|them|(?:the|our) (?:order|results?|difference|conclusion))(?: \w+)?)?|(?:that|this|it|the difference|the result|the order)(?: is| was|'s)(?: \w+)? (?:clear|sure|certain)|(?:the|our) (?:numbers|results|readings|averages) are (?:\w+ )?clear|(?:quite|very) sure|for sure|definitely)\W*$/

/** Shares and multiples, which nobody works out here. */
const RATIO =
  /\b(twice|half|halves|halved|double[sd]?|doubling|triple[sd]?|thrice|times as|times (?:more|higher|longer|further)|per cent|percent|third|quarter|every|(?:always|never)(?! (?:below|above|under|over|more than|less than) \d)|(?<!\bof )all|any|everybody|nobody|would|should|because)\b|%/

/**
 * What of a text was not checked: parts in which nothing was found in the table, and words beside what was found that the reader does not know.
 * @param right  what was found in the table
 * @param doubts what is already asked about
 */
export function unreadIn(sentences: Stretch[], plan: Plan, evidence: Evidence, right: Span[], doubts: Span[]): Span[] {
  const known = wordsOfPlan(plan)
  return sentences.flatMap((sentence) =>
    clausesOf(sentence).flatMap((clause, place, clauses) => {
      const next = clauses[place + 1]
      // "Kitchen roll: 61 mm."
      // "Kitchen roll, 61 mm."
      const figure = next?.mentions[0]
      const heads =
        next?.text.startsWith(':') || (figure?.kind === 'figure' && next?.text.startsWith(', ') && figure.from === next.from + 2)
      const named = next && heads && isOnlyNamed(clause, known) && right.some((one) => overlaps(one, next))
      return named ? [] : unreadInClause(clause, sentence, plan, evidence, known, right, doubts)
    }),
  )
}

function unreadInClause(
  clause: Stretch,
  sentence: Stretch,
  plan: Plan,
  evidence: Evidence,
  known: Set<string>,
  right: Span[],
  doubts: Span[],
): Span[] {
  const named = AVERAGE_NAMED[plan.average]?.exec(sentence.text)
  const namesAverage = (place: number) =>
    named &&
    clause.from + place >= sentence.from + named.index &&
    clause.from + place < sentence.from + named.index + named[0].length
  const words = [...clause.text.matchAll(/[\p{L}']+|\d[\d.,]*|%/gu)].filter(({ index }) => !namesAverage(index))
  if (words.length === 0) return []
  const whole = { from: clause.from + words[0]!.index, to: clause.from + words.at(-1)!.index + words.at(-1)![0].length }
  const within = (spans: Span[]) => spans.filter(({ from, to }) => from >= clause.from && to <= clause.to)
  if (within(doubts).length > 0) return []
  // Less sure than the evidence is allowed.
  if (HOW_SURE_ONLY.test(clause.text)) return sureness(evidence) || UNSURE.test(clause.text) ? [] : [whole]
  if (ONLY_AS_FAR_AS_SEEN.test(clause.text) || /^\W*on average\W*$/.test(clause.text)) return []
  if (evidence.sorted && MOST_OFTEN.test(clause.text)) return []
  if (THEY_DIFFER.test(clause.text)) return allApart(sentence, evidence) ? [] : [whole]
  if (ALL_DIFFER.test(clause.text) && clause.mentions.length === 0) return allOfThemDiffer(clause, plan, evidence) ? [] : [whole]
  // What is to be done next says nothing of what came out.
  if (WHAT_NEXT.test(clause.text) && clause.mentions.length === 0) return []
  const found = within(right)
  const saysSame = clause.text.search(NO_DIFFERENCE) >= 0
  // "Between wool, cotton and bare": the names may stand in parts of their own; "but cotton did" says something else.
  const same = evidence.grade === 'same' && sentence.text.search(NO_DIFFERENCE) >= 0 && (saysSame || !OF_ITS_OWN.test(clause.text))
  const open = evidence.grade !== 'clear' && evidence.grade !== 'same' && HEDGED.test(clause.text)
  if (found.length === 0 && !same && !open) return [whole]
  // A reason of our own, that the table gives.
  const reasoned = /^\W*because /.test(clause.text) && found.length > 0
  const share = RATIO.exec(reasoned ? withoutNames(clause).replace('because', '       ') : withoutNames(clause))
  const said = share &&
    !(share[0] === 'all' && (same || followsNames(clause, share.index))) && {
      from: clause.from + share.index,
      to: clause.from + share.index + share[0].length,
    }
  if (share && said && !open && !found.some((one) => overlaps(one, said))) return [whole]
  // A comparison that nobody judged is not understood, whatever stands beside it.
  const judged = [
    ...found,
    ...sentence.mentions.filter(
      (one) => one.kind === 'condition' || (one.kind === 'figure' && isOfPlan(one, sentence, plan) && isKnownOfPlan(one, plan)),
    ),
  ]
  const untested = otherOfChanged(clause, plan)
  if (untested) return [whole]
  const asksForMore = (one: Mention) =>
    one.kind === 'comparing' || one.kind === 'figure' || (one.kind === 'place' && !namesBoth(clause))
  const compared = clause.mentions.filter((one) => asksForMore(one) && !judged.some((other) => overlaps(one, other)))
  // Of what nobody can tell, the question may name a way; a guess has to be the right one.
  const asks = same || (open && /\b(?:whether|which|who|if)\b/.test(clause.text))
  const asked = asks ? compared.filter(({ kind }) => kind !== 'comparing') : compared
  if (asked.length > 0) return asked.map(({ from, to }) => ({ from, to }))
  // The best for something is not the best.
  const narrowed = !open && NARROWED.exec(clause.text)
  if (narrowed) return [{ from: clause.from + narrowed.index, to: whole.to }]
  const asSeen = AS_FAR_AS_SEEN.exec(clause.text)
  return words.flatMap((match) => {
    const span = { from: clause.from + match.index, to: clause.from + match.index + match[0].length }
    const word = match[0]
    if (judged.some((one) => overlaps(one, span)) || clause.mentions.some((one) => overlaps(one, span))) return []
    if (BOUND.test(clause.text) && /^(?:never|always|below|above|under|over|than)$/.test(word)) return []
    if (ALL_ELSE.test(clause.text.slice(0, match.index + word.length))) return []
    // "Through six layers".
    if (
      word === 'through' &&
      clause.mentions.some(
        ({ kind, from }) =>
          kind === 'condition' && /^ (?:the )?$/.test(clause.text.slice(span.to - clause.from, from - clause.from)),
      )
    )
      return []
    if (/^(?:up|down)$/.test(word) && isTurned(clause, span, word)) return [span]
    if (!known.has(stemOf(word)) && goesWrongWay(word, clause, match.index, plan)) return [span]
    if (
      word === 'only' &&
      (isBesideFigure(clause, span) ||
        clause.mentions.some(({ kind, from }) => kind === 'condition' && plan.conditionsAs === 'numbers' && from === span.to + 1))
    )
      return []
    // "Needs a little more", of what nobody can tell for sure.
    if (open && /^(?:little|bit|slightly)$/.test(word)) return []
    // "As close as 183 cm".
    if (
      /\bas $/.test(clause.text.slice(0, match.index)) &&
      found.some(({ from }) => clause.text.slice(match.index + word.length, from - clause.from) === ' as ')
    )
      return []
    if (/^holds?$/.test(word) && unitOf(resultUnit(plan)).dimension !== 'length') return []
    // "32 cm long".
    if (isOfMeasuredSize(word, plan) && found.some(({ to }) => to === span.from - 1)) return []
    if (word === 'times' && /^how often\b/i.test(testOf(plan).measure?.name ?? '') && isBesideFigure(clause, span)) return []
    if (word === 'through' && /\blets? $/.test(clause.text.slice(0, match.index))) return []
    if (isNounOfMeasured(word, plan)) return []
    if (/\p{L}{3,}ed$/u.test(word) && !RATIO.test(word) && leadsToFigure(clause, span, found)) return []
    // "Lets most light through", where light was read.
    const letThrough = /\blets? (?:\p{L}+ )*(light|sound) $/u.exec(clause.text.slice(0, match.index))?.[1]
    if (word === 'through' && letThrough !== undefined && known.has(letThrough)) return []
    // "After a drop of 20 in".
    if (
      word === 'after' &&
      clause.mentions.some(
        ({ kind, from }) =>
          kind === 'condition' &&
          /^ (?:an? |the )?(?:\p{L}+ of )$/u.test(clause.text.slice(span.to - clause.from, from - clause.from)),
      )
    )
      return []
    // "First, after 5 days", "24 after 20 s".
    if (word === 'after' && (isAfterTime(clause, span, plan) || found.some(({ from }) => from === span.to + 1))) return []
    // "9 kg before the handle tore", of the load at which it tears.
    if (/^(?:before|until|till|when)$/.test(word) && AT_WHICH.test(testOf(plan).measure?.name ?? '')) return []
    if (asSeen && span.from >= clause.from + asSeen.index && span.to <= clause.from + asSeen.index + asSeen[0].length) return []
    const whose = NUMBER_WORDS.includes(word) && ALL_OF_THEM.exec(clause.text.slice(0, match.index))
    if (
      whose &&
      ((whose[1] !== 'all' && !whose[1]!.endsWith('of')) ||
        [evidence.summaries.length, thingsOf(plan).length].includes(numberOf(word)!))
    )
      return []
    if (word === 'no' && clause.text.startsWith(' doubt', match.index + word.length)) return []
    // "The worst drinker".
    if (
      /ers?$/.test(word) &&
      HAPPENED.test(word.replace(/ers?$/, '')) &&
      clause.mentions.some(({ kind, to }) => kind === 'comparing' && to === span.from - 1)
    )
      return []
    if (word === 'all' && (same || followsNames(clause, match.index))) return []
    // "Even got to 65 mm".
    if (word === 'even' && HAPPENED.test(/^ (\p{L}+)/u.exec(clause.text.slice(match.index + word.length))?.[1] ?? '')) return []
    if (word === 'because' && reasoned) return []
    if (clause.text.startsWith(` and ${word}`, match.index + word.length)) return []
    if (word === 'both' && namesTwo(clause)) return []
    if (/^differ(?:s|ed)?$/.test(word) && namesBoth(clause)) return []
    if (word === 'all' && /\bof all\b/.test(clause.text)) return []
    if (JOINING.has(word) || HAPPENED.test(word) || known.has(withoutEnding(word)) || known.has(word) || known.has(stemOf(word)))
      return []
    if (
      CERTAIN_WORD.test(word) ||
      ((open || (same && NEGATED.test(clause.text))) && HEDGE_WORD.test(word)) ||
      (same && /^(no|difference|same|equal)$/.test(word))
    )
      return []
    return [span]
  })
}

/** What is read when something happens. */
const AT_WHICH = /\b(?:at which|until|till|before|when)\b/i
/** "Beat everything else": whoever is ahead without a name behind it is ahead of all. */
const ALL_ELSE =
  /\b(?:beats?|ahead of) (?:everything(?: else)?|all(?: the)?(?: others| rest)?|the others|the rest|the other(?: two| three| four| five)?)$/
/** A bound of all readings, which the figure behind it was held against. */
const BOUND = /\b(?:never|always) (?:below|above|under|over|more than|less than) \d/
const OF_ITS_OWN = /\b(?:but|did|does|do|is|was|were|are)\b/
/** Leads over to what was said of each. */
const MOST_OFTEN = /^\W*(?:we (?:saw|found|said)|it was)? ?most often(?: we (?:saw|found|said))?\W*$/
/** "We are sure they differ", said of those that were named. */
const THEY_DIFFER =
  /^\W*(?:and |so )*we (?:are|can be) (?:sure|certain) (?:that )?(?:they|these|the two) (?:really )?(?:differ|are different)\W*$/
/** "Kitchen roll, tissue and writing paper all climbed". */
function followsNames(clause: Stretch, at: number): boolean {
  return namesTwo(clause) && clause.mentions.some(({ kind, to }) => kind === 'condition' && to === clause.from + at - 1)
}

/** "The four papers differ". */
const ALL_DIFFER =
  /^\W*(?:and |so )*(?:all )?(?:of )?(?:the |our )?(\p{L}+ )?(\p{L}+) (?:all )?(?:really )?(?:differ|differed|(?:are|were|came out) (?:all )?different)\W*$/u
const WHAT_NEXT =
  /^\W*(?:to be surer )?(?:next (?:time )?)?we (?:would|need to|should|want to|will) (?:take|measure|test|try|repeat|do|use|look|read|count)\b/
const UNSURE = /\b(?:not|never|hardly)\b|n't\b|\bunsure\b/
const ONLY_AS_FAR_AS_SEEN = new RegExp(`^\\W*(?:at least )?${AS_FAR_AS_SEEN.source}\\W*$`, 'u')

const CERTAIN_WORD = /^(sure|clear|clearly|certain|definitely|obviously|doubt)$/
const HEDGE_WORD =
  /^(changes?|changed|makes?|matters?|whether|cannot|can't|tell|sure|perhaps|maybe|probably|unsure|clear|close|call|not)$/

/** Is each of the conditions that a sentence names told apart from each other one, in a fair comparison. */
function allApart({ mentions }: Stretch, evidence: Evidence): boolean {
  const ids = [...new Set(mentions.flatMap((one) => (one.kind === 'condition' ? [one.id] : [])))]
  return areApart(ids, evidence)
}

/** Is each told apart from each other one, and are there as many as were said: "the four papers" of what was changed. */
function allOfThemDiffer({ text }: Stretch, plan: Plan, evidence: Evidence): boolean {
  const [, many, thing] = ALL_DIFFER.exec(text)!
  const number = many === undefined ? undefined : numberOf(many.trim())
  const { order } = evidence
  if (!isWordOf(thing!, changedFactor(plan)?.name ?? '')) return false
  if (number !== undefined && !Number.isNaN(number) && number !== order.length) return false
  return areApart(order, evidence)
}

function areApart(ids: string[], evidence: Evidence): boolean {
  if (ids.length < 2 || ids.some((id) => isApart(id, evidence))) return false
  return ids.every((a, place) => ids.slice(place + 1).every((b) => gradeBetween(evidence, a, b) === 'clear'))
}

const BESIDE_A_NAME = new Set(['the', 'a', 'with', 'in', 'on', 'at', 'for', 'round', 'around', 'it'])

/** Nothing but the name of a condition, and what it is a number of: "one layer". */
function isOnlyNamed({ text, from, mentions }: Stretch, known: Set<string>): boolean {
  const [only, ...more] = mentions.filter(({ kind }) => kind === 'condition')
  if (only === undefined || more.length > 0) return false
  const said = text.slice(only.from - from, only.to - from)
  const rest = text.slice(0, only.from - from) + text.slice(only.to - from)
  const [noun, ...others] = (rest.match(/[\p{L}\p{N}]+/gu) ?? []).filter((word) => !BESIDE_A_NAME.has(word))
  const isNumber = /^\d/.test(said) || NUMBER_WORDS.includes(said)
  return others.length === 0 && (noun === undefined || (isNumber && (known.has(noun) || known.has(withoutEnding(noun)))))
}

/** "Only 13 mm", "87 cm only". */
function isBesideFigure({ text, from: begin, mentions }: Stretch, { from, to }: Span): boolean {
  const between = (one: Mention) => text.slice(to - begin, one.from - begin)
  return mentions.some(
    (one) =>
      one.kind === 'figure' &&
      (one.from === to + 1 ||
        one.to + 1 === from ||
        (one.from > to && ONLY_TO.test(between(one))) ||
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
const DOWN_FROM = /\bfrom\b|\b(?:brought|cut|took|lowered|goes|went|came)\b.*\bfrom\b/

/** "The water fell 61 mm", where it was read how high it climbs; "fell from 18 to 3" goes along the conditions. */
function goesWrongWay(word: string, { text }: Stretch, at: number, plan: Plan): boolean {
  if (!SINKS.test(word) || !UPWARD.test(testOf(plan).measure?.name ?? '') || comparesMoments(plan)) return false
  const goesOn = /^ (?:from|to)\b/.test(text.slice(at + word.length))
  return !(goesOn && DOWN_FROM.test(text.slice(0, at))) && !/^ from\b/.test(text.slice(at + word.length))
}

/** "From 245 cm up to 87 cm". */
function isTurned({ text, from: begin, mentions }: Stretch, { from, to }: Span, word: string): boolean {
  const figures = mentions.filter((one) => one.kind === 'figure')
  const after = figures.find((one) => /^ to (?:about |only )?$/.test(text.slice(to - begin, one.from - begin)))
  const before = figures.findLast((one) => one.to <= from && /\bfrom (?:about )?$/.test(text.slice(0, one.from - begin)))
  return before !== undefined && after !== undefined && (word === 'up' ? after.value < before.value : after.value > before.value)
}

/** "Sucked the water up to 61 mm": whatever was done, the figure says how far. */
function leadsToFigure({ text, from: begin, mentions }: Stretch, { to }: Span, found: Span[]): boolean {
  const next = mentions.find(({ from }) => from > to)
  return (
    next?.kind === 'figure' &&
    found.some((one) => overlaps(one, next)) &&
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

/** "Three layers", where nobody tested three. */
function otherOfChanged({ text, from, mentions }: Stretch, plan: Plan): boolean {
  if (plan.conditionsAs !== 'numbers') return false
  const thing = mainWords(changedFactor(plan)?.name ?? '').at(-1)
  if (thing === undefined || thing.length < 4) return false
  const counted = new RegExp(`\\b(?:no|\\d+|${NUMBER_WORDS.join('|')}) (?:\\p{L}+ )?${thing}\\p{L}*`, 'gu')
  return [...text.matchAll(counted)].some((match) => {
    const span = { from: from + match.index, to: from + match.index + match[0].length }
    return !mentions.some((one) => one.kind === 'condition' && overlaps(one, span))
  })
}

function namesTwo({ mentions }: Stretch): boolean {
  return (
    new Set(mentions.flatMap((one) => (one.kind === 'condition' ? [one.id] : one.kind === 'place' ? [String(one.place)] : [])))
      .size >= 2
  )
}

/** "The difference between ceiling and floor": both are meant, and nothing is said of one. */
function namesBoth({ mentions }: Stretch): boolean {
  return new Set(mentions.flatMap((one) => (one.kind === 'place' ? [one.place] : []))).size === 2
}

/** Are sure words as sure as the evidence is. */
function sureness({ grade }: Evidence): boolean {
  return grade === 'clear' || grade === 'same'
}

const overlaps = (one: Span, other: Span) => one.from < other.to && other.from < one.to

/** What the plan calls its things: the measure, what was changed, what was kept the same. */
function wordsOfPlan(plan: Plan): Set<string> {
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
