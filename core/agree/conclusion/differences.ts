import { oncePer } from '../../chance'
import type { Evidence } from '../../evidence'
import type { Plan } from '../../lesson'
import { comparesMoments } from '../../test'
import { namedIn, type Span, type Stretch } from './stretch'

/** "The difference between A and B was 12 mm", "A climbed 12 mm further than B": of those two, and of no others. */
export function betweenTwo(sentence: Stretch, clause: Stretch, figure: Span, evidence: Evidence): number[] | undefined {
  const { summaries } = evidence
  const before = sentence.text.slice(0, figure.from - sentence.from)
  const between = /\b(?:difference|gap) between\b/.test(before)
  // "Beat everything else by at least 12 mm".
  if (/\bby at (?:least|most) $/.test(before)) return marginOf(clause, figure, before, summaries)
  const ends = between && BEST_AND_WORST.test(before)
  const all = summaries.map(({ evened }) => evened)
  if (ends) return [Math.max(...all) - Math.min(...all)]
  // "There were 12 mm between A and B".
  const behind = /^\s?between\b/.test(sentence.text.slice(figure.to - sentence.from))
  const compares =
    clause.mentions.some(({ kind }) => kind === 'comparing') && (saysDifference(sentence, figure) || isCompared(sentence, figure))
  const steps = goesFromTo(clause, figure)
  const grown = grewFromTo(clause, figure)
  const spans = !between && goesBetween(clause, figure)
  // "Wet it was 86 g and dry again 12 g, so it lost 74 g".
  const changed = changedSince(sentence, clause, figure)
  if (changed) return goneTheSaidWay(apart([changed[1], changed[0]], summaries), clause.text)
  const ofTwo = namedTwo(sentence)
  // "They lie 36 mm apart", "higher in tissue than in writing paper, by 36 mm", "61 mm and 49 mm: a difference of 12 mm".
  if (
    ofTwo &&
    evidence.fromNothing.length === 0 &&
    !between &&
    !spans &&
    !steps &&
    !grown &&
    OF_THE_TWO.test(before.slice(-28) + '#' + sentence.text.slice(figure.to - sentence.from, figure.to - sentence.from + 8))
  )
    return apart(ofTwo, summaries)
  if (!between && !behind && !compares && !steps && !grown && !spans) return undefined
  const named = ({ mentions }: Stretch, to: number) =>
    mentions.flatMap((one) => (one.kind === 'condition' && one.to <= to ? [one.id] : []))
  const after = sentence.mentions.flatMap((one) => (one.kind === 'condition' && one.from >= figure.to ? [one.id] : [])).slice(0, 2)
  const inClause = between
    ? named(sentence, figure.from)
    : behind || grown
      ? after
      : named(clause, steps || spans ? figure.from : clause.to)
  // "Kitchen roll reached 61 mm, 12 mm more than tissue."
  const said =
    inClause.length === 1 && !between && !behind && !grown ? [...named(sentence, clause.from).slice(-1), ...inClause] : inClause
  const [a, b, ...more] = new Set(said)
  if (a === undefined || b === undefined || more.length > 0) return undefined
  return steps || grown || spans ? goneTheSaidWay(apart([b, a], summaries), clause.text) : apart([a, b], summaries)
}

/** How far one lies above another: by what the class goes by, and by the plain mean. */
function apart([one, other]: (string | undefined)[], summaries: Evidence['summaries']): number[] | undefined {
  const [a, b] = [one, other].map((id) => summaries.find(({ condition }) => condition === id))
  return a && b ? [a.evened - b.evened, a.mean - b.mean] : undefined
}

const UP =
  /\b(?:added|adds|grew|grown|rose|climbed|warmed|gained|went up|increased|took up|soaked up|put on|higher|taller|longer|more|heavier|warmer)\b/

const DOWN =
  /\b(?:costs?|took away|takes away|fell|dropped|cooled|lost|loses|shrank|sank|went down|decreased|lower|shorter|less|fewer|lighter|colder|cooler)\b/

/** "It fell 22 mm", where it rose, is none of its changes. */
function goneTheSaidWay(changes: number[] | undefined, text: string): number[] | undefined {
  const [up, down] = [UP.test(text), DOWN.test(text)]
  return up === down ? changes : changes?.filter((one) => (up ? one > 0 : one < 0))
}

/** "It lost 27 degrees in thirty minutes": since the first moment; of "dry again" since the one before, too. */
export function sinceBefore(
  sentence: Stretch,
  clause: Stretch,
  figure: Span,
  plan: Plan,
  { summaries }: Evidence,
): number[] | undefined {
  if (!comparesMoments(plan) || !saysDifference(sentence, figure)) return undefined
  const [only, ...more] = clause.mentions.filter((one) => one.kind === 'condition')
  const at = more.length > 0 || !only ? -1 : plan.watch.named.findIndex(({ id }) => id === only.id)
  if (at <= 0) return undefined
  const summaryAt = (place: number) => summaries.find(({ condition }) => condition === plan.watch.named[place]!.id)
  const now = summaryAt(at)
  const isSpan = /^(?:after|in|within) /.test(sentence.text.slice(only!.from - sentence.from))
  const since = (isSpan ? [0] : [0, at - 1]).flatMap((place) => summaryAt(place) ?? [])
  return (
    now &&
    goneTheSaidWay(
      since.flatMap((then) => [now.evened - then.evened, now.mean - then.mean]),
      clause.text,
    )
  )
}

/** "From one layer to two it loses 5 clips." */
function goesFromTo(clause: Stretch, figure: Span): boolean {
  const [a, b, ...more] = clause.mentions.filter(({ kind, to }) => kind === 'condition' && to <= figure.from)
  if (!a || !b || more.length > 0) return false
  const { text, from } = clause
  return (
    /\bfrom (?:the )?$/.test(text.slice(0, a.from - from)) &&
    /^ (?:\p{L}+ )?to (?:the )?$/u.test(text.slice(a.to - from, b.from - from))
  )
}

const OF_THE_TWO =
  /\b(?:difference|gap) of (?:about |only |just )?#|(?:^|[,;:]) (?:and )?by (?:about |only |just )?#|# apart\b|\bso (?:\p{L}+ ){0,2}# (?:more|less|fewer|higher|lower)/u

/** The last two that a sentence names before a part that names nobody and says what was lost or gained. */
function changedSince(sentence: Stretch, clause: Stretch, figure: Span): [string, string] | undefined {
  if (
    clause.mentions.some(({ kind }) => kind === 'condition') ||
    !CHANGED_BY.test(clause.text.slice(0, figure.from - clause.from)) ||
    /\b(?:again|back)\b/.test(clause.text)
  )
    return undefined
  const named = sentence.mentions.flatMap((one) => (one.kind === 'condition' && one.to <= figure.from ? [one.id] : []))
  const [one, other] = [...new Set(named)].slice(-2)
  return one !== undefined && other !== undefined ? [one, other] : undefined
}

/** The two that a sentence names, where it names no more. */
function namedTwo(sentence: Stretch): [string, string] | undefined {
  const [one, other, ...more] = namedIn(sentence)
  return one !== undefined && other !== undefined && more.length === 0 ? [one, other] : undefined
}

/** "Between wet and dry again it lost 74 g." */
function goesBetween({ text, from, mentions }: Stretch, figure: Span): boolean {
  const [a, b, ...more] = mentions.filter(({ kind, to }) => kind === 'condition' && to <= figure.from)
  if (!a || !b || more.length > 0 || (!UP.test(text) && !DOWN.test(text))) return false
  return (
    /\bbetween (?:the )?$/.test(text.slice(0, a.from - from)) &&
    /^ (?:\p{L}+ )?and (?:the )?$/u.test(text.slice(a.to - from, b.from - from))
  )
}

/** "It grew 35 mm from Monday to Friday." */
function grewFromTo({ text, from, mentions }: Stretch, figure: Span): boolean {
  const [a, b] = mentions.filter((one) => one.kind === 'condition' && one.from >= figure.to)
  if (!a || !b || !CHANGED_BY.test(text.slice(0, figure.from - from))) return false
  return (
    /^ from (?:the )?$/.test(text.slice(figure.to - from, a.from - from)) &&
    /^ to (?:the )?$/.test(text.slice(a.to - from, b.from - from))
  )
}

const CHANGED_BY =
  /\b(?:grew|grown|rose|climbed|fell|dropped|cooled|warmed|lost|gained|shrank|sank|went (?:up|down)|increased|decreased|changed)(?: by)?(?: about)? $/

/** How far the one that is named lies before the next, as long as that holds for a bound. */
function marginOf({ mentions }: Stretch, figure: Span, before: string, summaries: Evidence['summaries']): number[] {
  const said = mentions.find((one) => one.from === figure.from)
  const own = mentions.find((one) => one.kind === 'condition')
  const ranked = summaries.map(({ condition, evened }) => ({ condition, evened })).sort((a, b) => b.evened - a.evened)
  const place = ranked.findIndex(({ condition }) => own?.kind === 'condition' && condition === own.id)
  const next = ranked[place === 0 ? 1 : place - 1]
  if (said?.kind !== 'figure' || place < 0 || !next) return []
  const margin = Math.abs(ranked[place]!.evened - next.evened)
  return (before.endsWith('least ') ? margin >= said.value - 1e-9 : margin <= said.value + 1e-9) ? [said.value] : []
}

const BEST_AND_WORST =
  /\bbetween (?:the )?(?:best|highest|longest|first|most|worst|lowest|shortest|last|least) and (?:the )?(?:best|highest|longest|first|most|worst|lowest|shortest|last|least) /

const ofAny = oncePer(({ summaries }: Evidence) =>
  summaries.flatMap(({ condition }, place) =>
    summaries.slice(place + 1).flatMap((other) => apart([condition, other.condition], summaries) ?? []),
  ),
)

/**
 * How far any two averages lie apart.
 * @param ofReadings and from the lowest to the highest reading of each
 */
export function differencesOf(evidence: Evidence, ofReadings: boolean): number[] {
  return [...ofAny(evidence), ...(ofReadings ? evidence.summaries.map(({ range }) => range) : [])]
}

/** Of whom a difference can be meant: of those that are named, of the only one and its neighbours, else of the ends and of the first two. */
export function differencesMeant(sentence: Stretch, { summaries, order }: Evidence, ofReadings: boolean): number[] {
  const named = [...namedIn(sentence)]
  const ranges = ofReadings
    ? summaries.flatMap(({ condition, range }) => (named.length === 0 || named.includes(condition) ? [range] : []))
    : []
  const [only] = named
  const place = order.indexOf(only ?? '')
  const pairs: (string | undefined)[][] =
    named.length >= 2
      ? named.flatMap((one, first) => named.slice(first + 1).map((other) => [one, other]))
      : only === undefined
        ? [
            [order[0], order.at(-1)],
            [order[0], order[1]],
          ]
        : [
            [only, order[place - 1]],
            [only, order[place + 1]],
            [only, place === 0 ? order.at(-1) : order[0]],
          ]
  return [...ranges, ...pairs.flatMap((pair) => apart(pair, summaries) ?? [])]
}

export const OF_A_RANGE = /\b(?:apart|rang\w*|spread|between|wobble\w*|differ(?:s|ed)? by)\b/

/** How far readings of one condition lie apart. */
export const RANGES = /\b(?:rang\w*|spread|apart|differ\w*|between|wobble\w*)\b/

const DIFFERENCE =
  /\b(difference|off|gap|apart|by|more|less|fewer|further|higher|lower|longer|shorter|further|taller|heavier|lighter|warmer|colder|faster|slower|quicker)\b/

/** Does a comparing word stand right behind a figure: "12 mm further", "87 cm quieter"; "18 clips or more" is a bound. */
export function isCompared({ text, from, mentions }: Stretch, figure: Span): boolean {
  return mentions.some(
    (one) =>
      one.kind === 'comparing' &&
      !one.superlative &&
      one.from > figure.to &&
      /^ (?:(?!or )\p{L}+ )?$/u.test(text.slice(figure.to - from, one.from - from)),
  )
}

export function saysDifference(sentence: Stretch, figure: Span): boolean {
  const before = sentence.text.slice(0, figure.from - sentence.from)
  const after = sentence.text.slice(figure.to - sentence.from)
  return (
    /\b(?:by|difference (?:of|is|was)|gap (?:of|is|was)|took up|soaked up|gained|put on|lost)(?:\s+\w+)?\s*$/.test(before) ||
    DIFFERENCE.test(after.slice(0, 16).split(/[,;:]/)[0]!)
  )
}
