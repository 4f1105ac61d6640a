import type { UnitCode } from '../quantity'
import type { PredictAs, RemarkList } from './plan'

/** Where something was entered. */
export type Source = 'desk' | 'station' | 'import'

/** One row of the record. Never changed once written: a correction is a new row that supersedes it. */
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
  status: 'kept' | 'set-aside'
  /** Why it was set aside, or why it was corrected. */
  reason: string
  /** Somebody was asked about this number and said that it is right. */
  confirmed: boolean
  supersedes: string | null
  by: Source
  /** ISO time. */
  at: string
}

/** A prediction of the whole class, counted by hands up, stands under this instead of a group. */
export const WHOLE_CLASS = 'whole-class'

export interface Prediction {
  id: string
  group: string
  as: PredictAs | 'hands'
  /** Condition ids, the most first; the most and the least only, where no more was asked. */
  order: string[]
  /** By condition or moment id: expected results, 1 / 0 / -1 for up / same / down, or hands. */
  values: Record<string, number>
  reason: string
  /** Made after the group's first counted reading: a change of mind, kept beside the first one. */
  late: boolean
  by: Source
  at: string
}

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

/** What a group said at its station, for one of the three lists. */
export interface SaidRemark {
  id: string
  group: string
  list: RemarkList
  text: string
  at: string
}

export const OBSERVATION_KINDS = ['words', 'sketch', 'photo'] as const

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

/** Everything that is known of a lesson. */
export interface LessonRecord {
  readings: Reading[]
  predictions: Prediction[]
  conclusions: Conclusion[]
  remarks: SaidRemark[]
  observations: Observation[]
}

export const EMPTY_RECORD: LessonRecord = { readings: [], predictions: [], conclusions: [], remarks: [], observations: [] }
