import Joi from 'joi'
import { BOUNDS, LONGEST, MOST } from '../core/lesson'
import { MOST_OWN, MOST_SETS, MOST_TOGETHER, TOGETHER_VIEWS, TOGETHER_WAYS, WAITINGS, type TogetherChange } from '../core/together'
import type {
  AskedAtDeskBody,
  GroupTogetherBody,
  JoinLessonsBody,
  LessonsBody,
  OwnQuestionBody,
  SplitBody,
} from './togetherContract'
import { isoTime, shortText, uuid } from './parts'

const lessons = Joi.array().items(uuid.optional()).max(MOST_TOGETHER).unique().required()

/** Lessons that run together from now on: at least two. */
export const newTogetherSchema = Joi.object<{ lessons: string[] }, true>({ lessons: lessons.min(2) }).required()

/** Which lessons run together, and which did when that was chosen. */
export const lessonsSchema = Joi.object<LessonsBody>({ lessons, seen: lessons.optional() }).required()

const byLesson = (value: Joi.Schema) => Joi.object().pattern(uuid.optional(), value).max(MOST_TOGETHER)

export const togetherSchema = Joi.object<TogetherChange>({
  title: shortText.optional(),
  way: Joi.string().valid(...TOGETHER_WAYS),
  minutes: Joi.number().min(BOUNDS.lessonMinutes.least).max(BOUNDS.lessonMinutes.most),
  walk: Joi.number().min(BOUNDS.walkSeconds.least).max(BOUNDS.walkSeconds.most),
  ownQuestions: Joi.boolean(),
  oneLesson: Joi.boolean(),
  waiting: byLesson(Joi.string().valid(...WAITINGS)),
  sets: byLesson(Joi.number().integer().min(1).max(MOST_SETS)),
  conclusion: Joi.string().allow('').max(LONGEST.text),
  conclusionFrom: Joi.string().allow('').max(LONGEST.text),
  agreed: Joi.boolean(),
  view: Joi.string()
    .valid(...TOGETHER_VIEWS)
    .allow(null),
  clockStarted: isoTime.optional().allow(null),
}).required()

/** A group of the class takes part in one of the lessons, or not. */
export const groupTogetherSchema = Joi.object<GroupTogetherBody, true>({
  lesson: uuid,
  name: Joi.string().trim().min(1).max(LONGEST.groupName).required(),
  takesPart: Joi.boolean().required(),
}).required()

/** Which groups of a lesson go into one of their own. */
export const splitSchema = Joi.object<SplitBody, true>({
  lesson: uuid,
  groups: Joi.array().items(Joi.string().trim().min(1).max(LONGEST.groupName)).min(1).max(MOST.children).required(),
}).required()

/** Which lesson goes into which. */
export const joinLessonsSchema = Joi.object<JoinLessonsBody, true>({ from: uuid, into: uuid }).required()

const ownQuestion = {
  name: Joi.string().trim().min(1).max(LONGEST.groupName).required(),
  change: shortText,
  measure: shortText,
  conditions: Joi.array().items(shortText.optional()).max(MOST_OWN).required(),
}

/** A group's own question, written at the desk. */
export const askedAtDeskSchema = Joi.object<AskedAtDeskBody, true>(ownQuestion).required()

/** A group's own question, from its station. */
export const ownQuestionSchema = Joi.object<OwnQuestionBody, true>({
  code: Joi.string().max(LONGEST.code).required(),
  ...ownQuestion,
}).required()
