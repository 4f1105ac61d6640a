import Joi from 'joi'
import type { LessonFile } from '../core/formats'
import type { Conclusion, Prediction, Reading } from '../core/lesson'
import { isoTime, longText, planId, unit, uuid, whole } from './parts'
import { planSchema } from './plan'

/** What somebody who writes a reading down may say of it; time, source and order are the server's. */
export type NewReading = Omit<Reading, 'by' | 'at'>
export type NewPrediction = Pick<Prediction, 'id' | 'group' | 'order' | 'reason'>
export type NewConclusion = Pick<Conclusion, 'id' | 'text' | 'hands' | 'agreed'>

const readingFields = {
  id: uuid,
  group: planId,
  condition: planId,
  repeat: whole(1, 20),
  practice: Joi.boolean().required(),
  value: Joi.number().min(-1e12).max(1e12).required(),
  unit,
  entered: Joi.string().max(60).required(),
  status: Joi.string().valid('kept', 'set-aside').required(),
  reason: Joi.string()
    .allow('')
    .max(300)
    .required()
    .when('status', { is: 'set-aside', then: Joi.string().trim().min(1).max(300).invalid('') }),
  confirmed: Joi.boolean().required(),
  supersedes: uuid.allow(null),
}
const predictionFields = {
  id: uuid,
  group: planId,
  order: Joi.array().items(planId).min(1).max(60).unique().required(),
  reason: longText,
}
const conclusionFields = {
  id: uuid,
  text: longText,
  hands: whole(0, 200).allow(null),
  agreed: Joi.boolean().required(),
}
const source = Joi.string().valid('desk', 'station', 'import').required()

export const newReadingsSchema = Joi.object<{ readings: NewReading[] }, true>({
  readings: Joi.array().items(Joi.object<NewReading, true>(readingFields)).min(1).max(500).unique('id').required(),
}).required()
export const newPredictionSchema = Joi.object<NewPrediction, true>(predictionFields).required()
export const newConclusionSchema = Joi.object<NewConclusion, true>(conclusionFields).required()

/** A lesson file after its envelope was read; see core/formats/lessonFile.ts. */
export const lessonFileSchema = Joi.object<LessonFile, true>({
  format: Joi.string().required(),
  schemaVersion: Joi.number().required(),
  savedAt: isoTime,
  plan: planSchema,
  readings: Joi.array()
    .items(Joi.object<Reading, true>({ ...readingFields, by: source, at: isoTime }))
    .max(20_000)
    .required(),
  predictions: Joi.array()
    .items(Joi.object<Prediction, true>({ ...predictionFields, late: Joi.boolean().required(), by: source, at: isoTime }))
    .max(2000)
    .required(),
  conclusions: Joi.array()
    .items(Joi.object<Conclusion, true>({ ...conclusionFields, at: isoTime }))
    .max(2000)
    .required(),
}).required()
