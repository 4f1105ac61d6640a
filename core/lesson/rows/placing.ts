import { rowKind, SOURCES, type Source } from './rowKind'

/** The kinds of rows that can lose their place in the plan. */
export const PLACED_KINDS = [
  'reading',
  'prediction',
  'conclusion',
  'remark',
  'observation',
  'feedback',
  'improvement',
  'failure',
] as const

/**
 * Where the teacher put a row that the plan has no place for any more: to another group or condition, or aside. The row itself stays as it is; the last one that was
 * said of it holds, and one that names no place takes back what was said before.
 */
export interface Placing {
  id: string
  /** It is the class's, always. */
  group: null
  of: (typeof PLACED_KINDS)[number]
  row: string
  /** Whose the row is from now on; null where its group stands, or where it is put aside. */
  to: string | null
  /** Of which condition it is from now on; null where its condition stands, or where it is put aside. */
  condition: string | null
  aside: boolean
  by: Source
  at: string
}

export const PLACING = rowKind<Placing>()({
  kind: 'placing',
  list: 'placings',
  columns: {
    id: { is: 'row-id' },
    group: { is: 'plan-id', nullable: true },
    of: { is: 'one-of', words: PLACED_KINDS },
    row: { is: 'row-id' },
    to: { is: 'plan-id', nullable: true },
    condition: { is: 'plan-id', nullable: true },
    aside: { is: 'yes-or-no' },
    by: { is: 'one-of', words: SOURCES },
    at: { is: 'time' },
  },
  stamped: ['by', 'at'],
  most: 20_000,
  // A station places nothing.
  station: [],
  unsaid: {},
  desk: true,
  deskOnly: true,
  otherGroup: 'to',
  conditions: 'condition',
  about: 'row',
  faultOf: ({ group, to, condition, aside }) => {
    if (group !== null) return 'group'
    return aside && (to !== null || condition !== null) ? 'aside' : undefined
  },
})
