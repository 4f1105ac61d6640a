import Joi from 'joi'
import type { FilePicture, LessonFile } from '../core/formats'
import {
  MOST_TRIALS,
  OBSERVATION_KINDS,
  PREDICT_AS,
  REMARK_LISTS,
  type Conclusion,
  type Observation,
  type Prediction,
  type Reading,
  type SaidRemark,
} from '../core/lesson'
import { isoTime, longText, measureNumber, moment, planId, unit, uuid, whole } from './parts'
import { planSchema } from './plan'

/** What somebody who writes a reading down may say of it; time, source and order are the server's. */
export type NewReading = Omit<Reading, 'by' | 'at'>
export type NewPrediction = Pick<Prediction, 'id' | 'group' | 'as' | 'order' | 'values' | 'reason'>
export type NewRemark = Pick<SaidRemark, 'id' | 'list' | 'text'>
export type NewObservation = Omit<Observation, 'by' | 'at'>
export type NewConclusion = Omit<Conclusion, 'by' | 'at'>
/** What a station may say of its group's sentence. */
export type NewProposal = Pick<Conclusion, 'id' | 'from' | 'text'>

const readingFields = {
  id: uuid,
  group: planId,
  condition: planId,
  repeat: whole(1, MOST_TRIALS),
  moment,
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
  as: Joi.string()
    .valid(...PREDICT_AS, 'hands')
    .required(),
  order: Joi.array().items(planId.optional()).max(60).unique().required(),
  values: Joi.object()
    .pattern(/^[A-Za-z0-9_.-]{1,64}$/, measureNumber.required())
    .max(60)
    .required(),
  reason: longText,
}
const conclusionFields = {
  id: uuid,
  group: planId.allow(null),
  from: uuid.allow(null),
  text: longText,
  hands: whole(0, 200).allow(null),
  agreed: Joi.boolean().required(),
}
const remarkFields = {
  id: uuid,
  list: Joi.string()
    .valid(...REMARK_LISTS)
    .required(),
  text: Joi.string().trim().min(1).max(4000).required(),
}
const observationFields = {
  id: uuid,
  group: planId,
  condition: planId.allow(null),
  repeat: whole(1, MOST_TRIALS).allow(null),
  kind: Joi.string()
    .valid(...OBSERVATION_KINDS)
    .required(),
  text: Joi.string()
    .trim()
    .allow('')
    .max(2000)
    .required()
    .when('picture', { is: null, then: Joi.string().trim().min(1).invalid('') }),
  picture: uuid.allow(null),
}
const source = Joi.string().valid('desk', 'station', 'import').required()

export const newReadingsSchema = Joi.object<{ readings: NewReading[] }, true>({
  readings: Joi.array().items(Joi.object<NewReading, true>(readingFields)).min(1).max(500).unique('id').required(),
}).required()
/** A prediction says something: an order, or values. */
export const newPredictionSchema = Joi.object<NewPrediction, true>(predictionFields)
  .custom((prediction: NewPrediction, helpers) =>
    prediction.order.length > 0 || Object.keys(prediction.values).length > 0 ? prediction : helpers.error('any.required'),
  )
  .required()
export const newRemarkSchema = Joi.object<NewRemark, true>(remarkFields).required()
export const newObservationSchema = Joi.object<NewObservation, true>(observationFields).required()
export const newConclusionSchema = Joi.object<NewConclusion, true>(conclusionFields).required()
export const newProposalSchema = Joi.object<NewProposal, true>({
  id: uuid,
  from: uuid.allow(null),
  text: Joi.string().trim().min(1).max(1000).required(),
}).required()

const MOST_OF_A_PICTURE = 4_000_000

/** A picture as a `data:` address. What its bytes really are is checked when it is stored. */
export const pictureSchema = Joi.object<FilePicture, true>({
  id: uuid,
  data: Joi.string()
    .max(MOST_OF_A_PICTURE)
    .pattern(/^data:image\/(?:png|jpeg|webp);base64,[A-Za-z0-9+/]+={0,2}$/, 'picture')
    .required(),
}).required()

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
    .items(Joi.object<Conclusion, true>({ ...conclusionFields, by: source, at: isoTime }))
    .max(2000)
    .required(),
  remarks: Joi.array()
    .items(Joi.object<SaidRemark, true>({ ...remarkFields, group: planId, at: isoTime }))
    .max(5000)
    .required(),
  observations: Joi.array()
    .items(Joi.object<Observation, true>({ ...observationFields, by: source, at: isoTime }))
    .max(5000)
    .required(),
  pictures: Joi.array().items(pictureSchema.optional()).max(200).unique('id').required(),
}).required()
