import type { Evidence } from '../../evidence'
import { type Plan } from '../../lesson'
import { comparesMoments, countsOf, resultMark, resultUnit, testOf, kindOf } from '../../test'
import { convert, decimalsOf, isAmount } from '../../quantity'
import { ABOUT, AVERAGED, OF_READINGS, RANGED } from './lexicon'
import type { FigureMention, Mention, Span, Stretch } from './mentions'

/** What the table has of every condition, in the plan's unit. */
interface Table {
  rows: Map<string, { averages: number[]; lowest: number; highest: number }>
  differences: number[]
}

export interface WrongFigure extends Span {
  /** The number as it stands there. */
  said: string
  /** Whose number it claims to be, with what the table has; neither where it belongs to nobody. */
  condition: string | undefined
  table: number | undefined
}

/** The figures that sentences may quote. */
function tableOf({ summaries }: Evidence): Table {
  const rows = new Map(
    summaries.map(({ condition, evened, mean, median, modes, lowest, highest }) => [
      condition,
      { averages: [evened, mean, median, ...modes], lowest, highest },
    ]),
  )
  const differences = summaries.flatMap((one, place) =>
    summaries.slice(place + 1).flatMap((other) => [one.evened - other.evened, one.mean - other.mean]),
  )
  return { rows, differences: [...differences, ...summaries.map(({ range }) => range)] }
}

/** The figures of a sentence against the table, and against the own table of the group that says it: what is in neither, and what is. */
export function readFigures(
  sentence: Stretch,
  plan: Plan,
  evidence: Evidence,
  own: Evidence | undefined,
): { wrong: WrongFigure[]; right: Span[] } {
  const tables = [own, evidence].flatMap((one) => (one ? [tableOf(one)] : []))
  const differences = tables.flatMap((table) => table.differences)
  const wrong: WrongFigure[] = []
  const right: Span[] = []
  const averaged = AVERAGED.test(sentence.text)
  // Where one thing is compared with itself, every figure is one of its moments.
  const ofItself =
    !comparesMoments(plan) && !evidence.summaries.some(({ condition }) => plan.conditions.some(({ id }) => id === condition))
  for (const { figure, owners, strict } of ownersOf(sentence, plan)) {
    const about = ABOUT.test(sentence.text.slice(0, figure.from - sentence.from))
    // "50 on average, and most of us from 44 to 52": a range is one of readings.
    const onAverage = averaged && !RANGED.test(clauseAt(sentence, figure))
    const isOf = (id: string) => {
      const rows = tables.flatMap((table) => table.rows.get(id) ?? [])
      const reading = !onAverage && OF_READINGS.test(clauseAt(sentence, figure)) && rows.some((row) => isReading(figure, row, plan))
      return reading || rows.some((row) => row.averages.some((value) => isSaid(figure, value, plan, { about })))
    }
    const between = betweenTwo(sentence, figure, evidence)
    const isDifference = (between ?? differences).some((value) => isSaid(figure, value, plan, { about, leeway: 1 }))
    const fits =
      between !== undefined
        ? isDifference
        : strict && !ofItself
          ? owners.some(isOf) || (isDifference && saysDifference(sentence, figure))
          : isDifference || evidence.summaries.some(({ condition }) => isOf(condition))
    if (fits) right.push({ from: figure.from, to: figure.to })
    else {
      const condition = strict ? owners[0] : undefined
      const said = sentence.text.slice(figure.from - sentence.from, figure.to - sentence.from).trim()
      wrong.push({
        from: figure.from,
        to: figure.to,
        said,
        condition,
        table: condition === undefined ? undefined : tables[0]!.rows.get(condition)?.averages[0],
      })
    }
  }
  return { wrong, right }
}

/** What stands round a figure, from one comma to the next. */
function clauseAt({ text, from }: Stretch, figure: Span): string {
  const [begin, end] = [figure.from - from, figure.to - from]
  const after = text.slice(end).search(/[,;:]/)
  return text.slice(text.slice(0, begin).search(/[,;:][^,;:]*$/) + 1, after < 0 ? undefined : end + after)
}

/** Could it be one of the readings: between the lowest and the highest, and no finer than the instrument. */
function isReading(figure: FigureMention, { lowest, highest }: { lowest: number; highest: number }, plan: Plan): boolean {
  const resolution = resultMark(plan)
  const value = convert(figure.value, figure.unit, resultUnit(plan))
  return value !== undefined && value >= lowest && value <= highest && decimalsOf(value) <= decimalsOf(resolution)
}

/** "The difference between A and B was 12 mm": of those two, and of no others. */
function betweenTwo(sentence: Stretch, figure: Span, { summaries }: Evidence): number[] | undefined {
  const before = sentence.text.slice(0, figure.from - sentence.from)
  if (!/\b(?:difference|gap) between\b/.test(before)) return undefined
  const named = [
    ...new Set(sentence.mentions.flatMap((one) => (one.kind === 'condition' && one.to <= figure.from ? [one.id] : []))),
  ]
  const [a, b] = named.map((id) => summaries.find(({ condition }) => condition === id))
  return named.length === 2 && a && b ? [a.evened - b.evened, a.mean - b.mean] : undefined
}

const DIFFERENCE =
  /\b(difference|gap|apart|by|more|less|fewer|further|higher|lower|longer|shorter|further|taller|heavier|lighter|warmer|colder|faster|slower|quicker)\b/

function saysDifference(sentence: Stretch, figure: Span): boolean {
  const before = sentence.text.slice(0, figure.from - sentence.from)
  const after = sentence.text.slice(figure.to - sentence.from)
  return /\b(?:by|difference (?:of|is|was)|gap (?:of|is|was))(?:\s+\w+)?\s*$/.test(before) || DIFFERENCE.test(after.slice(0, 16))
}

/**
 * Whose each figure is. In "A … 5, B … 3" a figure follows its condition, in "5 on A, 3 on B" it goes before; where several of one
 * come together, any of the neighbours may be meant.
 */
function ownersOf(sentence: Stretch, plan: Plan): { figure: FigureMention; owners: string[]; strict: boolean }[] {
  const placed = sentence.mentions.filter(
    (one) => one.kind === 'condition' || (one.kind === 'figure' && !isOfPlan(one, sentence, plan)),
  )
  const before = placed[0]?.kind === 'condition'
  return placed.flatMap((figure, place) => {
    if (figure.kind !== 'figure') return []
    const earlier = runOf(placed.slice(0, place).reverse())
    const later = runOf(placed.slice(place + 1))
    const [nearest, other] = before ? [earlier, later] : [later, earlier]
    const owners = nearest.length > 0 ? nearest : other
    return [{ figure, owners: [...new Set(owners)], strict: owners.length === 1 }]
  })
}

/** The conditions that stand together at the beginning of a list. */
function runOf(mentions: Mention[]): string[] {
  const end = mentions.findIndex((one) => one.kind !== 'condition')
  return mentions.slice(0, end < 0 ? undefined : end).flatMap((one) => (one.kind === 'condition' ? [one.id] : []))
}

/** A time, a width or another number that the plan itself has, or of another dimension than what was measured. */
function isOfPlan(figure: FigureMention, sentence: Stretch, plan: Plan): boolean {
  const { method } = testOf(plan)
  const unit = resultUnit(plan)
  if (!method || !isAmount(unit)) return true
  if (figure.unitSaid && convert(figure.value, figure.unit, unit) === undefined) return true
  // Where lengths change and lengths are measured, the unit tells which of them is meant.
  if (plan.conditionsAs === 'numbers' && figure.unit === plan.conditionUnit && figure.unit !== unit) return true
  // "Not within 30 min" says how long anybody watched.
  if (/\bwithin\s*$/.test(sentence.text.slice(0, figure.from - sentence.from))) return true
  const said = String(figure.value)
  const written = [
    testOf(plan).measure?.name,
    ...plan.factors.flatMap(({ name, how, exceptions }) => [name, how, ...Object.values(exceptions)]),
  ]
  const times = kindOf(plan).watches && countsOf(plan) !== 'until' ? plan.watch.times.map(String) : []
  return (
    times.includes(said) ||
    written
      .join(' ')
      .split(/[^\d.,]+/)
      .includes(said)
  )
}

/** Is a value what was said: rounded to as many digits, or near it where the sentence says "about". */
function isSaid(figure: FigureMention, value: number, plan: Plan, { about = false, leeway = 0 }): boolean {
  const inSaid = convert(value, resultUnit(plan), figure.unit)
  if (inSaid === undefined) return false
  const away = Math.abs(Math.abs(inSaid) - Math.abs(figure.value))
  return away <= 0.5 * 10 ** -figure.decimals * (1 + leeway) + 1e-9 || (about && away <= 0.06 * Math.abs(inSaid))
}
