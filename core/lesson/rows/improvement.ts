import { LONGEST } from '../limits'
import { rowKind, SOURCES, type Source } from './rowKind'

/** What a group changes for its next try, and why it thinks that this helps; said before it is built. */
export interface Improvement {
  id: string
  group: string
  /** The try that it is for. */
  condition: string
  what: string
  why: string
  by: Source
  at: string
}

export const IMPROVEMENT = rowKind<Improvement>()({
  kind: 'improvement',
  list: 'improvements',
  columns: {
    id: { is: 'row-id' },
    group: { is: 'plan-id' },
    condition: { is: 'plan-id' },
    what: { is: 'text', most: LONGEST.note, needed: true },
    why: { is: 'text', most: LONGEST.note },
    by: { is: 'one-of', words: SOURCES },
    at: { is: 'time' },
  },
  stamped: ['by', 'at'],
  most: 2000,
  station: ['id', 'group', 'condition', 'what', 'why'],
  unsaid: {},
  desk: true,
  conditions: 'condition',
})
