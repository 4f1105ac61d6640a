import type { UnitCode } from '../../quantity'
import { BOUNDS, LONGEST } from '../limits'
import { rowKind, SOURCES, type Source } from './rowKind'

const STATUSES = ['kept', 'set-aside'] as const

/** One number of one trial. */
export interface Reading {
  id: string
  group: string
  condition: string
  /** 1 is the first trial of the condition. */
  repeat: number
  /** Which of a trial's moments (before, after, at 5 minutes) it was read at; empty where a trial is read once. */
  moment: string
  practice: boolean
  value: number
  unit: UnitCode
  /** The words as they were entered. */
  entered: string
  status: (typeof STATUSES)[number]
  /** Why it was set aside, or why it was corrected. */
  reason: string
  /** Somebody was asked about this number and said that it is right. */
  confirmed: boolean
  supersedes: string | null
  by: Source
  /** ISO time. */
  at: string
}

export const READING = rowKind<Reading>()({
  kind: 'reading',
  list: 'readings',
  columns: {
    id: { is: 'row-id' },
    group: { is: 'plan-id' },
    condition: { is: 'plan-id' },
    repeat: { is: 'whole', ...BOUNDS.repeats },
    moment: { is: 'moment' },
    practice: { is: 'yes-or-no' },
    value: { is: 'number' },
    unit: { is: 'unit' },
    entered: { is: 'text', most: LONGEST.entry, needed: true },
    status: { is: 'one-of', words: STATUSES },
    reason: { is: 'text', most: LONGEST.reason },
    confirmed: { is: 'yes-or-no' },
    supersedes: { is: 'row-id', nullable: true },
    by: { is: 'one-of', words: SOURCES },
    at: { is: 'time' },
  },
  stamped: ['by', 'at'],
  most: 20_000,
  station: [
    'id',
    'group',
    'condition',
    'repeat',
    'moment',
    'practice',
    'value',
    'unit',
    'entered',
    'status',
    'reason',
    'confirmed',
    'supersedes',
  ],
  unsaid: {},
  desk: true,
  conditions: 'condition',
  supersedes: 'supersedes',
  faultOf: ({ status, reason }) => (status === 'set-aside' && reason.trim() === '' ? 'reason' : undefined),
})
