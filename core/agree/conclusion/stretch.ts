import type { ComparingWord, ResultUnit } from '../../quantity'

/** A stretch of a text, from its first letter to behind its last. */
export interface Span {
  from: number
  to: number
}

export interface ConditionMention extends Span {
  kind: 'condition'
  id: string
}

/** One of two places that are compared: the ceiling and the floor of a room. */
export interface PlaceMention extends Span {
  kind: 'place'
  /** Counted from 0 in the plan's order. */
  place: number
}

export interface FigureMention extends Span {
  kind: 'figure'
  /** In `unit`, as it was said. */
  value: number
  decimals: number
  /** What was said beside the number, else that of the results. */
  unit: ResultUnit
  unitSaid: boolean
}

export interface ComparingMention extends Span, ComparingWord {
  kind: 'comparing'
  /** Of "more water" and "least noise" the thing, without its ending. */
  of?: string | undefined
}

export type Mention = ConditionMention | PlaceMention | FigureMention | ComparingMention

/** A sentence, or one part of it, with what it mentions, in the order of the text. Positions are those of the whole text. */
export interface Stretch extends Span {
  text: string
  mentions: Mention[]
}

/** Which conditions are named, each once. */
export function namedIn({ mentions }: { mentions: Mention[] }): Set<string> {
  return new Set(mentions.flatMap((one) => (one.kind === 'condition' ? [one.id] : [])))
}

export function within(inner: Span, outer: Span): boolean {
  return inner.from >= outer.from && inner.to <= outer.to
}

export const overlap = (a: Span, b: Span) => a.from < b.to && b.from < a.to

export const size = ({ from, to }: Span) => to - from

export function spanned<Rest extends object>(match: RegExpExecArray, offset: number, rest: Rest): Rest & Span {
  return { ...rest, from: offset + match.index, to: offset + match.index + match[0].length }
}
