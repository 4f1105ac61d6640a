import type { UnitCode } from '../quantity'

/** Where something was entered. */
export type Source = 'desk' | 'station' | 'import'

/** One row of the record. Never changed once written: a correction is a new row that supersedes it. */
export interface Reading {
  id: string
  group: string
  condition: string
  /** 1 is the first trial of the condition. */
  repeat: number
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

export interface Prediction {
  id: string
  group: string
  /** Condition ids, the most first. */
  order: string[]
  reason: string
  /** Made after the group's first counted reading: a change of mind, kept beside the first one. */
  late: boolean
  by: Source
  at: string
}

export interface Conclusion {
  id: string
  text: string
  /** How many children agreed by hands up; null when not counted. */
  hands: number | null
  agreed: boolean
  at: string
}

/** Everything that is known of a lesson. */
export interface LessonRecord {
  readings: Reading[]
  predictions: Prediction[]
  conclusions: Conclusion[]
}
