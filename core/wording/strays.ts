import type { AnyRow, Observation, Plan, Prediction, Reading, RowKindName } from '../lesson'
import type { Lacks, Stray } from '../record'
import { counted, nameOfCondition, nameOfGroup, readingWords } from './names'

/** What a row of each kind is called. */
export const STRAY_WORDS: Record<RowKindName, { one: string; many: string }> = {
  reading: { one: 'reading', many: 'readings' },
  prediction: { one: 'prediction', many: 'predictions' },
  conclusion: { one: 'sentence', many: 'sentences' },
  remark: { one: 'remark', many: 'remarks' },
  observation: { one: 'observation', many: 'observations' },
  feedback: { one: 'word to another group', many: 'words to other groups' },
  improvement: { one: 'change for a try', many: 'changes for tries' },
  failure: { one: 'trial without a number', many: 'trials without a number' },
  placing: { one: 'answer about a place', many: 'answers about places' },
}

const LACKS_WORDS: Record<Lacks, string> = {
  group: 'a group that is no longer here',
  'other-group': 'to a group that is no longer here',
  condition: 'a condition that is no longer here',
  moment: 'a time, place or measure that is no longer here',
}

/**
 * How many rows of a kind lack the same.
 * @example strayCountWords({ kind: 'reading', lacks: 'group', count: 1 }) // => '1 reading of a group that is no longer here'
 */
export function strayCountWords({ kind, lacks, count }: { kind: Stray['kind']; lacks: Lacks; count: number }): string {
  const words = STRAY_WORDS[kind]
  return `${counted(count, words.one, words.many)} ${lacks === 'other-group' ? '' : 'of '}${LACKS_WORDS[lacks]}`
}

/** One row without a home, and the places of it that are still there. `'61 mm, tissue'` */
export function strayWords(plan: Plan, { kind, row }: Stray): string {
  const said = saidIn(plan, kind, row)
  const there = (places: { id: string }[], id: unknown): id is string => places.some((place) => place.id === id)
  const condition = 'condition' in row && there(plan.conditions, row.condition) ? nameOfCondition(plan, row.condition) : ''
  const group = there(plan.groups, row.group) ? nameOfGroup(plan, row.group) : ''
  return [said, condition, group].filter(Boolean).join(', ')
}

/**
 * What was done with rows without a home, for a moment and with a way back.
 * @example placedWords(3, undefined) // => '3 put aside.'
 */
export function placedWords(count: number, group: string | undefined): string {
  if (group !== undefined) return `Given to ${group}.`
  return count === 1 ? 'Put aside.' : `${count} put aside.`
}

function saidIn(plan: Plan, kind: Stray['kind'], row: AnyRow): string {
  if (kind === 'reading') return readingWords(plan, row as Reading)
  if (kind === 'prediction') return (row as Prediction).reason || 'a prediction'
  if (kind === 'observation') return (row as Observation).text || 'a picture'
  const texts = Object.entries(row).flatMap(([column, value]) =>
    ['text', 'well', 'next', 'what'].includes(column) ? [String(value)] : [],
  )
  return texts.filter(Boolean).join('; ')
}
