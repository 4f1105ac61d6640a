import { defineEventHandler, getHeader, getQuery, getRouterParams, type EventHandler, type H3Event } from 'h3'
import type { ObjectSchema, ValidationError } from 'joi'
import { refusalWords } from '../../core/wording'
import type { AnswerOf, BodyOf, ParamsOf, QueryOf, RefusalBody, RouteName } from '../../schemas/contract'
import { pathSchema } from '../../schemas/requests'
import { findLesson, knownLessons, type StoredLesson } from '../database/lessons'
import { useDatabase } from '../database/connection'
import type { Database } from '../database/open'
import { findTogether, type StoredTogether } from '../database/togethers'
import { findStation, knownStations, type Station } from '../database/stations'
import { readJsonBody, type BodyKind } from './body'
import { pathWords } from './pathWords'
import { isStorable } from './storable'
import { requireDesk, requireHeadDesk, type AtDesk } from './door'
import { notFound, refusal, Refusal, sendRefusal } from './refusal'
import { awayRefusal } from './away'

/** The schemas of what a route takes, where the contract says that it takes it. */
type Shape<Name extends RouteName> = (BodyOf<Name> extends undefined
  ? object
  : { body: ObjectSchema<BodyOf<Name>> } | /** It is read beside the server. */ { beside: true }) &
  (QueryOf<Name> extends undefined ? object : { query: ObjectSchema<QueryOf<Name>> }) & {
    /** A picture or a whole file travels in the body. */
    large?: Large
    first?: First
  }
/** Done before anything of the body is read: whoever has to wait is told so. Its answer takes back what was counted, where the body says nothing that could be tried. */
type First = (event: H3Event, database: Database) => Promise<TakeBack>
export type TakeBack = () => Promise<void>
type Large = Exclude<BodyKind, 'plain' | 'open'>

interface AnyShape {
  body?: ObjectSchema
  query?: ObjectSchema
  large?: Large
  first?: First
}

interface Call<Name extends RouteName> {
  event: H3Event
  database: Database
  /** The ids in the path. */
  path: Record<ParamsOf<Name>, string>
  body: BodyOf<Name>
  query: QueryOf<Name>
}

type Answer<Name extends RouteName> = AnswerOf<Name> | Promise<AnswerOf<Name>>

/** A route for everybody who reaches the server: validates, calls, answers; every refusal comes out in the one error shape. Its body is small. */
export function openRoute<Name extends RouteName>(shape: Shape<Name>, answer: (call: Call<Name>) => Answer<Name>): EventHandler {
  return guarded(async (event) => answer(await readCall<Name>(event, shape, 'open')))
}

/** A route of a desk, told which one it is. */
export function deskRoute<Name extends RouteName>(
  shape: Shape<Name>,
  answer: (call: Call<Name> & AtDesk) => Answer<Name>,
): EventHandler {
  return guarded(async (event) => {
    const at = await requireDesk(event)
    return answer({ ...(await readCall<Name>(event, shape)), ...at })
  })
}

/** A route of the head desk. */
export function headRoute<Name extends RouteName>(shape: Shape<Name>, answer: (call: Call<Name>) => Answer<Name>): EventHandler {
  return guarded(async (event) => {
    await requireHeadDesk(event)
    return answer(await readCall<Name>(event, shape))
  })
}

/** A route of a desk about one of its lessons, named in the path. */
export function lessonRoute<Name extends RouteName>(
  shape: Shape<Name>,
  answer: (call: Call<Name> & AtDesk & { lesson: StoredLesson }) => Answer<Name>,
): EventHandler {
  return guarded(async (event) => {
    const at = await requireDesk(event)
    return answer({ ...(await readCall<Name>(event, shape)), ...at, lesson: await lessonOf(event, at) })
  })
}

/** A route of a desk about lessons that run together, named in the path. */
export function togetherRoute<Name extends RouteName>(
  shape: Shape<Name>,
  answer: (call: Call<Name> & AtDesk & { together: StoredTogether }) => Answer<Name>,
): EventHandler {
  return guarded(async (event) => {
    const at = await requireDesk(event)
    return answer({ ...(await readCall<Name>(event, shape)), ...at, together: await togetherOf(event, at) })
  })
}

async function togetherOf(event: H3Event, { desk }: AtDesk): Promise<StoredTogether> {
  const { together: id } = checked(pathSchema(['together']), getRouterParams(event))
  const together = await findTogether(await useDatabase(), id!)
  if (!together || (desk !== null && together.desk !== desk)) throw notFound('together')
  return together
}

/** What a station's route knows besides: `entered` is when the children typed it in, earlier than now where it had to wait for the line. */
export interface AtStation {
  lesson: StoredLesson
  station: Station
  entered: string
}

/** How often a station that is between two lessons is looked up again. */
const LOOKED_UP = 5

/**
 * Does something for a station. Where its group went into another lesson meanwhile (some groups were split off, or joined again), it is done there: what was entered follows
 * its group.
 * @param first who it is as the route found it
 */
export async function atStation<T>(event: H3Event, first: AtStation, work: (joined: AtStation) => Promise<T>): Promise<T> {
  let joined = first
  for (let times = 1; ; times += 1) {
    try {
      return await work(joined)
    } catch (error) {
      const gone = error instanceof Refusal && error.body.code === 'unknown-group' && times < LOOKED_UP
      if (!gone) throw error
      knownStations.forgetAll()
      knownLessons.forget(joined.lesson.id)
      // It may be back by now where it was.
      joined = await stationOf(event)
    }
  }
}

/** A route of a station: its token opens its own lesson and group, and nothing else. */
export function stationRoute<Name extends RouteName>(
  shape: Shape<Name>,
  answer: (call: Call<Name> & AtStation) => Answer<Name>,
): EventHandler {
  return guarded(async (event) => {
    const first = await stationOf(event)
    const call = await readCall<Name>(event, shape)
    return atStation<AnswerOf<Name>>(event, first, async (joined) => answer({ ...call, ...joined }))
  })
}

/** The lesson that the path names, where this desk sees it. */
export async function lessonOf(event: H3Event, { desk }: AtDesk): Promise<StoredLesson> {
  const { lesson: id } = checked(pathSchema(['lesson']), getRouterParams(event))
  const lesson = await findLesson(await useDatabase(), id!)
  if (!lesson || (desk !== null && lesson.desk !== desk)) throw notFound('lesson')
  return lesson
}

/** The station that the token names. */
export async function stationOf(event: H3Event): Promise<AtStation> {
  const database = await useDatabase()
  for (let times = 1; ; times += 1) {
    const station = await findStation(database, tokenOf(event))
    const lesson = station && (await findLesson(database, station.lesson))
    if (!station) throw refusal(401, 'not-joined')
    if (lesson && !lesson.archived && lesson.plan.groups.some((group) => group.id === station.group)) {
      if (station.locked && event.method !== 'GET') throw refusal(423, 'locked')
      return { lesson, station, entered: enteredAt(event) }
    }
    // Its group went into another lesson between the two questions, perhaps.
    if (times === LOOKED_UP) throw refusal(401, 'not-joined')
    knownStations.forgetAll()
    knownLessons.forget(station.lesson)
  }
}

/** What the schema makes of a value, or a refusal that names the field. */
export function checked<T>(schema: ObjectSchema<T>, value: unknown): T {
  const { error, value: clean } = schema.validate(value, { convert: true, abortEarly: true })
  if (error) throw new Refusal(400, validationWords(error))
  return clean as T
}

export function validationWords(error: ValidationError): RefusalBody {
  const [detail] = error.details
  const field = detail ? pathWords(detail.path) : ''
  const message = refusalWords('invalid', { fault: detail?.message })
  return { code: 'invalid', message, ...(field === '' ? {} : { field }) }
}

async function readCall<Name extends RouteName>(
  event: H3Event,
  { body, query, large, first }: AnyShape,
  usual: BodyKind = 'plain',
): Promise<Call<Name>> {
  const params = getRouterParams(event)
  const database = await useDatabase()
  const takeBack = await first?.(event, database)
  try {
    return {
      event,
      database,
      path: checked(pathSchema(Object.keys(params)), params) as Record<ParamsOf<Name>, string>,
      body: (body ? checked(body, await readJsonBody(event, large ?? usual)) : undefined) as BodyOf<Name>,
      query: (query ? checked(query, getQuery(event)) : undefined) as QueryOf<Name>,
    }
  } catch (error) {
    await takeBack?.()
    throw error
  }
}

/** Runs a handler; what it refuses comes out in the one error shape. */
export function guarded(handler: (event: H3Event) => Promise<unknown>): EventHandler {
  return defineEventHandler(async (event) => {
    try {
      refuseBadAddress(event)
      return await handler(event)
    } catch (error) {
      const refused = error instanceof Refusal ? error : awayRefusal(error)
      if (!refused) throw error
      return sendRefusal(event, refused)
    }
  })
}

/** Nothing in an address holds what a database cannot. */
function refuseBadAddress(event: H3Event): void {
  const named = { ...getRouterParams(event, { decode: true }), ...getQuery(event) }
  for (const [name, value] of Object.entries(named))
    for (const text of [name, value].flat()) if (typeof text === 'string' && !isStorable(text)) throw refusal(400, 'bad-text', name)
}

/** An event stream cannot send headers from a browser, so there the token comes as a query. */
function tokenOf(event: H3Event): string {
  const header = /^Bearer ([0-9a-f]{64})$/.exec(getHeader(event, 'authorization') ?? '')?.[1]
  const { token } = getQuery(event)
  return header ?? (typeof token === 'string' ? token : '')
}

const LONGEST_WAIT = 14 * 24 * 60 * 60 * 1000

/** By the server's clock and the time that passed at the station, since a tablet's own clock may be wrong. */
function enteredAt(event: H3Event): string {
  const waited = Number(getHeader(event, 'x-waited-ms') ?? 0)
  const known = Number.isFinite(waited) ? Math.min(LONGEST_WAIT, Math.max(0, waited)) : 0
  return new Date(Date.now() - known).toISOString()
}
