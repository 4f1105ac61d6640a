import { averageOf, type Evidence } from '../../evidence'
import type { Plan } from '../../lesson'
import { convert, decimalsOf } from '../../quantity'
import { comparesMoments, resultMark, resultUnit } from '../../test'
import { beyondOf, boundOf, isBound } from './bounds'
import {
  betweenTwo,
  differencesMeant,
  differencesOf,
  isCompared,
  OF_A_RANGE,
  RANGES,
  saysDifference,
  sinceBefore,
} from './differences'
import { ABOUT, AVERAGE_NAMED, AVERAGED, OF_READINGS, RANGED } from './lexicon'
import { clausesOf } from './mentions'
import { namedIn, type FigureMention, type Span, type Stretch } from './stretch'
import { isOfOtherSize } from './ofPlan'
import { ownersOf } from './owners'
import { averagesAtPlace } from './places'
import { figureThan, isSaid, sidedOf } from './saidNumber'

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
  return { rows }
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
  const differences = [own, evidence].flatMap((one) => (one ? differencesOf(one, ofReadings) : []))
  const wrong: WrongFigure[] = []
  const right: Span[] = []
  const clauses = clausesOf(sentence)
  const averaged = AVERAGED.test(sentence.text)
  // Where one thing is compared with itself, every figure is one of its moments.
  const ofItself =
    !comparesMoments(plan) && !evidence.summaries.some(({ condition }) => plan.conditions.some(({ id }) => id === condition))
  const named = namedIn(sentence)
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
      if (everyOne) right.push(...ofAllAt(all, clause, figure))
      continue
    }
    const ofAll = together ? ALL_OF_THEM.exec(clause.text.slice(0, figure.from - clause.from)) : undefined
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
    else if (fits && ofAll) right.push(...ofAllAt(ofAll, clause, figure))
    else if (fits && !than && bounds && bound) right.push(...bound.at)
    else if (fits) right.push({ from: than?.from ?? (between && beyond)?.from ?? figure.from, to: figure.to })
    else if (between !== undefined || says || !(near || together || (isDifference && !strict))) {
      const condition = strict ? owners[0] : undefined
      const table = condition === undefined ? undefined : tables[0]!.rows.get(condition)?.averages[0]
      wrong.push(wrongly(figure, sentence, condition, table))
    }
  }
  return { wrong, right }
}

/** "All" and the figure; what stands between them says something of its own. */
function ofAllAt({ 0: said, index }: RegExpExecArray, clause: Stretch, { from, to }: Span): Span[] {
  const begins = clause.from + index
  return [
    { from: begins, to: begins + /^\p{L}+/u.exec(said)![0].length },
    { from, to },
  ]
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
  // More figures than there are conditions cannot all be others'.
  if (tables.some(({ rows }) => figures.length > rows.size)) return true
  const own = whose(figure)
  return figures.some((one) => one !== figure && whose(one) === own)
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

/** The average at some place of a condition, though the place was not named. */
function ofAnyPlace(figure: FigureMention, owned: string[], plan: Plan, { atPlaces }: Evidence): boolean {
  return atPlaces.some(({ condition, average }) => owned.includes(condition) && isSaid(figure, average, plan, {}))
}
