import {
  defineEventHandler,
  getHeader,
  getQuery,
  getRouterParams,
  setResponseHeader,
  setResponseStatus,
  type EventHandler,
  type H3Event,
} from 'h3'
import type { ObjectSchema, ValidationError } from 'joi'
import { findLesson, type StoredLesson } from '../database/lessons'
import { useDatabase } from '../database/connection'
import type { Database } from '../database/open'
import { findStation, type Station } from '../database/stations'
import { readJsonBody, type BodyKind } from './body'
import { requireDesk } from './door'
import { notFound, Refusal, type RefusalBody } from './refusal'
import { lessonPathSchema } from '../../schemas/requests'

interface Shape<Body, Query> {
  body?: ObjectSchema<Body>
  query?: ObjectSchema<Query>
  /** A picture or a whole file travels in the body. */
  large?: Exclude<BodyKind, 'plain'>
}

interface Call<Body, Query> {
  event: H3Event
  database: Database
  body: Body
  query: Query
}

/** A route for everybody who reaches the server: validates, calls, answers; every refusal comes out in the one error shape. */
export function openRoute<Answer, Body = undefined, Query = undefined>(
  shape: Shape<Body, Query>,
  answer: (call: Call<Body, Query>) => Promise<Answer>,
): EventHandler {
  return guarded(async (event) => answer(await readCall(event, shape)))
}

/** A route of the desk. */
export function deskRoute<Answer, Body = undefined, Query = undefined>(
  shape: Shape<Body, Query>,
  answer: (call: Call<Body, Query>) => Promise<Answer>,
): EventHandler {
  return guarded(async (event) => {
    await requireDesk(event)
    return answer(await readCall(event, shape))
  })
}

/** A route of the desk about one lesson, named in the path. */
export function lessonRoute<Answer, Body = undefined, Query = undefined>(
  shape: Shape<Body, Query>,
  answer: (call: Call<Body, Query> & { lesson: StoredLesson }) => Promise<Answer>,
): EventHandler {
  return guarded(async (event) => {
    await requireDesk(event)
    const { lesson: id } = checked(lessonPathSchema, getRouterParams(event))
    const lesson = await findLesson(await useDatabase(), id)
    if (!lesson) throw notFound('lesson')
    return answer({ ...(await readCall(event, shape)), lesson })
  })
}

/**
 * A route of a station: its token opens its own lesson and group, and nothing else. `entered` is when the children typed it in,
 * earlier than now where it had to wait for the line.
 */
export function stationRoute<Answer, Body = undefined, Query = undefined>(
  shape: Shape<Body, Query>,
  answer: (call: Call<Body, Query> & { lesson: StoredLesson; station: Station; entered: string }) => Promise<Answer>,
): EventHandler {
  return guarded(async (event) => {
    const database = await useDatabase()
    const station = await findStation(database, tokenOf(event))
    const lesson = station && (await findLesson(database, station.lesson))
    if (!station || !lesson || lesson.archived || !lesson.plan.groups.some((group) => group.id === station.group)) {
      throw new Refusal(401, {
        code: 'not-joined',
        message: 'This station is not part of a lesson. Type in the code from the board.',
      })
    }
    if (station.locked && event.method !== 'GET') {
      throw new Refusal(423, { code: 'locked', message: 'Your teacher has paused this station. What you entered is kept.' })
    }
    return answer({ ...(await readCall(event, shape)), lesson, station, entered: enteredAt(event) })
  })
}

/** A station wrote for a group that is not its own. */
export function otherGroup(field: string): Refusal {
  const message = 'A station writes for its own group only. Join again to change groups.'
  return new Refusal(403, { code: 'other-group', message, field })
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
  const message = `${detail?.message ?? 'The request is not complete'}. Correct it and send it again.`
  return { code: 'invalid', message: message.slice(0, 400), ...(field === '' ? {} : { field }) }
}

/** `['readings', 3, 'unit']` as `readings[3].unit`. */
export function pathWords(path: (string | number)[]): string {
  return path.reduce<string>((text, step) => (typeof step === 'number' ? `${text}[${step}]` : text ? `${text}.${step}` : step), '')
}

async function readCall<Body, Query>(event: H3Event, { body, query, large }: Shape<Body, Query>): Promise<Call<Body, Query>> {
  return {
    event,
    database: await useDatabase(),
    body: (body ? checked(body, await readJsonBody(event, large ?? 'plain')) : undefined) as Body,
    query: (query ? checked(query, getQuery(event)) : undefined) as Query,
  }
}

function guarded(handler: (event: H3Event) => Promise<unknown>): EventHandler {
  return defineEventHandler(async (event) => {
    try {
      return await handler(event)
    } catch (error) {
      if (!(error instanceof Refusal)) throw error
      setResponseStatus(event, error.status)
      if (error.after !== undefined) setResponseHeader(event, 'retry-after', error.after)
      return error.body
    }
  })
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
