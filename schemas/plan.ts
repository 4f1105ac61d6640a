import Joi from 'joi'
import { CAUTIONS } from '../core/kit'
import {
  AGES,
  AMONG,
  AVERAGE_TO,
  BOUNDS,
  CHANGES,
  CONDITIONS_AS,
  COUNTED,
  EACH,
  EACH_IS,
  DOERS,
  BEST,
  EXPECTED_FROM,
  WAYS,
  LONGEST,
  MOST,
  PER,
  USES,
  WATCH_UNITS,
  ARRANGEMENTS,
  AVERAGE_WAYS,
  FRAMES,
  GRAPH_KINDS,
  KINDS,
  LATER_PHASES,
  PHASES,
  PLAN_VERSION,
  PREDICT_AS,
  PREPARATIONS,
  SHAPES,
  TESTABLE_CHECKS,
  THINGS,
  TRIAL_ORDERS,
  TRIAL_PARTS,
  WHOSE_QUESTION,
  WORD_SETS,
  type Arrangement,
  type Asked,
  type ClassPace,
  type Clock,
  type Condition,
  type ExtraStation,
  type Factor,
  type Group,
  type MainQuestion,
  type Material,
  type Measure,
  type Method,
  type NamedMoment,
  type OwnCaution,
  type Picture,
  type Plan,
  type Preparation,
  type Remark,
  type Retest,
  type Series,
  type Substitute,
  type Watch,
  type Way,
  type Wonder,
} from '../core/lesson'
import { MOST_MEASURED, MOST_NAMED, MOST_SERIES, MOST_PLACES, MOST_TIMES, MOST_WORDS } from '../core/test'
import { NUMBER_UNITS } from '../core/quantity'
import { MOST_TAKEN_AWAY } from '../core/wonder'
import { day, isoTime, longText, measureNumber, oneOf, planId, shortText, unit, uuid, whole, wholeIn, within } from './parts'

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
  .max(MOST.remarks)
  .unique('id')
  .required()

const pictures = Joi.array()
  .items(Joi.object<Picture, true>({ id: uuid, caption: shortText }))
  .max(MOST.pictures)
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
  whose: oneOf(WHOSE_QUESTION),
  chosen: planId.allow(null),
}).required()

const namedMoment = Joi.object<NamedMoment, true>({ id: planId, name: shortText, atHome: Joi.boolean().required() })

const watch = Joi.object<Watch, true>({
  unit: oneOf(WATCH_UNITS),
  times: Joi.array().items(Joi.number().min(0).max(1000)).max(MOST_TIMES).unique().required(),
  named: Joi.array().items(namedMoment).max(MOST_NAMED).unique('id').required(),
  places: Joi.array().items(shortText.optional()).max(MOST_PLACES).required(),
  instruments: wholeIn(BOUNDS.instruments),
  among: oneOf(AMONG),
}).required()

const factor = Joi.object<Factor, true>({
  id: planId,
  name: longText,
  how: longText,
  exceptions: Joi.object().pattern(planId, shortText).max(MOST.conditions).required(),
  comesWith: Joi.boolean().required(),
})

const wobble = within(BOUNDS.wobble)

const expecting = {
  tool: shortText,
  trialWobble: wobble.allow(null),
  expectedLow: measureNumber.allow(null).required(),
  expectedHigh: measureNumber.allow(null).required(),
  expected: Joi.object().pattern(planId, measureNumber.required()).max(MOST.conditions).required(),
  expectedFrom: oneOf(EXPECTED_FROM),
  counts: oneOf(COUNTED).allow(null),
  countsPlace: Joi.number()
    .integer()
    .min(0)
    .max(MOST_PLACES - 1)
    .allow(null)
    .required(),
  countsUntil: measureNumber.allow(null).required(),
  best: oneOf(BEST).allow(null),
  bySize: Joi.boolean().required(),
}

const fromWords = {
  words: Joi.array().items(shortText.optional()).max(MOST_WORDS).required(),
  wordPictures: Joi.object().pattern(Joi.string().max(LONGEST.name), uuid).max(MOST.wordPictures).required(),
}

/** What each way of reading stores. */
const METHODS: { [W in Way]: Joi.ObjectSchema<Extract<Method, { way: W }>> } = {
  number: Joi.object({
    ...expecting,
    way: Joi.valid('number').required(),
    unit: oneOf(NUMBER_UNITS),
    resolution: within(BOUNDS.resolution),
    readingWobble: wobble.allow(null),
    timingWobble: wobble,
    atOnce: wholeIn(BOUNDS.timedAtOnce),
    warmUp: Joi.array().items(Joi.number().min(-10).max(10)).max(MOST.warmUps).required(),
    differenceThatMatters: wobble,
    eachIs: oneOf(EACH_IS),
    weighsEmpty: Joi.boolean().required(),
    empties: Joi.object()
      .pattern(Joi.string().max(LONGEST.name), measureNumber.required())
      .max(MOST.children * MOST.conditions)
      .required(),
    known: measureNumber.allow(null).required(),
    knownName: shortText,
    knownWeekly: within(BOUNDS.timesAWeek).allow(null),
    bestNumber: measureNumber.allow(null).required(),
    mostPossible: Joi.object().pattern(planId, measureNumber.required()).max(MOST.conditions).required(),
  }),
  words: Joi.object({ ...expecting, ...fromWords, way: Joi.valid('words').required() }),
  sorts: Joi.object({ ...expecting, ...fromWords, way: Joi.valid('sorts').required() }),
  race: Joi.object({ ...expecting, way: Joi.valid('race').required() }),
  balance: Joi.object({ ...expecting, way: Joi.valid('balance').required() }),
}

const method = Joi.alternatives().conditional('.way', {
  switch: WAYS.map((way) => ({ is: way, then: METHODS[way] })),
  otherwise: Joi.object({ way: oneOf(WAYS) }).unknown(),
})

const measure = Joi.object<Measure, true>({
  id: planId,
  name: longText,
  method: method.required(),
  otherWays: Joi.array().items(method).max(WAYS.length).unique('way').required(),
})

const condition = Joi.object<Condition, true>({
  id: planId,
  label: shortText,
  baseline: Joi.boolean().required(),
  leftOut: Joi.boolean().required(),
})

const series = Joi.object<Series, true>({
  id: planId,
  name: shortText,
  conditions: Joi.array().items(planId.optional()).max(MOST.conditions).unique().required(),
})

const group = Joi.object<Group, true>({
  id: planId,
  name: Joi.string().trim().min(1).max(LONGEST.groupName).required(),
  shape: oneOf(SHAPES),
  seats: wholeIn(BOUNDS.seats),
  wondering: planId.allow(null),
  sharesWith: planId.allow(null),
  key: Joi.string().max(12).allow('').required(),
  away: Joi.array().items(Joi.number().integer().min(1).max(BOUNDS.seats.most)).max(BOUNDS.seats.most).unique().required(),
})

const substitute = Joi.object<Substitute, true>({
  id: planId,
  name: shortText,
  amount: shortText,
  stock: shortText,
  note: shortText,
})

const preparation = Joi.object<Preparation, true>({
  kind: oneOf(PREPARATIONS),
  words: shortText,
  minutes: within(BOUNDS.preparationMinutes),
  secondsEach: within(BOUNDS.preparationSecondsEach),
  hours: within(BOUNDS.standingHours),
}).required()

const ownCaution = Joi.object<OwnCaution, true>({
  id: planId,
  text: shortText,
  doer: oneOf(DOERS),
  acknowledged: Joi.boolean().required(),
})

const extraStation = Joi.object<ExtraStation, true>({
  id: planId,
  name: shortText,
  minutes: within(BOUNDS.minutes),
  copies: wholeIn(BOUNDS.copies),
})

const arrangement = Joi.object<Arrangement, true>({
  way: oneOf(ARRANGEMENTS),
  order: oneOf(TRIAL_ORDERS),
  orderReason: shortText,
  each: whole(1, MOST.conditions),
  baselineInEvery: Joi.boolean().required(),
  change: oneOf(CHANGES),
  walk: within(BOUNDS.walkSeconds),
  copies: Joi.object().pattern(planId, wholeIn(BOUNDS.copies)).max(MOST.conditions).required(),
  extra: Joi.array().items(extraStation).max(MOST.stationsBeside).unique('id').required(),
  draw: whole(0, 1_000_000),
}).required()

const material = Joi.object<Material, true>({
  id: planId,
  name: shortText,
  amount: shortText,
  per: oneOf(PER),
  perSaid: Joi.boolean().required(),
  condition: planId.allow(null),
  use: oneOf(USES),
  rinse: within(BOUNDS.rinseSeconds),
  goesRound: wholeIn(BOUNDS.goesRound).allow(null),
  inUse: Joi.array()
    .items(Joi.string().valid(...TRIAL_PARTS))
    .unique()
    .required(),
  spare: within(BOUNDS.spare),
  thing: uuid.allow(null),
  stock: shortText,
  place: shortText,
  pack: shortText,
  price: shortText,
  density: Joi.number().greater(0).max(BOUNDS.density.most).allow(null).required(),
  substitutes: Joi.array().items(substitute).max(MOST.substitutes).unique('id').required(),
  preparation: preparation.allow(null),
  toBuy: Joi.boolean().required(),
  cautions: Joi.array()
    .items(Joi.string().valid(...CAUTIONS))
    .unique()
    .required(),
})

const minutes = within(BOUNDS.minutes)
const seconds = within(BOUNDS.trialSeconds)

const clock = Joi.object<Clock, true>({
  start: Joi.string()
    .allow('')
    .pattern(/^([01]\d|2[0-3]):[0-5]\d$/, 'time of day')
    .required(),
  minutes: wholeIn(BOUNDS.lessonMinutes),
  phases: Joi.object(Object.fromEntries(PHASES.filter((phase) => phase !== 'test').map((phase) => [phase, minutes]))).required(),
  trial: Joi.object<Clock['trial'], true>({ setUp: seconds, run: seconds, read: seconds, reset: seconds }).required(),
  sideBySide: wholeIn(BOUNDS.sideBySide),
  fetchWhilePredicting: Joi.boolean().required(),
  least: Joi.object(Object.fromEntries(LATER_PHASES.map((phase) => [phase, within(BOUNDS.minutes).optional()]))).required(),
  pace: Joi.object<ClassPace, true>({
    times: within(BOUNDS.pace),
    failed: within(BOUNDS.failed),
    lessons: wholeIn(BOUNDS.paceLessons),
    trials: wholeIn(BOUNDS.paceTrials),
  })
    .allow(null)
    .required(),
}).required()

const trials = Joi.array().items(Joi.object<Retest, true>({ group: planId, condition: planId, repeat: wholeIn(BOUNDS.repeats) }))

const groupNote = Joi.string().allow('').max(LONGEST.note).required()

/** The plan of a lesson, as it is stored, sent and saved. */
export const planSchema = Joi.object<Plan, true>({
  schemaVersion: Joi.number().valid(PLAN_VERSION).required(),
  begunIn: whole(1, PLAN_VERSION),
  kind: oneOf(KINDS),
  title: shortText,
  className: shortText,
  children: wholeIn(BOUNDS.children),
  date: day.allow('').required(),
  investigation: planId.allow(null),
  notes: longText,
  words: oneOf(WORD_SETS),
  frame: oneOf(FRAMES),
  predictAs: oneOf(PREDICT_AS),
  asked,
  wonder,
  factors: Joi.array().items(factor).max(MOST.cards).unique('id').required(),
  changed: planId.allow(null),
  measures: Joi.array().items(measure).max(MOST.cards).unique('id').required(),
  measured: planId.allow(null),
  alsoMeasured: Joi.array()
    .items(planId.optional())
    .max(MOST_MEASURED - 1)
    .unique()
    .required(),
  mainQuestion: Joi.object<MainQuestion, true>({ measure: planId, series: planId.allow(null), at: isoTime })
    .allow(null)
    .required(),
  unmarked: planId.allow(null),
  conditionsAs: oneOf(CONDITIONS_AS),
  conditionUnit: unit,
  conditions: Joi.array().items(condition).max(MOST.conditions).unique('id').required(),
  seriesFactor: planId.allow(null),
  series: Joi.array().items(series).max(MOST_SERIES).unique('id').required(),
  watch,
  repeats: wholeIn(BOUNDS.repeats),
  practice: wholeIn(BOUNDS.practice),
  things: oneOf(THINGS),
  challenge: planId.allow(null),
  gapsStay: Joi.boolean().required(),
  each: oneOf(EACH),
  groups: Joi.array()
    .items(group)
    .max(MOST.groups)
    .when('each', { is: 'child', then: Joi.array().max(MOST.children) })
    .unique('id')
    .required(),
  resetList: Joi.array().items(shortText.optional()).max(MOST.resetLines).required(),
  materials: Joi.array().items(material).max(MOST.materials).unique('id').required(),
  cautionsAcknowledged: Joi.array()
    .items(Joi.string().valid(...CAUTIONS))
    .unique()
    .required(),
  ownCautions: Joi.array().items(ownCaution).max(MOST.ownCautions).unique('id').required(),
  cautionsNotHere: Joi.object()
    .pattern(Joi.string().valid(...CAUTIONS), Joi.string().trim().min(1).max(LONGEST.name))
    .required(),
  clock,
  arrangement,
  jobs: Joi.array().items(shortText.optional()).max(MOST.jobs).required(),
  secondReader: Joi.boolean().required(),
  retests: trials.max(MOST.retests).required(),
  notDone: trials.max(MOST.notDone).required(),
  average: oneOf(AVERAGE_WAYS),
  averageTo: oneOf(AVERAGE_TO),
  graph: Joi.string()
    .valid(...GRAPH_KINDS)
    .allow(null)
    .required(),
  age: oneOf(AGES),
  criteria: Joi.array().items(shortText.optional()).max(MOST.criteria).required(),
  groupNotes: Joi.object()
    .pattern(/^[A-Za-z0-9_.-]{1,64}$/, Joi.object({ well: groupNote, next: groupNote }).required())
    .max(MOST.conditions)
    .required(),
}).required()
