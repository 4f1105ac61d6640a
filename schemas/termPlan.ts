import Joi from 'joi'
import { daysBetween, type Calendar } from '../core/clock'
import { AGES, BOUNDS, TOPICS, type Age, type Topic } from '../core/lesson'
import type { Occasion, TermAsk, TermNeed, TermWeek } from '../core/term'
import { day, planId, shortText, whole, wholeIn } from './parts'

/** Which term to lay; empty days are the class's next term, no class is that of the last lesson. */
export interface TermPlanAsk extends TermAsk {
  className: string
  children: number | null
  age: Age | ''
  topic: Topic | ''
}

/** A term as it is laid, and what it was laid with. */
export interface TermPlan {
  from: string
  to: string
  className: string
  children: number
  classes: string[]
  weeks: TermWeek[]
  calendar: Calendar
  /** What could be laid, by title. */
  candidates: { id: string; title: string }[]
  practised: Occasion[]
  needs: TermNeed[]
  /** Lessons of the class that have no day, and so no week. */
  withoutDay: number
  renewing: number
}

/** Lessons of a term that become lessons on the shelf. */
export interface TermLessons {
  className: string
  children: number
  lessons: { investigation: string; date: string }[]
}

const LONGEST_TERM = 400
const MOST_WEEKS = 60

export const termPlanSchema = Joi.object<TermPlanAsk>({
  from: day.allow('').required(),
  to: day.allow('').required(),
  className: shortText,
  children: wholeIn(BOUNDS.children).allow(null),
  weekday: whole(0, 6).allow(null),
  every: whole(1, 8),
  age: Joi.string()
    .valid(...AGES, '')
    .required(),
  topic: Joi.string()
    .valid(...TOPICS, '')
    .required(),
  chosen: Joi.object().pattern(day, planId.allow(null)).max(MOST_WEEKS).required(),
})
  .custom((ask: TermPlanAsk, helpers) => {
    if (ask.from === '' || ask.to === '') return ask
    const days = daysBetween(ask.from, ask.to)
    if (days >= 0 && days <= LONGEST_TERM) return ask
    return helpers.message({ custom: 'The last day must come after the first, and within a year' })
  })
  .required()

export const termLessonsSchema = Joi.object<TermLessons>({
  className: shortText,
  children: wholeIn(BOUNDS.children),
  lessons: Joi.array()
    .items(Joi.object({ investigation: planId, date: day.required() }))
    .min(1)
    .max(MOST_WEEKS)
    .required(),
}).required()
