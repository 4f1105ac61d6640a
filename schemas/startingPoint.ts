import Joi from 'joi'
import { AGES, LONGEST, MOST, PLAN_VERSION, TOPICS, WAYS } from '../core/lesson'
import { planFrom, wholePlan, type PlanInShort, type StartingPoint, type Teaching } from '../core/test'
import { longText, oneOf, planId, shortText } from './parts'
import { planSchema } from './plan'

export const STARTING_POINT_FORMAT = 'jolly-beaker-starting-point'
export const STARTING_POINT_VERSION = 1
const MOST_LINES = 12

/** A lesson to begin from as a file: see docs/formats.md. The plan may leave out what an empty lesson has. */
export interface StartingPointFile extends Omit<StartingPoint, 'plan'> {
  format: typeof STARTING_POINT_FORMAT
  version: typeof STARTING_POINT_VERSION
  /** The version of the plan's shape; left out by what is written by hand for this one. */
  schemaVersion?: number
  plan: PlanInShort
}

const lines = Joi.array().items(longText).max(MOST_LINES).required()

const teachingSchema = Joi.object<Teaching, true>({
  goingOn: lines,
  thinking: lines,
  goesWrong: lines,
  questions: lines,
  versions: Joi.array()
    .items(Joi.object({ age: oneOf(AGES), text: longText }))
    .max(MOST_LINES)
    .required(),
  words: Joi.array()
    .items(Joi.object({ word: shortText, meaning: longText }))
    .max(MOST_LINES)
    .required(),
  tempting: Joi.object({
    factor: planId,
    exceptions: Joi.object().pattern(planId, shortText).max(MOST.conditions).required(),
    why: longText,
  })
    .allow(null)
    .required(),
}).required()

export const cardFields = {
  summary: Joi.string().allow('').max(LONGEST.text).required(),
  topic: oneOf(TOPICS),
  ages: Joi.array().items(oneOf(AGES)).min(1).max(AGES.length).unique().required(),
}

/** So much of its shape that it can be made whole; what is in it is then checked as a plan. */
const parts = (part: object = {}) => Joi.array().items(Joi.object(part).unknown())
const shortPlan = Joi.object({
  factors: parts(),
  measures: parts({
    method: Joi.object({ way: Joi.valid(...WAYS) })
      .unknown()
      .required(),
  }),
  conditions: parts(),
  materials: parts(),
  clock: Joi.object(),
  watch: Joi.object(),
  wonder: Joi.object(),
  arrangement: Joi.object(),
  className: Joi.forbidden(),
  children: Joi.forbidden(),
  groups: Joi.forbidden(),
  date: Joi.forbidden(),
  notes: Joi.forbidden(),
})
  .unknown()
  .required()

export const startingPointSchema = Joi.object<StartingPointFile, true>({
  format: Joi.string().valid(STARTING_POINT_FORMAT).required(),
  version: Joi.number().valid(STARTING_POINT_VERSION).required(),
  schemaVersion: Joi.number().integer().valid(PLAN_VERSION),
  ...cardFields,
  plan: shortPlan.custom(asWholePlan),
  teaching: teachingSchema,
}) as Joi.ObjectSchema<StartingPointFile>

function asWholePlan(short: PlanInShort, helpers: Joi.CustomHelpers) {
  const plan = wholePlan(short)
  let count = 0
  const { error } = planSchema.validate(planFrom({ plan }, 'Class', 20, () => `g${(count += 1)}`))
  const detail = error?.details[0]
  return detail
    ? helpers.error('any.invalid', {}, { ...helpers.state, path: [...(helpers.state.path ?? []), ...detail.path] } as never)
    : plan
}

/** What stands in a file that the schema let through. */
export function startingPointOf({ summary, topic, ages, plan, teaching }: StartingPointFile): StartingPoint {
  return { summary, topic, ages, plan: wholePlan(plan), teaching }
}

export function startingPointFile(startingPoint: StartingPoint): StartingPointFile {
  return { format: STARTING_POINT_FORMAT, version: STARTING_POINT_VERSION, schemaVersion: PLAN_VERSION, ...startingPoint }
}
