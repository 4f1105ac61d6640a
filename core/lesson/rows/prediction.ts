import { LONGEST, MOST } from '../limits'
import { PREDICT_AS, type PredictAs } from '../plan'
import { rowKind, SOURCES, type Source } from './rowKind'

export interface Prediction {
  id: string
  group: string
  /** `hands` is the class's count, `challenge` a group's guess of something new after it has tested. */
  as: PredictAs | 'hands' | 'challenge'
  /** Condition ids, the most first; the most and the least only, where no more was asked. */
  order: string[]
  /** By condition or moment id: expected results, 1 / 0 / -1 for up / same / down, or hands. */
  values: Record<string, number>
  reason: string
  /** The card it is about; null for the one whose readings carry no mark (core/test/measures.ts). */
  measure: string | null
  /** Made after the group's first counted reading: a change of mind, kept beside the first one. */
  late: boolean
  by: Source
  at: string
}

export const PREDICTION = rowKind<Prediction>()({
  kind: 'prediction',
  list: 'predictions',
  columns: {
    id: { is: 'row-id' },
    group: { is: 'plan-id' },
    as: { is: 'one-of', words: [...PREDICT_AS, 'hands', 'challenge'] },
    order: { is: 'plan-ids', most: MOST.conditions },
    values: { is: 'numbers', most: MOST.conditions },
    reason: { is: 'text', most: LONGEST.text },
    measure: { is: 'plan-id', nullable: true, later: true },
    late: { is: 'yes-or-no' },
    by: { is: 'one-of', words: SOURCES },
    at: { is: 'time' },
  },
  stamped: ['late', 'by', 'at'],
  most: 2000,
  station: ['id', 'group', 'as', 'order', 'values', 'reason', 'measure'],
  unsaid: {},
  desk: true,
  conditions: 'order',
  ofWholeClass: ({ as }) => as === 'hands',
  // A prediction says something: an order, or values.
  faultOf: ({ order, values }) => (order.length === 0 && Object.keys(values).length === 0 ? 'order' : undefined),
})
