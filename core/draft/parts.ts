import type { Kind, Plan } from '../lesson'
import type { UnitCode } from '../quantity'
import type { Best } from '../test'
import type { Mend } from '../waysOut'

export const DRAFT_PARTS = [
  'kind',
  'change',
  'conditions',
  'measure',
  'unit',
  'best',
  'times',
  'repeats',
  'kept',
  'kit',
  'clock',
  'each',
] as const
export type DraftPart = (typeof DRAFT_PARTS)[number]

/** What the teacher said over what was read; whatever is missing is as it was read. */
export interface DraftChoices {
  kind?: Kind
  change?: string
  /** As it was typed: "wool, cotton or foil", "10, 20 and 30 cm". */
  conditions?: string
  measure?: string
  /** What it is read in; `words` and `sorts` too. */
  unit?: UnitCode
  best?: Best
  repeats?: number
  /** How each thing is kept the same, by its name. */
  hows?: Record<string, string>
}

/** A part of the draft with the words of the line that it was taken from. */
export interface TakenPart {
  part: DraftPart
  quote: string
}

export type DraftQuestion =
  | { part: 'measure'; choices: { name: string; unit: UnitCode }[] }
  | { part: 'unit'; choices: UnitCode[] }
  | { part: 'change'; choices: string[] }
  | { part: 'conditions'; choices: string[] }
  | { part: 'best'; choices: Best[] }

export interface Draft {
  plan: Plan
  taken: TakenPart[]
  /** What was decided without the line, and may be wrong. */
  assumed: DraftPart[]
  /** At most three, the one that the others hang on first. */
  asked: DraftQuestion[]
  /** What each thing that is kept the same is asked for, by factor. */
  asks: Record<string, string>
  /** What made the lesson fit its time; nothing before that was looked at. */
  mends: Mend['code'][]
}
