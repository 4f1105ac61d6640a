import type { Plan } from '../../lesson'

export interface Segment {
  text: string
  card?: 'change' | 'measure' | 'open'
}

interface TrayWords {
  name: string
  hint: string
}

/** The trays, with a card that could lie in the second and what the third says while it is empty. */
export interface Trays {
  change: TrayWords
  measure: TrayWords & { example: string }
  keep: TrayWords & { empty: string }
}

/** The pieces that a question is put together from. */
interface QuestionParts {
  change: Segment
  measure: Segment[]
  /** The second thing that differs on purpose; nothing where there is none. */
  second: Segment[]
  /** Something lies in the Change tray. */
  changes: boolean
}

/** How a kind of test is talked about. */
export interface KindWords {
  name: string
  what: string
  example: string
  /** What puts a card into the first tray. */
  take: string
  trays: Trays
  /** What a condition is called. */
  conditions: { name: string; what: string; example: string }
  /** What stands in the question while nothing is chosen to change. */
  openChange: string
  question: (parts: QuestionParts) => Segment[]
  /** What may have made a difference, as the subject of a sentence; undefined where it is what was changed. */
  madeIt: (change: string | undefined) => string
  /** What the longest part of a trial is called. */
  run: (plan: Plan) => string
}

export const USUAL_TRAYS: Trays = {
  change: { name: 'Change', hint: 'one thing' },
  measure: { name: 'Measure', hint: 'one thing', example: 'how high it climbs' },
  keep: { name: 'Keep the same', hint: 'and say how', empty: 'Everything else we could change comes here by itself.' },
}

/** What most kinds say; each says what it has of its own. */
export const USUAL_WORDS = {
  take: 'Change this',
  trays: USUAL_TRAYS,
  openChange: 'something we change',
  question: ({ change, measure, second }) => [
    { text: isClause(change) ? 'Does ' : 'How does ' },
    change,
    { text: ' change ' },
    ...measure,
    ...second,
    { text: '?' },
  ],
  madeIt: (change) => `Changing ${change ?? 'what we change'}`,
  run: () => 'Run (wait or do)',
} satisfies Partial<KindWords>

/** A card may be a clause: "how thick the soup is". */
export function isClause({ text }: Segment): boolean {
  return /^(?:how|what|which|where|when|whether|who)\b/i.test(text)
}

/** "the object" after "which" is "object". */
export function bare(segment: Segment): Segment {
  return { ...segment, text: segment.text.replace(/^(?:the|a|an)\s+/i, '') }
}
