import { defineEventHandler, getHeader, getQuery, getRouterParams, setResponseStatus, type EventHandler, type H3Event } from 'h3'
import type { ObjectSchema, ValidationError } from 'joi'
import { findLesson, type StoredLesson } from '../database/lessons'
import { useDatabase } from '../database/connection'
import type { Database } from '../database/open'
import { findStation, type Station } from '../database/stations'
import { readJsonBody } from './body'
import { notFound, Refusal, type RefusalBody } from './refusal'
import { lessonPathSchema } from '../../schemas/requests'

interface Shape<Body, Query> {
  body?: ObjectSchema<Body>
  query?: ObjectSchema<Query>
  /** A whole file travels in the body. */
  file?: boolean
}

interface Call<Body, Query> {
  event: H3Event
  database: Database
  body: Body
  query: Query
}

/** A route of the desk: validates, calls, answers; every refusal comes out in the one error shape. */
export function deskRoute<Answer, Body = undefined, Query = undefined>(
  shape: Shape<Body, Query>,
  answer: (call: Call<Body, Query>) => Promise<Answer>,
): EventHandler {
  return guarded(async (event) => answer(await readCall(event, shape)))
}

/** A route of the desk about one lesson, named in the path. */
export function lessonRoute<Answer, Body = undefined, Query = undefined>(
  shape: Shape<Body, Query>,
  answer: (call: Call<Body, Query> & { lesson: StoredLesson }) => Promise<Answer>,
): EventHandler {
  return guarded(async (event) => {
    const { lesson: id } = checked(lessonPathSchema, getRouterParams(event))
    const lesson = await findLesson(await useDatabase(), id)
    if (!lesson) throw notFound('lesson')
    return answer({ ...(await readCall(event, shape)), lesson })
  })
}

/** A route of a station: its token opens its own lesson and group, and nothing else. */
export function stationRoute<Answer, Body = undefined, Query = undefined>(
  shape: Shape<Body, Query>,
  answer: (call: Call<Body, Query> & { lesson: StoredLesson; station: Station }) => Promise<Answer>,
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
    return answer({ ...(await readCall(event, shape)), lesson, station })
  })
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

async function readCall<Body, Query>(event: H3Event, { body, query, file }: Shape<Body, Query>): Promise<Call<Body, Query>> {
  return {
    event,
    database: await useDatabase(),
    body: (body ? checked(body, await readJsonBody(event, file ? 'file' : 'plain')) : undefined) as Body,
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
