import { type Plan } from '../lesson'
import { resultMark, resultUnit } from '../test'
import { roundToMark } from '../quantity'
import type { Try } from '../record'
import { nameOfCondition, writeReading } from './names'

/** What a try came to: as it was read where it is one reading, a tenth of a mark finer where it is an average. */
export function tryFigure(plan: Plan, value: number): string {
  return writeReading(plan, roundToMark(value, resultMark(plan) / 10), resultUnit(plan))
}

/** What a try gained on the best before it. `'+5 better'`, `'2 worse'` */
export function gainWords(plan: Plan, gain: number | undefined): string {
  if (gain === undefined) return ''
  if (gain === 0) return 'no better, no worse'
  return `${tryFigure(plan, Math.abs(gain))} ${gain > 0 ? 'better' : 'worse'}`
}

/** The best of a group so far, for its station; empty before the first result. `'Best so far: 14, second try.'` */
export function bestSoFarWords(plan: Plan, tries: Try[]): string {
  const best = tries.find((one) => one.best)
  if (best?.result === undefined) return ''
  return `Best so far: ${tryFigure(plan, best.result)}, ${nameOfCondition(plan, best.condition)}.`
}

/** One try of the journal in a line. `'second try: folded once, because it is stiffer. 14, 5 better.'` */
export function tryLine(plan: Plan, { condition, change, result, gain }: Try): string {
  const said = change ? `: ${change.what}${change.why === '' ? '' : `, because ${change.why}`}` : ''
  const came = result === undefined ? 'not tested' : tryFigure(plan, result)
  return `${nameOfCondition(plan, condition)}${said}. ${[came, gainWords(plan, gain)].filter(Boolean).join(', ')}.`
}
