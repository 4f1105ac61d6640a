import Joi from 'joi'
import { LONGEST } from '../core/lesson'
import { UNIT_CODES } from '../core/quantity'

/** Ids inside a plan: made by the client, short and harmless. */
export const planId = Joi.string()
  .pattern(/^[A-Za-z0-9_-]{1,64}$/, 'id')
  .required()
export const uuid = Joi.string()
  .guid({ version: ['uuidv4'], wrapper: false, separator: '-' })
  .lowercase()
  .required()
export const shortText = Joi.string().allow('').max(LONGEST.name).required()
export const longText = Joi.string().allow('').max(LONGEST.text).required()
/** Which moment of a trial: `before`, `t5`, `t0.5p2`, `n2`, with the card's mark behind it where several things are measured; empty where it is read once. */
export const moment = Joi.string()
  .allow('')
  .pattern(/^[a-z0-9.]{0,20}(?:@[A-Za-z0-9_-]{1,64})?$/, 'moment')
  .required()
export const unit = Joi.string()
  .valid(...UNIT_CODES)
  .required()
const YEARS = { first: 1900, last: 2200 }
/** A time that there is, in years that a lesson can have; a database and a calendar take it. */
export const isoTime = Joi.string()
  .isoDate()
  .max(40)
  .custom((text: string, helpers) => {
    const year = new Date(text).getUTCFullYear()
    return year >= YEARS.first && year <= YEARS.last ? text : helpers.error('string.isoDate')
  })
  .required()
/** A day that there is, `YYYY-MM-DD`. */
export const day = Joi.string().custom((text: string, helpers) => {
  const there = /^\d{4}-\d\d-\d\d$/.test(text) ? new Date(`${text}T00:00:00Z`) : undefined
  const year = there?.getUTCFullYear() ?? NaN
  const real = there && !Number.isNaN(there.getTime()) && there.toISOString().startsWith(text)
  return real && year >= YEARS.first && year <= YEARS.last
    ? text
    : helpers.message({ custom: '{#label} must be a day, such as 2026-03-12' })
})
export const measureNumber = Joi.number().min(-1e12).max(1e12)
interface Bounds {
  least: number
  most: number
}
export const within = ({ least, most }: Bounds) => Joi.number().min(least).max(most).required()
export const wholeIn = (bounds: Bounds) => within(bounds).integer()
export const whole = (least: number, most: number) => wholeIn({ least, most })
/** One of the words of a list that is written once. */
export const oneOf = (words: readonly string[]) =>
  Joi.string()
    .valid(...words)
    .required()
