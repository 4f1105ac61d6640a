import { refusalWords } from '~~/core/wording'
import type { AnswerOf, BodyOf, ParamsOf, QueryOf, RefusalBody, RouteName } from '~~/schemas/contract'
import { deskIsClosed } from './deskDoor'
import { setServerClock } from './serverClock'

/** What the server refused, in its own words, or that it could not be reached. */
export class ServerRefusal extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly field?: string,
  ) {
    super(message)
  }

  /** Nothing came back: worth trying again later. */
  get away(): boolean {
    return this.code === 'away'
  }
}

/** A line that hangs never answers: after so many milliseconds the server counts as away. A picture has longer. */
const PATIENCE = 12_000
const PATIENCE_WITH_MUCH = 90_000
const MUCH = 100_000
// Browsers carry on at most 64 kB of a page that is gone.
const MOST_TO_CARRY_ON = 60_000

interface How {
  /** A file that is the body itself. */
  file?: Blob
  token?: string
  /** The page is going away: the browser carries the request on without it. Only for short bodies. */
  leaving?: boolean
  /** How many milliseconds ago the body was entered, when it had to wait for the line. */
  waited?: number
}

type InPath<Name extends RouteName> = [ParamsOf<Name>] extends [never] ? object : { path: Record<ParamsOf<Name>, string> }
type InQuery<Name extends RouteName> = QueryOf<Name> extends undefined ? object : { query?: Partial<QueryOf<Name>> }
type InBody<Name extends RouteName> = BodyOf<Name> extends undefined ? object : { body: BodyOf<Name> }
type What<Name extends RouteName> = InPath<Name> & InQuery<Name> & InBody<Name>
/** What a route needs to be told; nothing where it needs nothing. */
type Said<Name extends RouteName> = object extends What<Name> ? [(What<Name> & How)?] : [What<Name> & How]

interface Anything extends How {
  path?: Record<string, string>
  query?: Record<string, unknown>
  body?: unknown
}

/** Where a route of our own server is, for a call, a link or a picture. */
export function addressOf<Name extends RouteName>(
  name: Name,
  ...[said]: object extends InPath<Name> & InQuery<Name> ? [(InPath<Name> & InQuery<Name>)?] : [InPath<Name> & InQuery<Name>]
): string {
  const { path = {}, query = {} } = (said ?? {}) as Anything
  const whole = name.slice(name.indexOf(' ') + 1).replace(/\[(\w+)\]/g, (_, part: string) => encodeURIComponent(path[part]!))
  const asked = Object.entries(query).flatMap(([key, value]) => (value === undefined ? [] : [[key, String(value)]]))
  return asked.length === 0 ? whole : `${whole}?${new URLSearchParams(asked).toString()}`
}

/**
 * Calls a route of our own server; what it takes and answers stands in schemas/contract.ts. Throws a `ServerRefusal` with a
 * message that can be shown as it is.
 */
export async function callServer<Name extends RouteName>(name: Name, ...[said]: Said<Name>): Promise<AnswerOf<Name>> {
  const { body, file, token, leaving, waited } = (said ?? {}) as Anything
  const headers: Record<string, string> = { accept: 'application/json' }
  if (body !== undefined) headers['content-type'] = 'application/json'
  if (token) headers.authorization = `Bearer ${token}`
  if (waited !== undefined) headers['x-waited-ms'] = String(Math.max(0, Math.round(waited)))
  const text = body === undefined ? undefined : JSON.stringify(body)
  const keepalive = leaving && (text?.length ?? 0) < MOST_TO_CARRY_ON
  const method = name.slice(0, name.indexOf(' '))
  if (held !== undefined && method !== 'GET') throw new ServerRefusal('made-up', held)
  const address = (addressOf as (name: string, said: unknown) => string)(name, said)
  const { response, answer } = await fetchPatiently(address, { method, headers, body: file ?? text, keepalive })
  setServerClock(response.headers.get('date'), response.headers.get('x-minutes-east'))
  if (response.ok) return answer as AnswerOf<Name>
  const refused = answer as Partial<RefusalBody>
  if (refused.code === 'desk-closed') deskIsClosed()
  if (response.status === 503) throw new ServerRefusal('away', refusalWords('getting-ready'))
  throw new ServerRefusal(refused.code ?? 'internal', refused.message ?? refusalWords('internal'), refused.field)
}

/** An answer and what is in it, or that the server is away: also where the line hangs and nothing comes for too long. */
async function fetchPatiently(address: string, options: RequestInit): Promise<{ response: Response; answer: unknown }> {
  const { body } = options
  const giveUp = new AbortController()
  const { signal } = giveUp
  const isMuch = typeof body === 'string' && body.length > MUCH
  // A whole library takes as long as it takes.
  const timer = body instanceof Blob ? undefined : setTimeout(() => giveUp.abort(), isMuch ? PATIENCE_WITH_MUCH : PATIENCE)
  try {
    const response = await fetch(address, { ...options, signal })
    const answer: unknown = await response.json().catch((error: unknown) => {
      if (signal.aborted) throw error
      return {}
    })
    return { response, answer }
  } catch {
    throw new ServerRefusal('away', refusalWords('away'))
  } finally {
    clearTimeout(timer)
  }
}

let held: string | undefined

/** While what stands on the page is made up, the page writes nothing: whatever it would send is refused here, in these words. */
export function holdWrites(why: string | undefined): void {
  held = why
}

/** What to show for anything that was thrown. */
export function messageOf(error: unknown): string {
  return error instanceof ServerRefusal ? error.message : refusalWords('page-broke')
}
