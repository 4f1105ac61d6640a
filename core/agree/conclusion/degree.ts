import { evenedOf, type Evidence } from '../../evidence'
import type { ComparingMention, Span, Stretch } from './stretch'
import { MUCH } from './order'

const DEGREE = /\b(?:(much|far|a lot|lots|way)|(only a little|a little|a (?:little |tiny |small )?bit|slightly)) $/

/** "Much higher", "a bit higher": the words right before. */
export function degreeOf(word: ComparingMention, { text, from }: Stretch): { large: boolean; at: Span } | undefined {
  const match = DEGREE.exec(text.slice(0, word.from - from))
  return match ? { large: match[1] !== undefined, at: { from: from + match.index, to: word.from - 1 } } : undefined
}

export function hasDegree(large: boolean, a: string, b: string, evidence: Evidence): boolean {
  const [one, other] = [a, b].map((id) => evenedOf(evidence, id) ?? 0) as [number, number]
  const share = Math.abs(one - other) / Math.max(Math.abs(one), Math.abs(other), Number.EPSILON)
  return large ? share >= MUCH : share <= MUCH
}
