import Joi from 'joi'
import type { Plan } from '../core/lesson'
import { planId, shortText, uuid, whole } from './parts'
import { planSchema } from './plan'

export const lessonPathSchema = Joi.object<{ lesson: string }>({ lesson: uuid }).unknown()

export const picturePathSchema = Joi.object<{ picture: string }>({ picture: uuid }).unknown()

export const groupSchema = Joi.object<{ group: string }, true>({ group: planId }).required()

export const newLessonSchema = Joi.object<{ investigation: string | null }, true>({
  investigation: planId.allow(null),
}).required()

export const savePlanSchema = Joi.object<{ plan: Plan; revision: number }, true>({
  plan: planSchema,
  revision: whole(0, 2_000_000_000),
}).required()

export const archiveSchema = Joi.object<{ archived: boolean }, true>({ archived: Joi.boolean().required() }).required()

const since = Joi.number().integer().min(0).max(Number.MAX_SAFE_INTEGER).default(0)
export const sinceSchema = Joi.object<{ since: number }>({ since })
export const stationSinceSchema = Joi.object<{ since: number; token: string }>({
  since,
  token: Joi.string().hex().length(64).required(),
})

export const textFileSchema = Joi.object<{ text: string }, true>({ text: Joi.string().max(12_000_000).required() }).required()

export const stationCodeSchema = Joi.object<{ code: string }>({ code: shortText })

export const joinSchema = Joi.object<{ code: string; group: string }, true>({
  code: Joi.string().max(20).required(),
  group: planId,
}).required()
