import { LONGEST } from '../limits'
import { rowKind, SOURCES, type Source } from './rowKind'

/** What one group tells another after a visit: one thing done well, one to work on. For the teacher and that group, never public by itself. */
export interface Feedback {
  id: string
  /** Who says it. */
  group: string
  /** Whom it is about. */
  about: string
  well: string
  next: string
  by: Source
  at: string
}

export const FEEDBACK = rowKind<Feedback>()({
  kind: 'feedback',
  list: 'feedbacks',
  columns: {
    id: { is: 'row-id' },
    group: { is: 'plan-id' },
    about: { is: 'plan-id' },
    well: { is: 'text', most: LONGEST.note },
    next: { is: 'text', most: LONGEST.note },
    by: { is: 'one-of', words: SOURCES },
    at: { is: 'time' },
  },
  stamped: ['by', 'at'],
  most: 2000,
  station: ['id', 'group', 'about', 'well', 'next'],
  unsaid: {},
  desk: true,
  confidential: true,
  otherGroup: 'about',
  faultOf: ({ well, next }) => (well.trim() === '' && next.trim() === '' ? 'well' : undefined),
})
