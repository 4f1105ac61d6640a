import Joi from 'joi'
import type { Calendar, Days } from '../core/clock'
import { CURRENCIES, ENGLISH, type CountedBack, type Customs, type Thing } from '../core/kit'
import { BOUNDS, LONGEST, MOST } from '../core/lesson'
import { NUMBER_UNITS } from '../core/quantity'
import { day, oneOf, planId, shortText, uuid, wholeIn, within } from './parts'

const MOST_DAYS = 60
const amount = within(BOUNDS.stock)

export const thingFields = {
  id: uuid,
  name: Joi.string().trim().min(1).max(LONGEST.name).required(),
  unit: Joi.string()
    .valid(...NUMBER_UNITS)
    .required(),
  stock: amount,
  place: shortText,
  minimum: amount.allow(null),
  pack: Joi.number().greater(0).max(BOUNDS.stock.most).allow(null).required(),
  price: amount.allow(null),
}

/** One thing, as the cupboard page writes it. */
export const thingSchema = Joi.object<Thing, true>(thingFields).required()

/** Materials of a lesson that were taken from the cupboard by their name. */
export interface Reached {
  lesson: string
  title: string
  materials: string[]
}

/** Things that lessons which name them take from the cupboard from now on; or, with what was reached so, no longer. */
export interface ReachBody {
  things: string[]
  back: Reached[] | null
}

const MOST_REACHED = 5000

export const reachSchema = Joi.object<ReachBody, true>({
  things: Joi.array().items(uuid.optional()).max(MOST_REACHED).required(),
  back: Joi.array()
    .items(
      Joi.object<Reached, true>({
        lesson: uuid,
        title: Joi.string().allow('').max(LONGEST.name).required(),
        materials: Joi.array().items(planId.optional()).max(MOST.materials).required(),
      }),
    )
    .max(MOST_REACHED)
    .allow(null)
    .required(),
}).required()

const days = Joi.object<Days, true>({ name: shortText, from: day.required(), to: day.required() }).custom((value: Days, helpers) =>
  value.from <= value.to ? value : helpers.message({ custom: '"to" must not lie before "from"' }),
)

const calendar = Joi.object<Calendar, true>({
  terms: Joi.array().items(days).max(MOST_DAYS).required(),
  holidays: Joi.array().items(days).max(MOST_DAYS).required(),
  weekdays: Joi.array().items(Joi.boolean()).length(7).required(),
}).required()

export interface CalendarBody {
  className: string
  calendar: Calendar
}

export const calendarSchema = Joi.object<CalendarBody, true>({ className: shortText, calendar }).required()

export interface PaceBody {
  className: string
  forget: boolean
}

export const forgetPaceSchema = Joi.object<PaceBody, true>({ className: shortText, forget: Joi.boolean().required() }).required()

export interface HeldBody {
  before: number
  after: number
}

export const heldSchema = Joi.object<HeldBody, true>({
  before: wholeIn(BOUNDS.heldDays),
  after: wholeIn(BOUNDS.heldDays),
}).required()

export const customsSchema = Joi.object<Customs, true>({
  english: oneOf(ENGLISH),
  currency: oneOf(CURRENCIES),
}).required()

export const countBackSchema = Joi.object<{ rows: CountedBack[] }, true>({
  rows: Joi.array()
    .items(Joi.object<CountedBack, true>({ material: planId, taken: amount, back: amount, broken: amount }))
    .max(MOST.materials)
    .unique('material')
    .required(),
}).required()

export const calendarFileSchema = Joi.object<{ what: 'getting-ready' | 'reading-days' }>({
  what: Joi.string().valid('getting-ready', 'reading-days').required(),
})
