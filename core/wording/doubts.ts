import { unreachable } from '../unreachable'
import type { Plan } from '../lesson'
import { unitOf, type UnitCode } from '../quantity'
import type { Doubt } from '../record'
import { writeReading } from './names'

/** What is asked about a number, in words for a child at a station and for the teacher alike. */
export function doubtWords(plan: Plan, value: number, unit: UnitCode, doubt: Doubt): string {
  const written = writeReading(plan, value, unit)
  const near = 'middle' in doubt && doubt.middle !== null ? `, near ${writeReading(plan, doubt.middle, unit)}` : ''
  switch (doubt.code) {
    case 'slip-unit':
      return `${written} is far from the others${near}. Was it read in ${unitOf(doubt.unit).symbol}? That would be ${writeReading(plan, doubt.suggested, unit)}.`
    case 'slip-point':
      return `${written} is far from the others${near}. Should it say ${writeReading(plan, doubt.suggested, unit)}?`
    case 'slip-digits':
      return `${written} is far from the others${near}. Are two digits the wrong way round: ${writeReading(plan, doubt.suggested, unit)}?`
    case 'slip-swapped':
      return `${written} is far from the others${near}. Was it changed over with ${doubt.place || 'the other place'}?`
    case 'slip-empty':
      return `${written} is far from the others${near}. Is the empty container still in it? Without it that is ${writeReading(plan, doubt.suggested, unit)}.`
    case 'odd':
      return `${written} is well ${doubt.side} the others${near}. Did something happen in that trial?`
    case 'too-fine':
      return `${written} is finer than the tool can show: its marks are ${writeReading(plan, doubt.resolution, unit)} apart.`
    case 'beyond':
      return `${written} is more than there can be: it ends at ${writeReading(plan, doubt.most, unit)}. Is it right?`
    case 'impossible':
      return `${written} is below zero. Can that be?`
    default:
      return unreachable(doubt)
  }
}

/** Reasons for setting a reading aside that a child can tap. */
export const REASONS = [
  'we let go too late',
  'I was late with the clock',
  'it leaked or spilled',
  'it touched the side',
  'we lost count',
  'we read the wrong end',
  'somebody bumped the table',
] as const
