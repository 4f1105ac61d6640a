import { median } from 'simple-statistics'
import { averageOf, summarise, type Evidence, type Gap } from '../evidence'
import { measuredCard, type Plan, type Reading } from '../lesson'
import { decimalsOf, withoutNoise, writeNumber, writeQuantity, type UnitCode } from '../quantity'
import type { TableRow, WorkedOut } from '../record'
import { list, momentWords, nameOfCondition, nameOfGroup, writeAverage, writeReading } from './names'

/** An average as the class writes it: to the instrument's mark or with one digit more. `writeFigure(plan, 13 / 3, 'mm') // '4.3 mm'` */
export function writeFigure(plan: Plan, value: number, unit: UnitCode): string {
  if (unit === 'words' || unit === 'place' || plan.averageTo === 'one-more') return writeAverage(plan, value, unit)
  return writeQuantity(value, unit, decimalsOf(measuredCard(plan)?.method.resolution ?? 1))
}

/** The gap as a figure that fits beside its drawing: "gap 13.2 mm = 2.5 wobbles". */
export function gapWords(plan: Plan, { difference, wobbles }: Gap): string {
  const figure = writeFigure(plan, difference, measuredCard(plan)?.method.unit ?? 'count')
  return `gap ${figure}${wobbles === undefined ? '' : ` = ${writeNumber(wobbles, 1)} wobbles`}`
}

/**
 * Averages with the groups' levels evened out, by condition, where they are not what the plain average says: when groups did not all do the same, the
 * order and the sentences go by these.
 * @returns undefined where both say the same
 */
export function evenedAverages(plan: Plan, evidence: Evidence | undefined): Map<string, number> | undefined {
  const unit = measuredCard(plan)?.method.unit
  if (!evidence?.fit || !unit) return undefined
  const compared = evidence.summaries.filter(({ condition }) => evidence.order.includes(condition))
  const differs = compared.some(({ mean, evened }) => writeFigure(plan, mean, unit) !== writeFigure(plan, evened, unit))
  return differs ? new Map(compared.map(({ condition, evened }) => [condition, evened])) : undefined
}

/** Headings of worked-out columns. */
export function workedOutName(plan: Plan, column: WorkedOut, compared?: string): string {
  switch (column) {
    case 'difference':
      return compared === undefined ? 'Difference' : `More than ${nameOfCondition(plan, compared)}`
    case 'change':
      return 'Change'
    case 'per-cent-lost':
      return 'Lost, of 100'
    case 'per-time':
      return plan.watch.unit === 'day' ? 'Each day' : 'Each minute'
    case 'total':
      return 'Total of all times'
  }
}

/** One worked-out figure. `'12 %'`, `'+3.4 mm'` */
export function workedOutWords(plan: Plan, column: WorkedOut, value: number, unit: UnitCode): string {
  const sign = value > 0 && column !== 'total' && column !== 'per-cent-lost' ? '+' : ''
  if (column === 'per-cent-lost') return `${writeNumber(value, 1)} %`
  if (column === 'per-time') {
    const each = plan.watch.unit === 'day' ? 'day' : 'min'
    return `${sign}${writeQuantity(value, unit, decimalsOf(measuredCard(plan)?.method.resolution ?? 1) + 2)} a ${each}`
  }
  return `${sign}${writeAverage(plan, value, unit)}`
}

/**
 * How the class's average is worked out, a step a line, for children who are learning it.
 * @example workingSteps(plan, [4, 5, 4], 'mm') // => ['4 + 5 + 4 = 13', '13 ÷ 3 = 4.3 mm']
 */
export function workingSteps(plan: Plan, values: number[], unit: UnitCode): string[] {
  const summary = summarise(values)
  if (!summary) return []
  const digits = Math.max(decimalsOf(measuredCard(plan)?.method.resolution ?? 1), ...values.map(decimalsOf))
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
  }
}

/** Whose table it is. `tableTitle(plan, 'g1') // 'Alder'`, `'The class'` */
export function tableTitle(plan: Plan, group: string | undefined): string {
  return group === undefined ? 'The class' : nameOfGroup(plan, group)
}

/**
 * A row's readings in words: those that count in one piece, each that was set aside in a piece of its own with its reason. Where a trial is read several
 * times, its result stands for it.
 * @example readingPieces(plan, resultsTable(plan, readings('kitchen-roll', 61, 58))[0]!) // => [{ text: '61, 58' }]
 */
export function readingPieces(plan: Plan, { readings, results }: TableRow): { text: string; aside?: string }[] {
  const several = plan.kind === 'before-after' || plan.kind === 'over-time'
  const unit = measuredCard(plan)?.method.unit
  const write = ({ value, unit: own }: Reading) =>
    writeReading(plan, value, own === unit && own !== 'words' && own !== 'place' ? 'count' : own)
  const kept = several
    ? results.map((value) => writeReading(plan, value, 'count'))
    : readings.filter(({ status }) => status === 'kept').map(write)
  const aside = readings.filter(({ status }) => status === 'set-aside')
  return [
    ...(kept.length === 0 ? [] : [{ text: kept.join(', ') }]),
    ...aside.map((reading) => ({
      text: [writeReading(plan, reading.value, reading.unit), momentWords(plan, reading.moment)].filter(Boolean).join(' '),
      aside: reading.reason,
    })),
  ]
}
