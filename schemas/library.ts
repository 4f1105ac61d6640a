import Joi from 'joi'
import type { Calendar } from '../core/clock'
import { MOST_TOGETHER, type Together } from '../core/together'
import { USUAL_CUSTOMS, type Customs, type School, type Thing } from '../core/kit'
import { MOVE_REASONS, type Move } from './contract'
import { calendarSchema, customsSchema, heldSchema, thingFields } from './school'
import { togetherSchema } from './together'
import { isoTime, oneOf, uuid, whole } from './parts'

/** A thing of the cupboard with all that happened to it. */
interface SavedThing extends Thing {
  goneAt: string | null
}

interface SavedMove {
  thing: string
  lesson: string | null
  why: Move['why']
  change: number
  broken: number
  stock: number
  at: string
}

/** What a backup says besides its lessons; see docs/formats.md. */
export interface LibraryFile {
  format: string
  version: number
  savedAt: string
  lessons: { id: string; archived: boolean }[]
  cupboard: { things: SavedThing[]; moves: SavedMove[] }
  calendars: { className: string; calendar: Calendar }[]
  held: School['held']
  customs: Customs
  /** Which lessons run together, and what they have in common. */
  togethers: { lessons: string[]; together: Together }[]
  /** Lessons that were kept to begin from, each as its own file. */
  startingPoints: { id: string; startingPoint: object }[]
}

/** A backup holds no more, and so the cupboard takes no more. */
export const MOST_IN_LIBRARY = { lessons: 20_000, things: 5000, moves: 200_000, calendars: 500, startingPoints: 500 } as const

const amount = Joi.number().min(-1e9).max(1e9).required()

export const librarySchema = Joi.object<LibraryFile>({
  format: Joi.string().valid('jolly-beaker-library').required(),
  version: whole(1, 1000),
  savedAt: isoTime,
  lessons: Joi.array()
    .items(Joi.object({ id: uuid, archived: Joi.boolean().required() }))
    .max(MOST_IN_LIBRARY.lessons)
    .unique('id')
    .required(),
  cupboard: Joi.object({
    things: Joi.array()
      .items(Joi.object({ ...thingFields, goneAt: isoTime.allow(null) }))
      .max(MOST_IN_LIBRARY.things)
      .unique('id')
      .required(),
    moves: Joi.array()
      .items(
        Joi.object({
          thing: uuid,
          lesson: uuid.allow(null),
          why: oneOf(MOVE_REASONS),
          change: amount,
          broken: amount,
          stock: amount,
          at: isoTime,
        }),
      )
      .max(MOST_IN_LIBRARY.moves)
      .required(),
  }).required(),
  calendars: Joi.array().items(calendarSchema.optional()).max(MOST_IN_LIBRARY.calendars).required(),
  held: heldSchema,
  // Older backups do not say.
  customs: customsSchema.optional().default(USUAL_CUSTOMS),
  togethers: Joi.array()
    .items(Joi.object({ lessons: Joi.array().items(uuid.optional()).max(MOST_TOGETHER).required(), together: togetherSchema }))
    .max(MOST_IN_LIBRARY.lessons)
    .default([]),
  // Each is read as a file of its own is.
  startingPoints: Joi.array()
    .items(Joi.object({ id: uuid, startingPoint: Joi.object().unknown().required() }))
    .max(MOST_IN_LIBRARY.startingPoints)
    .unique('id')
    .default([]),
}).required()
