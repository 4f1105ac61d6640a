import type { Plan } from '../../lesson'
import { convert, type Side } from '../../quantity'
import { resultUnit } from '../../test'
import type { FigureMention, Span, Stretch } from './stretch'

/** "61 mm is more than 49 mm": two figures, each of its own; what compares them stands between. */
export function figureThan({ text, from, mentions }: Stretch, figure: FigureMention): { from: number; holds: boolean } | undefined {
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

/** "Over 6 degrees": on which side of a number the value lies, though near it. */
export function sidedOf({ text, from }: Stretch, figure: Span): Side | undefined {
  const match = /\b(?:(over|more than)|under|less than) $/.exec(text.slice(0, figure.from - from))
  return match ? (match[1] === undefined ? 'less' : 'more') : undefined
}

/** Is a value what was said: rounded to as many digits, or near it where the sentence says "about". */
export function isSaid(
  figure: FigureMention,
  value: number,
  plan: Plan,
  { about = false, leeway = 0, side }: { about?: boolean; leeway?: number; side?: Side | undefined },
): boolean {
  const inSaid = convert(value, resultUnit(plan), figure.unit)
  if (inSaid === undefined) return false
  const [is, said] = [Math.abs(inSaid), Math.abs(figure.value)]
  const half = 0.5 * 10 ** -figure.decimals
  // "Over six degrees" of 6.4.
  if (side) return side === 'more' ? is >= said - half && is <= 1.25 * said : is <= said + half && is >= 0.75 * said
  const away = Math.abs(is - said)
  return away <= half * (1 + leeway) + 1e-9 || (about && away <= 0.06 * is)
}
