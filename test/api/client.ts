import { randomUUID } from 'node:crypto'
import type { Plan } from '../../core/lesson'
import type { NewPrediction, NewReading } from '../../core/lesson'
import type { WholeLesson } from '../../schemas/contract'

export interface Answer<T = unknown> {
  status: number
  body: T
  headers: Headers
}

export type { WholeLesson }

/** A browser takes another connection where the server just ended the one that lay idle; on a slow machine both happen at once. */
async function fetched(url: string, request: RequestInit): Promise<Response> {
  try {
    return await fetch(url, request)
  } catch (error) {
    const { code } = ((error as Error).cause ?? {}) as { code?: string }
    if (code !== 'UND_ERR_SOCKET' && code !== 'ECONNRESET') throw error
    return fetch(url, request)
  }
}

/** Speaks to the routes the way a page does; a lesson begins for the class of the last one where none is said. */
export function clientFor(base: string, ourClass: { className?: string; children?: number } = {}) {
  async function call<T = unknown>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const response = await fetched(base + path, {
      method,
      headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
    })
    const text = await response.text()
    let parsed: unknown = text
    try {
      parsed = JSON.parse(text)
    } catch {
      // A table or a page.
    }
    return { status: response.status, body: parsed as T, headers: response.headers }
  }

  async function newLesson(investigation: string | null = 'soak-up-strips'): Promise<WholeLesson> {
    const { body } = await call<{ id: string }>('POST', '/api/lessons', { investigation, ...ourClass })
    return open(body.id)
  }
  const open = async (id: string) => (await call<WholeLesson>('GET', `/api/lessons/${id}`)).body

  async function joinStation(code: string, group: string): Promise<Record<string, string>> {
    const { body } = await call<{ token: string }>('POST', '/api/stations', { code, group })
    return { authorization: `Bearer ${body.token}` }
  }
  return { call, newLesson, open, joinStation }
}

export function prediction(plan: Plan, change: Partial<NewPrediction> = {}): NewPrediction {
  const order = plan.conditions.map(({ id }) => id)
  return { id: randomUUID(), group: plan.groups[0]!.id, as: 'order', order, values: {}, reason: '', measure: null, ...change }
}

export function reading(plan: Plan, change: Partial<NewReading> = {}): NewReading {
  return {
    id: randomUUID(),
    group: plan.groups[0]!.id,
    condition: plan.conditions[0]!.id,
    repeat: 1,
    moment: '',
    practice: false,
    value: 61,
    unit: 'mm',
    entered: '61',
    status: 'kept',
    reason: '',
    confirmed: false,
    supersedes: null,
    ...change,
  }
}
