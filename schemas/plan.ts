import Joi from 'joi'
import { CAUTIONS } from '../core/kit'
import {
  MOST_TRIALS,
  AGES,
  ARRANGEMENTS,
  AVERAGE_WAYS,
  FRAMES,
  GRAPH_KINDS,
  KINDS,
  MOST_PLACES,
  MOST_TIMES,
  MOST_WORDS,
  PHASES,
  PLAN_VERSION,
  PREDICT_AS,
  PREPARATIONS,
  SHAPES,
  TESTABLE_CHECKS,
  THINGS,
  TRIAL_ORDERS,
  WHOSE_QUESTION,
  WORD_SETS,
  type Arrangement,
  type Asked,
  type Clock,
  type Condition,
  type ExtraStation,
  type Factor,
  type Group,
  type Material,
  type Measure,
  type Method,
  type OwnCaution,
  type Picture,
  type Plan,
  type Preparation,
  type Remark,
  type Retest,
  type Substitute,
  type Watch,
  type Wonder,
} from '../core/lesson'
import { MOST_TAKEN_AWAY } from '../core/wonder'
import { longText, measureNumber, planId, shortText, unit, uuid, whole } from './parts'

const MOST_CONDITIONS = 60
const MOST_CARDS = 60
const MOST_REMARKS = 200
const MOST_PICTURES = 4

const remarks = Joi.array()
  .items(
    Joi.object<Remark, true>({
      id: planId,
      text: longText,
      kept: Joi.boolean().required(),
      by: planId.allow(null),
      later: Joi.boolean().required(),
      answers: Joi.object(Object.fromEntries(TESTABLE_CHECKS.map((check) => [check, Joi.boolean()]))).required(),
    }),
  )
  .max(MOST_REMARKS)
  .unique('id')
  .required()

const pictures = Joi.array()
  .items(Joi.object<Picture, true>({ id: uuid, caption: shortText }))
  .max(MOST_PICTURES)
  .unique('id')
  .required()

const wonder = Joi.object<Wonder, true>({
  hook: longText,
  pictures,
  noticed: remarks,
  maybe: remarks,
  wondered: remarks,
  takenAway: Joi.array().items(planId.optional()).max(MOST_TAKEN_AWAY).required(),
}).required()

const asked = Joi.object<Asked, true>({
  whose: Joi.string()
    .valid(...WHOSE_QUESTION)
    .required(),
  chosen: planId.allow(null),
}).required()

const watch = Joi.object<Watch, true>({
  unit: Joi.string().valid('min', 'day').required(),
  times: Joi.array().items(Joi.number().min(0).max(1000)).max(MOST_TIMES).unique().required(),
  places: Joi.array().items(shortText.optional()).max(MOST_PLACES).required(),
  instruments: whole(1, 60),
  among: Joi.string().valid('group', 'class').required(),
}).required()

const factor = Joi.object<Factor, true>({
  id: planId,
  name: longText,
  how: longText,
  exceptions: Joi.object().pattern(planId, shortText).max(MOST_CONDITIONS).required(),
})

const wobble = Joi.number().min(0).max(1e9).required()

const method = Joi.object<Method, true>({
  instrument: Joi.string().valid('number', 'words', 'race', 'balance').required(),
  tool: shortText,
  unit,
  words: Joi.array().items(shortText.optional()).max(MOST_WORDS).required(),
  resolution: Joi.number().min(1e-6).max(1e6).required(),
  readingWobble: wobble.allow(null),
  timingWobble: wobble,
  atOnce: whole(1, 100),
  trialWobble: wobble.allow(null),
  expectedLow: measureNumber.allow(null).required(),
  expectedHigh: measureNumber.allow(null).required(),
  expected: Joi.object().pattern(planId, measureNumber.required()).max(MOST_CONDITIONS).required(),
  expectedFrom: Joi.string().valid('guess', 'practice', 'bench').required(),
  warmUp: Joi.array().items(Joi.number().min(-10).max(10)).max(400).required(),
  wordPictures: Joi.object().pattern(Joi.string().max(200), uuid).max(12).required(),
  differenceThatMatters: wobble,
}).required()

const measure = Joi.object<Measure, true>({ id: planId, name: longText, method })

const condition = Joi.object<Condition, true>({
  id: planId,
  label: shortText,
  baseline: Joi.boolean().required(),
  leftOut: Joi.boolean().required(),
})

const group = Joi.object<Group, true>({
  id: planId,
  name: Joi.string().trim().min(1).max(40).required(),
  shape: Joi.string()
    .valid(...SHAPES)
    .required(),
  seats: whole(0, 60),
  wondering: planId.allow(null),
  away: Joi.array().items(Joi.number().integer().min(1).max(60)).max(60).unique().required(),
})

const substitute = Joi.object<Substitute, true>({
  id: planId,
  name: shortText,
  amount: shortText,
  stock: shortText,
  note: shortText,
})

const preparation = Joi.object<Preparation, true>({
  kind: Joi.string()
    .valid(...PREPARATIONS)
    .required(),
  words: shortText,
  minutes: Joi.number().min(0).max(1440).required(),
  secondsEach: Joi.number().min(0).max(3600).required(),
  hours: Joi.number().min(0).max(1440).required(),
}).required()

const ownCaution = Joi.object<OwnCaution, true>({
  id: planId,
  text: shortText,
  doer: Joi.string().valid('adult-only', 'adult-beside', 'child').required(),
  acknowledged: Joi.boolean().required(),
})

const extraStation = Joi.object<ExtraStation, true>({
  id: planId,
  name: shortText,
  minutes: Joi.number().min(0).max(600).required(),
  copies: whole(1, 10),
})

const arrangement = Joi.object<Arrangement, true>({
  way: Joi.string()
    .valid(...ARRANGEMENTS)
    .required(),
  order: Joi.string()
    .valid(...TRIAL_ORDERS)
    .required(),
  orderReason: shortText,
  each: whole(1, MOST_CONDITIONS),
  baselineInEvery: Joi.boolean().required(),
  change: Joi.string().valid('at-bell', 'when-ready').required(),
  walk: Joi.number().min(0).max(3600).required(),
  copies: Joi.object().pattern(planId, whole(1, 10)).max(MOST_CONDITIONS).required(),
  extra: Joi.array().items(extraStation).max(8).unique('id').required(),
  draw: whole(0, 1_000_000),
}).required()

const material = Joi.object<Material, true>({
  id: planId,
  name: shortText,
  amount: shortText,
  per: Joi.string().valid('class', 'group', 'child', 'condition', 'trial').required(),
  condition: planId.allow(null),
  use: Joi.string().valid('up', 'again').required(),
  rinse: Joi.number().min(0).max(600).required(),
  goesRound: whole(1, 1000).allow(null),
  spare: Joi.number().min(0).max(5).required(),
  thing: uuid.allow(null),
  stock: shortText,
  place: shortText,
  pack: shortText,
  price: shortText,
  density: Joi.number().greater(0).max(100).allow(null).required(),
  substitutes: Joi.array().items(substitute).max(6).unique('id').required(),
  preparation: preparation.allow(null),
  toBuy: Joi.boolean().required(),
  cautions: Joi.array()
    .items(Joi.string().valid(...CAUTIONS))
    .unique()
    .required(),
})

const minutes = Joi.number().min(0).max(600).required()
const seconds = Joi.number().min(0).max(86_400).required()

const clock = Joi.object<Clock, true>({
  start: Joi.string()
    .allow('')
    .pattern(/^([01]\d|2[0-3]):[0-5]\d$/, 'time of day')
    .required(),
  minutes: whole(1, 600),
  phases: Joi.object(Object.fromEntries(PHASES.filter((phase) => phase !== 'test').map((phase) => [phase, minutes]))).required(),
  trial: Joi.object<Clock['trial'], true>({ setUp: seconds, run: seconds, read: seconds, reset: seconds }).required(),
  sideBySide: whole(1, 10),
  fetchWhilePredicting: Joi.boolean().required(),
}).required()

const groupNote = Joi.string().allow('').max(500).required()

/** The plan of a lesson, as it is stored, sent and saved. */
export const planSchema = Joi.object<Plan, true>({
  schemaVersion: Joi.number().valid(PLAN_VERSION).required(),
  begunIn: whole(1, PLAN_VERSION),
  kind: Joi.string()
    .valid(...KINDS)
    .required(),
  title: shortText,
  className: shortText,
  children: whole(0, 200),
  date: Joi.string()
    .allow('')
    .pattern(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'date')
    .required(),
  investigation: planId.allow(null),
  notes: longText,
  words: Joi.string()
    .valid(...WORD_SETS)
    .required(),
  frame: Joi.string()
    .valid(...FRAMES)
    .required(),
  predictAs: Joi.string()
    .valid(...PREDICT_AS)
    .required(),
  asked,
  wonder,
  factors: Joi.array().items(factor).max(MOST_CARDS).unique('id').required(),
  changed: planId.allow(null),
  measures: Joi.array().items(measure).max(MOST_CARDS).unique('id').required(),
  measured: planId.allow(null),
  conditionsAs: Joi.string().valid('kinds', 'numbers').required(),
  conditionUnit: unit,
  conditions: Joi.array().items(condition).max(MOST_CONDITIONS).unique('id').required(),
  watch,
  repeats: whole(1, MOST_TRIALS),
  practice: whole(0, 5),
  things: Joi.string()
    .valid(...THINGS)
    .required(),
  gapsStay: Joi.boolean().required(),
  groups: Joi.array().items(group).max(10).unique('id').required(),
  resetList: Joi.array().items(shortText.optional()).max(12).required(),
  materials: Joi.array().items(material).max(100).unique('id').required(),
  cautionsAcknowledged: Joi.array()
    .items(Joi.string().valid(...CAUTIONS))
    .unique()
    .required(),
  ownCautions: Joi.array().items(ownCaution).max(20).unique('id').required(),
  cautionsNotHere: Joi.object()
    .pattern(Joi.string().valid(...CAUTIONS), Joi.string().trim().min(1).max(200))
    .required(),
  clock,
  arrangement,
  jobs: Joi.array().items(shortText.optional()).max(6).required(),
  secondReader: Joi.boolean().required(),
  retests: Joi.array()
    .items(Joi.object<Retest, true>({ group: planId, condition: planId, repeat: whole(1, MOST_TRIALS) }))
    .max(200)
    .required(),
  average: Joi.string()
    .valid(...AVERAGE_WAYS)
    .required(),
  averageTo: Joi.string().valid('mark', 'one-more').required(),
  graph: Joi.string()
    .valid(...GRAPH_KINDS)
    .allow(null)
    .required(),
  age: Joi.string()
    .valid(...AGES)
    .required(),
  groupNotes: Joi.object()
    .pattern(/^[A-Za-z0-9_.-]{1,64}$/, Joi.object({ well: groupNote, next: groupNote }).required())
    .max(60)
    .required(),
}).required()
