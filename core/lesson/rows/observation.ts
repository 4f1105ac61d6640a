import { BOUNDS, LONGEST } from '../limits'
import { rowKind, SOURCES, type Source } from './rowKind'

const OBSERVATION_KINDS = ['words', 'sketch', 'photo'] as const

/** What a group saw, heard or felt while it tested: words, with a sketch or a photo of the apparatus where there is one. */
export interface Observation {
  id: string
  group: string
  /** The trial it was seen in; null where it belongs to none. */
  condition: string | null
  repeat: number | null
  kind: (typeof OBSERVATION_KINDS)[number]
  text: string
  /** Stored beside the plan. */
  picture: string | null
  by: Source
  at: string
}

export const OBSERVATION = rowKind<Observation>()({
  kind: 'observation',
  list: 'observations',
  columns: {
    id: { is: 'row-id' },
    group: { is: 'plan-id' },
    condition: { is: 'plan-id', nullable: true },
    repeat: { is: 'whole', ...BOUNDS.repeats, nullable: true },
    kind: { is: 'one-of', words: OBSERVATION_KINDS },
    text: { is: 'text', most: LONGEST.observation },
    picture: { is: 'picture', nullable: true },
    by: { is: 'one-of', words: SOURCES },
    at: { is: 'time' },
  },
  stamped: ['by', 'at'],
  most: 5000,
  station: ['id', 'group', 'condition', 'repeat', 'kind', 'text', 'picture'],
  unsaid: {},
  desk: true,
  conditions: 'condition',
  faultOf: ({ picture, text }) => (picture === null && text.trim() === '' ? 'text' : undefined),
})
