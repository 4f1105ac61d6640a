import Joi from 'joi'
import { COLUMN_ROLES, type ColumnMatch, type ImportChoices } from '../core/formats'
import {
  BOARD_VIEWS,
  BOUNDS,
  LONGEST,
  MOST_PAUSES,
  SHORTEST_PASSPHRASE,
  RESULTS_SHOWN,
  type BoardChange,
  type OnTheCard,
  type Pause,
  type Plan,
  type Tap,
} from '../core/lesson'
import type { AskedEntry } from '../core/record'
import type { Term } from '../core/wording/reports'
import type { JoinBody, NewLesson, ShelfQuestion } from './contract'
import { day, isoTime, measureNumber, moment, planId, shortText, unit, uuid, whole, wholeIn } from './parts'
import { planSchema } from './plan'
import { cardFields } from './startingPoint'

/** The ids in a path; an investigation that ships goes by its name. */
export const pathSchema = (names: string[]) =>
  Joi.object<Record<string, string>>(
    Object.fromEntries(names.map((name) => [name, name === 'investigation' ? planId : uuid])),
  ).unknown()

const MOST_ON_A_PAGE = 1000
export const shelfSchema = Joi.object<ShelfQuestion>({
  find: Joi.string().allow('').max(LONGEST.name).default(''),
  className: Joi.string().allow('').max(LONGEST.name).default(''),
  archived: Joi.boolean(),
  from: Joi.number().integer().min(0).max(1_000_000).default(0),
  most: Joi.number().integer().min(1).max(MOST_ON_A_PAGE).default(60),
})

export const tableFileSchema = Joi.object<{ data: string }, true>({
  data: Joi.string().base64().max(14_000_000).required(),
}).required()

const cell = Joi.string().allow('').max(500)
const columnMatch = Joi.object<ColumnMatch, true>({
  role: Joi.string()
    .valid(...COLUMN_ROLES)
    .required(),
  condition: planId.allow(null),
  repeat: wholeIn(BOUNDS.repeats).allow(null),
  moment: moment.allow(null).optional().default(null),
  // Pages from before several things were measured do not say it.
  measure: planId.allow(null).optional().default(null),
})
export const importSchema = Joi.object<{ rows: string[][]; choices: ImportChoices }, true>({
  rows: Joi.array().items(Joi.array().items(cell).max(100)).max(5000).required(),
  choices: Joi.object<ImportChoices, true>({
    matches: Joi.array().items(columnMatch).max(100).required(),
    unit,
    group: planId.allow(null),
  }).required(),
}).required()

export const termSchema = Joi.object<Term>({
  from: day.allow('').default(''),
  to: day.allow('').default(''),
  className: Joi.string().allow('').max(LONGEST.name).default(''),
})

export const nextTestSchema = Joi.object<{ from: 'wondering' | 'factor'; id: string }, true>({
  from: Joi.string().valid('wondering', 'factor').required(),
  id: planId,
}).required()

/** Marks by which a scale was read wrong. */
export const warmUpSchema = Joi.object<{ error: number }, true>({ error: Joi.number().min(-1e6).max(1e6).required() }).required()

export const keepSchema = Joi.object<OnTheCard, true>(cardFields).required()

export const newLessonSchema = Joi.object<NewLesson, true>({
  investigation: planId.allow(null),
  withWhatIsThere: Joi.boolean(),
  // A draft is a plan of its own: no investigation is behind it.
  draft: planSchema.optional().when('investigation', { not: null, then: Joi.forbidden() }),
  className: shortText.optional(),
  children: wholeIn(BOUNDS.children).optional(),
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

/** A page that has the record already asks for the rest alone. */
export const viewSchema = Joi.object<{ record: boolean }>({ record: Joi.boolean().default(true) })

/** Does a backup bring the school's settings and calendars along, whatever is here. */
export const restoringSchema = Joi.object<{ takeSchool: boolean }>({ takeSchool: Joi.boolean().default(false) })

export const textFileSchema = Joi.object<{ text: string }, true>({ text: Joi.string().max(99_000_000).required() }).required()

export const stationCodeSchema = Joi.object<{ code: string }>({ code: shortText })

/** A group is tapped; a child types the code of its own. */
export const joinSchema = Joi.object<JoinBody>({
  code: Joi.string().max(LONGEST.code).required(),
  group: planId.optional(),
  own: Joi.string().max(LONGEST.code),
  lesson: uuid.optional(),
  name: Joi.string().trim().min(1).max(LONGEST.groupName),
})
  .xor('group', 'own', 'name')
  .and('lesson', 'name')
  .required()

const passphrase = Joi.string().trim().max(LONGEST.passphrase).required()
/** A new one has to be long enough. */
const newPassphrase = passphrase.min(SHORTEST_PASSPHRASE).messages({
  'string.min': 'The passphrase needs at least {#limit} letters',
  'string.empty': `The passphrase needs at least ${SHORTEST_PASSPHRASE} letters`,
})
export const passphraseSchema = Joi.object<{ passphrase: string }, true>({ passphrase: newPassphrase }).required()
export const typedPassphraseSchema = Joi.object<{ passphrase: string; desk: string | null }, true>({
  passphrase,
  desk: uuid.optional().allow(null).default(null),
}).required()

/** A class's own desk. */
export const deskSchema = Joi.object<{ name: string; passphrase: string }, true>({
  name: Joi.string().trim().min(1).max(LONGEST.name).required(),
  passphrase: newPassphrase,
}).required()

/** To whom a lesson is handed; null is the head desk. */
export const handOverSchema = Joi.object<{ desk: string | null }, true>({ desk: uuid.allow(null) }).required()

const MOST_ASKED = 60
/** Numbers about to be written down. */
export const askedSchema = Joi.object<{ readings: AskedEntry[] }, true>({
  readings: Joi.array()
    .items(
      Joi.object<AskedEntry>({
        id: uuid.optional(),
        group: planId,
        condition: planId,
        repeat: wholeIn(BOUNDS.repeats),
        moment,
        value: measureNumber.required(),
        unit,
        entered: Joi.string().max(LONGEST.entry).required(),
      }),
    )
    .min(1)
    .max(MOST_ASKED)
    .required(),
}).required()

const tapSchema = Joi.object<Tap, true>({ group: planId, at: isoTime }).optional()

export const boardChangeSchema = Joi.object<BoardChange>({
  view: Joi.string()
    .valid(...BOARD_VIEWS)
    .allow(null),
  clockStarted: isoTime.optional().allow(null),
  pauses: Joi.array()
    .items(Joi.object<Pause, true>({ from: isoTime, to: isoTime.allow(null) }))
    .max(MOST_PAUSES),
  tap: tapSchema,
  untap: tapSchema,
  results: Joi.string().valid(...RESULTS_SHOWN),
  sound: Joi.boolean(),
  draft: Joi.string().allow('').max(LONGEST.text),
  draftFrom: Joi.string().allow('').max(LONGEST.text),
})
  .with('draftFrom', 'draft')
  .min(1)
  .required()

/** Without `stations` it is about all of the lesson. */
export const changeStationsSchema = Joi.object<{ stations?: string[]; group?: string; locked?: boolean }>({
  stations: Joi.array().items(uuid.optional()).max(200),
  group: planId.optional(),
  locked: Joi.boolean(),
})
  .or('group', 'locked')
  .required()
