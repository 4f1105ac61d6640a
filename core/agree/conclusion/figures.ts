import { averageOf, type Evidence } from '../../evidence'
import { activeConditions, conditionValue, type Plan } from '../../lesson'
import { comparesMoments, countsOf, resultMark, resultUnit, testOf, kindOf } from '../../test'
import { convert, decimalsOf, isAmount, type Quality, type Side } from '../../quantity'
import { ABOUT, AVERAGE_NAMED, AVERAGED, OF_READINGS, RANGED } from './lexicon'
import { areJoined, clausesOf, type ConditionMention, type FigureMention, type Mention, type Span, type Stretch } from './mentions'
import { isAbout } from './plainly'
import { beyondOf, boundOf, isBound } from './bounds'
import { averagesAtPlace } from './places'

/** What the table has of one condition. */
interface Row {
  /** What the class goes by, and its mean. */
  averages: number[]
  /** Other ways to sum up that the class does not use. */
  others: number[]
  lowest: number
  highest: number
}

/** What the table has of every condition, in the plan's unit. */
interface Table {
  rows: Map<string, Row>
  differences: number[]
  /** From the lowest to the highest reading of each. */
  ranges: number[]
}

export interface WrongFigure extends Span {
  /** The number as it stands there. */
  said: string
  /** Whose number it claims to be, with what the table has; neither where it belongs to nobody. */
  condition: string | undefined
  table: number | undefined
}

/** The figures that sentences may quote. */
function tableOf({ summaries }: Evidence, { average }: Plan, text: string): Table {
  const rows = new Map(
    summaries.map((summary): [string, Row] => {
      const { condition, evened, mean, median, modes, lowest, highest } = summary
      const own = averageOf(summary, average)
      const named = [
        ...(/\b(?:median|middle)\b/.test(text) ? [median] : []),
        ...(/\bmost often\b|\bcommonest\b|\bmost common\b/.test(text) ? modes : []),
      ]
      const averages = AVERAGE_NAMED[average]?.test(text)
        ? [own ?? NaN]
        : [evened, mean, ...(own === undefined ? [] : [own]), ...named]
      return [condition, { averages, others: [median, ...modes], lowest, highest }]
    }),
  )
  const differences = summaries.flatMap((one, place) =>
    summaries.slice(place + 1).flatMap((other) => [one.evened - other.evened, one.mean - other.mean]),
  )
  return { rows, differences, ranges: summaries.map(({ range }) => range) }
}

/** The figures of a sentence against the table, and against the own table of the group that says it: what is in neither, and what is. */
export function readFigures(
  sentence: Stretch,
  plan: Plan,
  evidence: Evidence,
  own: Evidence | undefined,
): { wrong: WrongFigure[]; right: Span[] } {
  const tables = [own, evidence].flatMap((one) => (one ? [tableOf(one, plan, sentence.text)] : []))
  const ofReadings = RANGES.test(sentence.text)
  const differences = tables.flatMap((table) => [...table.differences, ...(ofReadings ? table.ranges : [])])
  const wrong: WrongFigure[] = []
  const right: Span[] = []
  const clauses = clausesOf(sentence)
  const averaged = AVERAGED.test(sentence.text)
  // Where one thing is compared with itself, every figure is one of its moments.
  const ofItself =
    !comparesMoments(plan) && !evidence.summaries.some(({ condition }) => plan.conditions.some(({ id }) => id === condition))
  const named = new Set(sentence.mentions.flatMap((one) => (one.kind === 'condition' ? [one.id] : [])))
  const sole = named.size === 1 ? [...named][0] : undefined
  for (const { figure, owners, strict, together, ofEnd } of ownersOf(sentence, plan)) {
    const bound = boundOf(sentence, figure)
    const about = (!bound || bound.holds === 'highest') && ABOUT.test(sentence.text.slice(0, figure.from - sentence.from))
    const than = figureThan(sentence, figure)
    const side = than ? undefined : sidedOf(sentence, figure)
    // "50 on average, and most of us from 44 to 52": a range is one of readings.
    const onAverage = averaged && !RANGED.test(clauseAt(sentence, figure))
    if (isOfOtherSize(sentence, figure, plan)) continue
    // "Nobody but kitchen roll climbed above 49 mm" is said of all the others.
    if (NOBODY_BUT.test(clauseAt(sentence, figure))) continue
    const rowsOf = (id: string) => tables.flatMap((table) => table.rows.get(id) ?? [])
    const said = (values: number[]) => values.some((value) => isSaid(figure, value, plan, { about, side }))
    const isOf = (id: string) =>
      rowsOf(id).some((row) => {
        if (bound && isBound(figure, bound.holds, row, plan)) return true
        if (bound && bound.holds !== 'highest' && !averaged) return false
        const reading =
          !onAverage &&
          !bound &&
          (owners.length > 0 || sole === id) &&
          OF_READINGS.test(clauseAt(sentence, figure)) &&
          isReading(figure, row, plan)
        return reading || said(row.averages)
      })
    const clause = clauses.find(({ from, to }) => figure.from >= from && figure.to <= to) ?? sentence
    const lastNamed = sentence.mentions.flatMap((one) => (one.kind === 'condition' && one.to <= figure.from ? [one.id] : [])).at(-1)
    const atPlace = averagesAtPlace(figure, clause, owners.length > 0 || !lastNamed ? owners : [lastNamed], plan, evidence)
    if (atPlace) {
      const { averages, at } = atPlace
      if (averages.some((value) => isSaid(figure, value, plan, { about, side })))
        right.push({ from: figure.from, to: figure.to }, ...at)
      else if (averages.length > 0) wrong.push(wrongly(figure, sentence, owners[0], averages[0]))
      continue
    }
    const beyond = bound || than || isCompared(sentence, figure) ? undefined : beyondOf(sentence, figure)
    const value = convert(figure.value, figure.unit, resultUnit(plan)) ?? NaN
    const lies = (one: number) => (beyond?.side === 'more' ? one > value : one < value)
    if (beyond && owners.length > 0 && !ABOUT_A_GAP.test(sentence.text)) {
      const doesNot = (id: string) => !rowsOf(id).some(({ averages }) => lies(averages[0]!))
      // "Only card climbed under 30 mm": none of the others did.
      const only = ONLY_ONE.test(clause.text) && evidence.order.find((id) => !owners.includes(id) && !doesNot(id))
      const against = only || owners.find(doesNot)
      if (against === undefined) right.push({ from: beyond.from, to: figure.to })
      else if (strict || together) wrong.push(wrongly(figure, sentence, against, tables[0]!.rows.get(against)?.averages[0]))
      continue
    }
    const between =
      ofEnd || than
        ? undefined
        : (betweenTwo(sentence, clause, figure, evidence) ?? sinceBefore(sentence, clause, figure, plan, evidence))
    const isDifference =
      between && beyond
        ? between.some((one) => lies(Math.abs(one)))
        : (between ?? differences).some((one) => isSaid(figure, one, plan, { about, side, leeway: 1 }))
    // "87 cm quieter" is a difference, whatever the average is.
    const isOther = !than && isCompared(sentence, figure)
    const says = !than && (saysDifference(sentence, figure) || OF_A_RANGE.test(clauseAt(sentence, figure)))
    const owned =
      (ofEnd && owners.length > 0) || (strict && !than && !ofItself && !FROM_TO.test(sentence.text))
        ? owners
        : evidence.summaries.map(({ condition }) => condition)
    const ofOwners = !isOther && (together ? owners.every(isOf) : owned.some(isOf))
    const fits = between !== undefined ? isDifference : ofOwners || (isDifference && says)
    // Any difference is no lie; the one that is meant is right.
    const meant =
      between !== undefined ||
      ofOwners ||
      differencesMeant(sentence, evidence, ofReadings).some((one) => isSaid(figure, one, plan, { about, side, leeway: 1 }))
    // Near enough to be no lie, and not what was said.
    const near =
      !bound && (owned.some((id) => rowsOf(id).some((row) => said(row.others))) || ofAnyPlace(figure, owned, plan, evidence))
    const all = owners.length === 0 ? ALL_OF_THEM.exec(clause.text.slice(0, figure.from - clause.from)) : undefined
    if (all && !saysDifference(sentence, figure) && !AT_ANOTHER_TIME.test(clause.text)) {
      const everyOne = evidence.summaries.every(({ condition }) => isOf(condition))
      if (everyOne) right.push({ from: clause.from + all.index, to: figure.to })
      continue
    }
    const ofAll = together ? ALL_OF_THEM.exec(clause.text.slice(0, figure.from - clause.from)) : undefined
    const begun = ofAll && clause.from + ofAll.index
    if (bound && bound.holds !== 'highest' && owners.length === 0 && !owned.every(isOf)) {
      // "All four climbed more than 20 mm" is said of every one; whom "it never climbed above 53 mm" means, stays open.
      if (bound.ofEvery) wrong.push(wrongly(figure, sentence, undefined, undefined))
      continue
    }
    // "Up to 87 cm" of an average says which way and no bound.
    const bounds =
      bound && (bound.holds !== 'highest' || owned.some((id) => rowsOf(id).some((row) => isBound(figure, 'highest', row, plan))))
    const ofNobody = owners.length === 0 && named.size === 0
    const other = ofNobody && (isTwice(figure, sentence, tables, plan) || isNotTheEnd(figure, sentence, evidence, plan))
    if (than && !than.holds) wrong.push(wrongly(figure, sentence, undefined, undefined))
    else if (fits && (!meant || other)) continue
    else if (fits)
      right.push({ from: begun ?? than?.from ?? (bounds ? bound : between && beyond)?.from ?? figure.from, to: figure.to })
    else if (between !== undefined || says || !(near || together || (isDifference && !strict))) {
      const condition = strict ? owners[0] : undefined
      const table = condition === undefined ? undefined : tables[0]!.rows.get(condition)?.averages[0]
      wrong.push(wrongly(figure, sentence, condition, table))
    }
  }
  return { wrong, right }
}

/** "22 in, 21.6 in and 31.7 in", where nobody is named: each has to be another's average. */
function isTwice(figure: FigureMention, { mentions }: Stretch, tables: Table[], plan: Plan): boolean {
  const figures = mentions.filter((one): one is FigureMention => one.kind === 'figure')
  const whose = (one: FigureMention) =>
    tables
      .flatMap(({ rows }) =>
        [...rows].flatMap(([id, { averages }]) => (averages.some((value) => isSaid(one, value, plan, {})) ? [id] : [])),
      )
      .join()
  return figures.some((one) => one !== figure && whose(one) === whose(figure))
}

/** "The lowest bounce, 22 in": of the lowest, and of no other. */
function isNotTheEnd(figure: FigureMention, { text, from, mentions }: Stretch, { summaries }: Evidence, plan: Plan): boolean {
  const word = mentions.findLast((one) => one.kind === 'comparing' && one.superlative && one.to <= figure.from)
  if (word?.kind !== 'comparing' || word.quality === 'rank' || /\bdifferen|\bgap\b/.test(text.slice(0, figure.from - from)))
    return false
  const pick = word.side === 'more' ? Math.max : Math.min
  const ends = [
    pick(...summaries.map(({ evened }) => evened)),
    pick(...summaries.map(({ highest, lowest }) => (word.side === 'more' ? highest : lowest))),
  ]
  return !ends.some((value) => isSaid(figure, value, plan, { about: true }))
}

function wrongly({ from, to }: Span, sentence: Stretch, condition: string | undefined, table: number | undefined): WrongFigure {
  return { from, to, said: sentence.text.slice(from - sentence.from, to - sentence.from).trim(), condition, table }
}

/** What stands round a figure, from one comma to the next. */
function clauseAt({ text, from }: Stretch, figure: Span): string {
  const [begin, end] = [figure.from - from, figure.to - from]
  const after = text.slice(end).search(/[,;:]/)
  return text.slice(text.slice(0, begin).search(/[,;:][^,;:]*$/) + 1, after < 0 ? undefined : end + after)
}

const AT_ANOTHER_TIME = /\b(?:at the (?:start|beginning)|at first|before|earlier)\b/
/** "All came to 21 °C". */
const ALL_OF_THEM = /\b(?:all|each|every one|both)(?: of (?:them|these))? (?:\p{L}+ ){1,4}(?:about |around |nearly )?$/u

const ONLY_ONE = /^\W*(?:and |but |so )*only (?!\d)/
const NOBODY_BUT =
  /\b(?:nobody (?:but|except|else)|no other|none of (?:the (?:others?|rest)|them|these|those)|(?:nothing|none) (?:but|except|else))\b/

const ABOUT_A_GAP = /\b(?:difference|gap|apart|between)\b/

/** "It falls from 18 to 3 between one and six": the first is of the one, and the second of the other. */
const FROM_TO = /\bfrom [\d.,]+(?: \p{L}+)? to [\d.,]+(?: \p{L}+)? (?:between|when|as)\b/u

/** Could it be one of the readings: between the lowest and the highest, and no finer than the instrument. */
function isReading(figure: FigureMention, { lowest, highest }: { lowest: number; highest: number }, plan: Plan): boolean {
  const resolution = resultMark(plan)
  const value = convert(figure.value, figure.unit, resultUnit(plan))
  return value !== undefined && value >= lowest && value <= highest && decimalsOf(value) <= decimalsOf(resolution)
}

/** "61 mm is more than 49 mm": two figures, each of its own; what compares them stands between. */
function figureThan({ text, from, mentions }: Stretch, figure: FigureMention): { from: number; holds: boolean } | undefined {
  const figures = mentions.filter((one) => one.kind === 'figure')
  const place = figures.indexOf(figure)
  const between = (one: Span, next: Span) => IS_THAN.exec(text.slice(one.to - from, next.from - from))
  const [before, after] = [figures[place - 1], figures[place + 1]]
  if (before && between(before, figure)) return { from: before.to, holds: isSo(before, figure, between(before, figure)!) }
  if (after && between(figure, after)) return { from: figure.from, holds: isSo(figure, after, between(figure, after)!) }
  return undefined
}

const IS_THAN =
  /^ (?:is|are|was|were) (?:much |far |a lot |clearly )?(?:(more|higher|bigger|larger|greater|longer|further)|less|lower|smaller|fewer|shorter) than $/

function isSo(one: FigureMention, other: FigureMention, match: RegExpExecArray): boolean {
  const inOther = convert(one.value, one.unit, other.unit) ?? NaN
  return match[1] === undefined ? inOther < other.value : inOther > other.value
}

/** "The difference between A and B was 12 mm", "A climbed 12 mm further than B": of those two, and of no others. */
function betweenTwo(sentence: Stretch, clause: Stretch, figure: Span, evidence: Evidence): number[] | undefined {
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
  const steps_ = changedSince(sentence, clause, figure)
  if (steps_) {
    const [one, other] = steps_.map((id) => summaries.find(({ condition }) => condition === id))
    if (one && other) return goneTheSaidWay([other.evened - one.evened, other.mean - one.mean], clause.text)
  }
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
  ) {
    const [one, other] = ofTwo.map((id) => summaries.find(({ condition }) => condition === id))
    if (one && other) return [one.evened - other.evened, one.mean - other.mean]
  }
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
  const [a, b] = [...new Set(said)].map((id) => summaries.find(({ condition }) => condition === id))
  if (new Set(said).size !== 2 || !a || !b) return undefined
  const goes = steps || grown || spans
  return goes ? goneTheSaidWay([b.evened - a.evened, b.mean - a.mean], clause.text) : [a.evened - b.evened, a.mean - b.mean]
}

const UP =
  /\b(?:added|adds|grew|grown|rose|climbed|warmed|gained|went up|increased|took up|soaked up|put on|higher|taller|longer|more|heavier|warmer)\b/
const DOWN =
  /\b(?:costs?|took away|takes away|fell|dropped|cooled|lost|loses|shrank|sank|went down|decreased|lower|shorter|less|fewer|lighter|colder|cooler)\b/

/** "It fell 22 mm", where it rose, is none of its changes. */
function goneTheSaidWay(changes: number[], text: string): number[] {
  const [up, down] = [UP.test(text), DOWN.test(text)]
  return up === down ? changes : changes.filter((one) => (up ? one > 0 : one < 0))
}

/** "It lost 27 degrees in thirty minutes": since the first moment; of "dry again" since the one before, too. */
function sinceBefore(sentence: Stretch, clause: Stretch, figure: Span, plan: Plan, { summaries }: Evidence): number[] | undefined {
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
function namedTwo({ mentions }: Stretch): [string, string] | undefined {
  const [one, other, ...more] = new Set(
    mentions.flatMap(({ kind, ...rest }) => (kind === 'condition' && 'id' in rest ? [rest.id] : [])),
  )
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

/** Of whom a difference can be meant: of those that are named, of the only one and its neighbours, else of the ends and of the first two. */
function differencesMeant({ mentions }: Stretch, { summaries, order }: Evidence, ofReadings: boolean): number[] {
  const named = [...new Set(mentions.flatMap((one) => (one.kind === 'condition' ? [one.id] : [])))]
  const ranges = ofReadings
    ? summaries.flatMap(({ condition, range }) => (named.length === 0 || named.includes(condition) ? [range] : []))
    : []
  const of = (id: string | undefined) => summaries.find(({ condition }) => condition === id)
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
  const differences = pairs.flatMap(([a, b]) => {
    const [one, other] = [of(a), of(b)]
    return one && other ? [one.evened - other.evened, one.mean - other.mean] : []
  })
  return [...ranges, ...differences]
}

const OF_A_RANGE = /\b(?:apart|rang\w*|spread|between|wobble\w*|differ(?:s|ed)? by)\b/

/** "Over 6 degrees": on which side of a number the value lies, though near it. */
function sidedOf({ text, from }: Stretch, figure: Span): Side | undefined {
  const match = /\b(?:(over|more than)|under|less than) $/.exec(text.slice(0, figure.from - from))
  return match ? (match[1] === undefined ? 'less' : 'more') : undefined
}

/** How far readings of one condition lie apart. */
const RANGES = /\b(?:rang\w*|spread|apart|differ\w*|between|wobble\w*)\b/

const DIFFERENCE =
  /\b(difference|off|gap|apart|by|more|less|fewer|further|higher|lower|longer|shorter|further|taller|heavier|lighter|warmer|colder|faster|slower|quicker)\b/

const OTHER_SIZES: [RegExp, Quality][] = [
  [/^ (?:thick|wide|broad)\b/, 'width'],
  [/^ deep\b/, 'depth'],
  [/^ heavy\b/, 'weight'],
  [/^ (?:warm|hot|cold)\b/, 'warmth'],
]

/** "61 mm thick", where it was read how high water climbs. */
function isOfOtherSize({ text, from }: Stretch, figure: Span, plan: Plan): boolean {
  const after = text.slice(figure.to - from)
  const size = OTHER_SIZES.find(([pattern]) => pattern.test(after))
  return size !== undefined && !isAbout(testOf(plan).measure?.name ?? '', size[1])
}

/** Does a comparing word stand right behind a figure: "12 mm further", "87 cm quieter"; "18 clips or more" is a bound. */
function isCompared({ text, from, mentions }: Stretch, figure: Span): boolean {
  return mentions.some(
    (one) =>
      one.kind === 'comparing' &&
      !one.superlative &&
      one.from > figure.to &&
      /^ (?:(?!or )\p{L}+ )?$/u.test(text.slice(figure.to - from, one.from - from)),
  )
}

/** The average at some place of a condition, though the place was not named. */
function ofAnyPlace(figure: FigureMention, owned: string[], plan: Plan, { atPlaces }: Evidence): boolean {
  return atPlaces.some(({ condition, average }) => owned.includes(condition) && isSaid(figure, average, plan, {}))
}

function saysDifference(sentence: Stretch, figure: Span): boolean {
  const before = sentence.text.slice(0, figure.from - sentence.from)
  const after = sentence.text.slice(figure.to - sentence.from)
  return (
    /\b(?:by|difference (?:of|is|was)|gap (?:of|is|was)|took up|soaked up|gained|put on|lost)(?:\s+\w+)?\s*$/.test(before) ||
    DIFFERENCE.test(after.slice(0, 16).split(/[,;:]/)[0]!)
  )
}

/**
 * Whose each figure is. In "A … 5, B … 3" a figure follows its condition, in "5 on A, 3 on B" it goes before; where several of one
 * come together, any of the neighbours may be meant.
 */
function ownersOf(
  sentence: Stretch,
  plan: Plan,
): { figure: FigureMention; owners: string[]; strict: boolean; together: boolean; ofEnd: boolean }[] {
  const placed = sentence.mentions.filter(
    (one) => one.kind === 'condition' || (one.kind === 'figure' && !isOfPlan(one, sentence, plan)),
  )
  const before = placed[0]?.kind === 'condition'
  return placed.flatMap((figure, place) => {
    if (figure.kind !== 'figure') return []
    // "38 or 39" is said of the same.
    const alternative = placed[place - 1]
    const either =
      alternative?.kind === 'figure' &&
      /^ or (?:\p{L}+ )?$/u.test(sentence.text.slice(alternative.to - sentence.from, figure.from - sentence.from))
    const clause = clausesOf(sentence).find(({ from, to }) => figure.from >= from && figure.to <= to) ?? sentence
    const earlier = runOf(placed.slice(0, either ? place - 1 : place).reverse(), clause)
    const later = runOf(placed.slice(place + 1), clause)
    const [nearest, other] = before ? [earlier, later] : [later, earlier]
    // "From 20 in it came up 11 in, never above 12 in": nobody else is spoken of.
    const all = [...new Set(placed.flatMap((one) => (one.kind === 'condition' ? [one.id] : [])))]
    const near = [...new Set(nearest.length > 0 ? nearest : other)]
    const owners = near.length === 0 && all.length === 1 && boundOf(sentence, figure) ? all : near
    // "Kitchen roll and tissue climbed 61 mm" says it of both; "61 mm and 49 mm" of each its own.
    const alone = placed[place + 1]?.kind !== 'figure' && placed[place - 1]?.kind !== 'figure'
    const [one, next] = placed.slice(place - 2, place)
    const together =
      before && alone && owners.length >= 2 && one !== undefined && next !== undefined && areJoined(sentence, one, next)
    const end = respectively(figure, placed, sentence)
    if (end !== undefined) return [{ figure, owners: end, strict: end.length === 1, together: false, ofEnd: true }]
    return [{ figure, owners, strict: owners.length === 1, together, ofEnd: false }]
  })
}

const BROUGHT =
  /\b(?:brought|brings|took|takes|cut|cuts|lowered|lowers|raised|raises|reduced|reduces|pushed|pulled) (?:it|the \p{L}+|us) (?:down|up|back)? ?from\b/u

/** "18, 13, 7 and 3 clips for 1, 2, 4 and 6 layers", "kitchen roll and card climbed 61 mm and 13 mm": each of its own. */
function inLists(figure: FigureMention, placed: Mention[]): string[] | undefined {
  const half = placed.length / 2
  const [first, second] = [placed.slice(0, half), placed.slice(half)]
  const areAll = (list: Mention[], kind: Mention['kind']) => list.every((one) => one.kind === kind)
  const figuresFirst = areAll(first, 'figure') && areAll(second, 'condition')
  if (half < 2 || !Number.isInteger(half) || (!figuresFirst && !(areAll(first, 'condition') && areAll(second, 'figure'))))
    return undefined
  const [figures, conditions] = figuresFirst ? [first, second] : [second, first]
  const own = conditions[figures.indexOf(figure)]
  return own?.kind === 'condition' ? [own.id] : undefined
}

/** "From 20 in up to 60 in the bounce grew from 11 to 32 inches": the first of the one, the second of the other. */
function respectively(figure: FigureMention, placed: Mention[], { text, from }: Stretch): string[] | undefined {
  const isFromTo = (a: Span | undefined, b: Span | undefined) =>
    a !== undefined &&
    b !== undefined &&
    /\bfrom (?:the |about )?$/.test(text.slice(0, a.from - from)) &&
    /^ (?:\p{L}+ ){0,2}to (?:the |about )?$/u.test(text.slice(a.to - from, b.from - from))
  const [figures, conditions] = (['figure', 'condition'] as const).map((kind) => placed.filter((one) => one.kind === kind))
  const [begun, ended] = conditions as ConditionMention[]
  const listed = inLists(figure, placed)
  if (listed) return listed
  if (figures!.length !== 2 || !isFromTo(figures![0], figures![1])) return undefined
  const isFirst = figures!.indexOf(figure) === 0
  if (conditions!.length === 2 && isFromTo(begun, ended)) return [isFirst ? begun!.id : ended!.id]
  // "The scarf brought it down from 245 cm to 87 cm": from what it was with another.
  if (conditions!.length === 1 && begun!.to <= figures![0]!.from && BROUGHT.test(text)) return isFirst ? [] : [begun!.id]
  return undefined
}

/** The conditions that stand together at the beginning of a list; those of the same part of the sentence, where there are some. */
function runOf(mentions: Mention[], clause: Span): string[] {
  const end = mentions.findIndex((one) => one.kind !== 'condition')
  const run = mentions.slice(0, end < 0 ? undefined : end).filter((one): one is ConditionMention => one.kind === 'condition')
  const here = run.filter(({ from, to }) => from >= clause.from && to <= clause.to)
  return (here.length > 0 ? here : run).map(({ id }) => id)
}

/** A time, a width or another number that the plan itself has, or of another dimension than what was measured. */
export function isOfPlan(figure: FigureMention, sentence: Stretch, plan: Plan): boolean {
  const { method } = testOf(plan)
  const unit = resultUnit(plan)
  if (!method || !isAmount(unit)) return true
  if (figure.unitSaid && convert(figure.value, figure.unit, unit) === undefined) return true
  // Where lengths change and lengths are measured, the unit tells which of them is meant.
  if (plan.conditionsAs === 'numbers' && figure.unit === plan.conditionUnit && figure.unit !== unit) return true
  // "Not within 30 min" says how long anybody watched.
  if (/\bwithin\s*$/.test(sentence.text.slice(0, figure.from - sentence.from))) return true
  const times = kindOf(plan).watches && countsOf(plan) !== 'until' ? plan.watch.times.map(String) : []
  return times.includes(String(figure.value)) || isWritten(figure, plan)
}

/** Is it a number that the plan knows: one that was tested, a time at which was read, one that is written there. */
export function isKnownOfPlan(figure: FigureMention, plan: Plan): boolean {
  if (isWritten(figure, plan) || plan.watch.times.includes(figure.value)) return true
  const value = figure.unitSaid && isAmount(figure.unit) ? convert(figure.value, figure.unit, plan.conditionUnit) : figure.value
  return plan.conditionsAs === 'numbers' && activeConditions(plan).some((one) => conditionValue(plan, one) === value)
}

/** Does the plan itself have this number: in the name of a card, or in how it is kept the same. */
function isWritten({ value }: FigureMention, plan: Plan): boolean {
  const written = [
    testOf(plan).measure?.name,
    ...plan.factors.flatMap(({ name, how, exceptions }) => [name, how, ...Object.values(exceptions)]),
  ]
  return written
    .join(' ')
    .split(/[^\d.,]+/)
    .includes(String(value))
}

/** Is a value what was said: rounded to as many digits, or near it where the sentence says "about". */
function isSaid(
  figure: FigureMention,
  value: number,
  plan: Plan,
  { about = false, leeway = 0, side }: { about?: boolean; leeway?: number; side?: Side | undefined },
): boolean {
  const inSaid = convert(value, resultUnit(plan), figure.unit)
  if (inSaid === undefined) return false
  // "Over six degrees" of 6.4.
  const [is, said] = [Math.abs(inSaid), Math.abs(figure.value)]
  const half = 0.5 * 10 ** -figure.decimals
  if (side) return side === 'more' ? is >= said - half && is <= 1.25 * said : is <= said + half && is >= 0.75 * said
  const away = Math.abs(Math.abs(inSaid) - Math.abs(figure.value))
  return away <= 0.5 * 10 ** -figure.decimals * (1 + leeway) + 1e-9 || (about && away <= 0.06 * Math.abs(inSaid))
}
