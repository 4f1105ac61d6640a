import { unreachable } from '../unreachable'
import { median } from 'simple-statistics'
import { averageOf, summarise, type Evidence, type Gap, type Summary } from '../evidence'
import { type AverageWay, type Plan, type Reading } from '../lesson'
import { countsOf, resultUnit, testOf, kindOf } from '../test'
import { decimalsOf, isAmount, isWord, withoutNoise, withUnit, writeNumber, writeQuantity, type ResultUnit } from '../quantity'
import { atTheirEnd, type TableRow, type WorkedOut } from '../record'
import { countedName } from './counts'
import { knownName } from './known'
import {
  list,
  markOf,
  momentWords,
  nameOfCondition,
  nameOfGroup,
  notWithin,
  writeAverage,
  writeReading,
  writeRounded,
} from './names'

/** An average as the class writes it: to the instrument's mark or with one digit more. `writeFigure(plan, 13 / 3, 'mm') // '4.3 mm'` */
export function writeFigure(plan: Plan, value: number, unit: ResultUnit): string {
  if (!isAmount(unit) || plan.averageTo === 'one-more' || !Number.isFinite(value)) return writeAverage(plan, value, unit)
  const mark = markOf(plan, unit)
  return writeRounded(value, unit, mark) ?? writeQuantity(value, unit, decimalsOf(mark))
}

/**
 * The average of a row as the class writes it: at least that where it was read at its end, and a dash where there is none.
 * @param readings those that the row is of: the class's, or one group's
 */
export function averageFigure(plan: Plan, readings: Reading[], condition: string, average: number | undefined): string {
  if (average === undefined) return '–'
  const ends = atTheirEnd(plan, readings).some((one) => one.condition === condition)
  return `${ends ? 'at least ' : ''}${writeFigure(plan, average, resultUnit(plan))}`
}

/** The gap as a figure that fits beside its drawing: "gap 13.2 mm = 2.5 wobbles". */
export function gapWords(plan: Plan, { difference, wobbles }: Gap): string {
  const figure = writeFigure(plan, difference, resultUnit(plan))
  return `gap ${figure}${wobbles === undefined ? '' : ` = ${writeNumber(wobbles, 1)} wobbles`}`
}

/**
 * Averages with the groups' levels evened out, by condition, where they are not what the plain average says: when groups did not all do the same, the
 * order and the sentences go by these.
 * @returns undefined where both say the same
 */
export function evenedAverages(plan: Plan, evidence: Evidence | undefined): Map<string, number> | undefined {
  const unit = resultUnit(plan)
  if (!evidence?.fit) return undefined
  const compared = evidence.summaries.filter(({ condition }) => evidence.order.includes(condition))
  const differs = compared.some(({ mean, evened }) => writeFigure(plan, mean, unit) !== writeFigure(plan, evened, unit))
  return differs ? new Map(compared.map(({ condition, evened }) => [condition, evened])) : undefined
}

/** Headings of worked-out columns. */
export function workedOutName(plan: Plan, column: WorkedOut, compared?: string): string {
  if (column === 'from-known') return `More than ${knownName(plan)}`
  if (column === 'of-known') return `Of 100 of ${knownName(plan)}`
  if (column !== 'difference') return countedName(plan, column)
  return compared === undefined ? 'Difference' : `More than ${nameOfCondition(plan, compared)}`
}

/** One worked-out figure. `'12.3\u202f%'`, `'+3.4\u202fmm'` */
export function workedOutWords(plan: Plan, column: WorkedOut, value: number): string {
  const sign = value > 0 && SIGNED.includes(column) ? '+' : ''
  if (column === 'of-known') return writeQuantity(value, 'of-100', 0)
  const asResult = column === 'difference' || column === 'from-known'
  return `${sign}${writeAverage(plan, value, asResult ? resultUnit(plan) : resultUnit(plan, column))}`
}

const SIGNED: WorkedOut[] = ['difference', 'from-known', 'change', 'rate']

/**
 * How the class's average is worked out, a step a line, for children who are learning it.
 * @example workingSteps(plan, [4, 5, 4], 'mm') // => ['4 + 5 + 4 = 13', '13 ÷ 3 = 4.3 mm']
 */
export function workingSteps(plan: Plan, values: number[], unit: ResultUnit): string[] {
  const summary = summarise(values)
  if (!summary) return []
  // What was not reached cannot be added up.
  if (values.some((value) => !Number.isFinite(value))) return []
  const digits = Math.max(decimalsOf(markOf(plan, unit)), ...values.map((value) => Math.min(3, decimalsOf(value))))
  const write = (value: number) => writeNumber(value, digits)
  const sorted = [...values].sort((a, b) => a - b)
  switch (plan.average) {
    case 'mean': {
      const sum = withoutNoise(values.reduce((a, b) => a + b, 0))
      const terms = values.map((value) => (value < 0 ? `(${write(value)})` : write(value)))
      return [
        ...(values.length > 1 ? [`${terms.join(' + ')} = ${write(sum)}`] : []),
        `${write(sum)} ÷ ${values.length} = ${writeFigure(plan, summary.mean, unit)}`,
      ]
    }
    case 'median': {
      const half = Math.floor(sorted.length / 2)
      const inOrder = `In order: ${sorted.map(write).join(', ')}`
      if (sorted.length % 2 === 1) return [inOrder, `The middle one is ${writeFigure(plan, median(values), unit)}`]
      const [low, high] = [sorted[half - 1]!, sorted[half]!]
      if (low === high) return [inOrder, `The two in the middle are both ${writeFigure(plan, low, unit)}`]
      return [
        inOrder,
        `Two stand in the middle: halfway from ${write(low)} to ${write(high)} is ${writeFigure(plan, median(values), unit)}`,
      ]
    }
    case 'mode': {
      const mode = averageOf(summary, 'mode')
      if (mode !== undefined)
        return [`${write(mode)} came ${values.filter((value) => value === mode).length} times, more than any other`]
      return [
        summary.modes.length === 0
          ? 'Each came once: none is the most common'
          : `${list(summary.modes.map(write))} came equally often`,
      ]
    }
    case 'none':
      return []
    default:
      return unreachable(plan.average)
  }
}

/** How a class can sum up. */
export const AVERAGE_WORDS: Record<AverageWay, { name: string; what: string }> = {
  mean: { name: 'Mean', what: 'all added up and shared out' },
  median: { name: 'Middle value', what: 'the one in the middle when they stand in order' },
  mode: { name: 'Most common', what: 'the one that came most often' },
  none: { name: 'No average', what: 'every reading stands for itself' },
}

/** How the class sums up these results: times until something by the middle one, places and words by an average of their order, words without one by what came most often. */
export function averageWay(plan: Plan): AverageWay {
  if (countsOf(plan) === 'until') return 'median'
  const { way } = testOf(plan)
  if (!way.ranks) return 'mode'
  return way.isAmount ? plan.average : 'mean'
}

/** What stands over the averages. `averageHeading(soakUpPlan()) // 'Mean'` */
export function averageHeading(plan: Plan): string {
  const unit = resultUnit(plan)
  if (!testOf(plan).way.ranks) return 'Most often'
  return !isAmount(unit) ? 'Average' : AVERAGE_WORDS[averageWay(plan)].name
}

/** From the lowest to the highest result. `rangeWords(soakUpPlan(), { lowest: 55, highest: 66 }) // '55 to 66\u202fmm'` */
export function rangeWords(plan: Plan, { lowest, highest }: Pick<Summary, 'lowest' | 'highest'>): string {
  const unit = resultUnit(plan)
  if (!testOf(plan).way.ranks) return ''
  if (!isAmount(unit)) return `${writeReading(plan, lowest, unit)} to ${writeReading(plan, highest, unit)}`
  if (lowest === highest) return Number.isFinite(lowest) ? withUnit(writeResult(plan, lowest), unit) : notWithin(plan)
  const upper = Number.isFinite(highest) ? withUnit(writeResult(plan, highest), unit) : writeResult(plan, highest)
  return `${writeResult(plan, lowest)} to ${upper}`
}

/** Whose table it is. `tableTitle(plan, 'g1') // 'Alder'`, `'The class'` */
export function tableTitle(plan: Plan, group: string | undefined): string {
  return group === undefined ? 'The class' : nameOfGroup(plan, group)
}

/** One result without its unit, as fine as it is worth. `writeResult(soakUpPlan(), 61) // '61'` */
export function writeResult(plan: Plan, value: number): string {
  if (!Number.isFinite(value)) return notWithin(plan)
  const unit = resultUnit(plan)
  if (isWord(unit)) return writeReading(plan, value, unit)
  return writeNumber(
    value,
    unit === 'of-100' || unit.includes('/') ? 1 : Math.max(decimalsOf(markOf(plan, unit)), Math.min(2, decimalsOf(value))),
  )
}

/** What was not reached is said once, with how often. `'1, 2, not within 10\u202fmin (3 times)'` */
function eachResult(plan: Plan, results: number[]): string[] {
  const reached = results.filter(Number.isFinite)
  const beyond = results.length - reached.length
  const said = beyond < 2 ? '' : ` (${beyond} times)`
  return [...reached.map((value) => writeResult(plan, value)), ...(beyond > 0 ? [`${notWithin(plan)}${said}`] : [])]
}

/**
 * A row's readings in words: those that count in one piece, each that was set aside in a piece of its own with its reason. Where a trial is read several
 * times, its result stands for it.
 * @example readingPieces(plan, resultsTable(plan, readings('kitchen-roll', 61, 58))[0]!) // => [{ text: '61, 58' }]
 */
export function readingPieces(plan: Plan, { readings, results }: TableRow): { text: string; aside?: string }[] {
  const several = kindOf(plan).readsTwice || kindOf(plan).watches
  const unit = testOf(plan).method?.unit
  const write = ({ value, unit: own }: Reading) => writeReading(plan, value, own === unit && isAmount(own) ? 'count' : own)
  const kept = several ? eachResult(plan, results) : readings.filter(({ status }) => status === 'kept').map(write)
  const aside = readings.filter(({ status }) => status === 'set-aside')
  return [
    ...(kept.length === 0 ? [] : [{ text: kept.join(', ') }]),
    ...aside.map((reading) => ({
      text: [writeReading(plan, reading.value, reading.unit), momentWords(plan, reading.moment)].filter(Boolean).join(' '),
      aside: reading.reason,
    })),
  ]
}
