import { BOUNDS, LONGEST } from '../limits'
import { rowKind, SOURCES, type Source } from './rowKind'

/** A trial that ended without a number: it burst, fell over, got stuck. It is done again, and what happened stays. */
export interface Failure {
  id: string
  group: string
  condition: string
  repeat: number
  reason: string
  by: Source
  at: string
}

export const FAILURE = rowKind<Failure>()({
  kind: 'failure',
  list: 'failures',
  columns: {
    id: { is: 'row-id' },
    group: { is: 'plan-id' },
    condition: { is: 'plan-id' },
    repeat: { is: 'whole', ...BOUNDS.repeats },
    reason: { is: 'text', most: LONGEST.reason, needed: true },
    by: { is: 'one-of', words: SOURCES },
    at: { is: 'time' },
  },
  stamped: ['by', 'at'],
  most: 2000,
  station: ['id', 'group', 'condition', 'repeat', 'reason'],
  unsaid: {},
  desk: true,
  conditions: 'condition',
})
