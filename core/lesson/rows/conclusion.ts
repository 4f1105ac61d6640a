import { BOUNDS, LONGEST } from '../limits'
import { rowKind, SOURCES, type Source } from './rowKind'

/** One wording of a sentence: a group's own, or the class's. A further wording, or a count of hands, is a further row. */
export interface Conclusion {
  id: string
  /** Whose sentence it is; null for the whole class. */
  group: string | null
  /** The row that it grew from: its own earlier form, or the group's sentence that the class took up. */
  from: string | null
  text: string
  /** How many children agreed by hands up; null when not counted. */
  hands: number | null
  agreed: boolean
  by: Source
  at: string
}

export const CONCLUSION = rowKind<Conclusion>()({
  kind: 'conclusion',
  list: 'conclusions',
  columns: {
    id: { is: 'row-id' },
    group: { is: 'plan-id', nullable: true },
    from: { is: 'row-id', nullable: true },
    text: { is: 'text', most: LONGEST.text },
    hands: { is: 'whole', ...BOUNDS.hands, nullable: true },
    agreed: { is: 'yes-or-no' },
    by: { is: 'one-of', words: SOURCES },
    at: { is: 'time' },
  },
  stamped: ['by', 'at'],
  most: 2000,
  station: ['id', 'from', 'text'],
  unsaid: { hands: null, agreed: false },
  desk: true,
  grewFrom: 'from',
  faultOf: ({ group, text }) => (group !== null && text.trim() === '' ? 'text' : undefined),
})
