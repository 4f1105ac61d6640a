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

// Browsers carry on at most 64 kB of a page that is gone.
const MOST_TO_CARRY_ON = 60_000

interface CallOptions {
  method?: 'GET' | 'POST' | 'PUT' | 'DELETE'
  body?: unknown
  /** A file that is the body itself. */
  file?: Blob
  token?: string
  /** The page is going away: the browser carries the request on without it. Only for short bodies. */
  leaving?: boolean
  /** How many milliseconds ago the body was entered, when it had to wait for the line. */
  waited?: number
}

/** Calls a route of our own server. Throws a `ServerRefusal` with a message that can be shown as it is. */
export async function callServer<T>(
  path: string,
  { method = 'GET', body, file, token, leaving, waited }: CallOptions = {},
): Promise<T> {
  const headers: Record<string, string> = { accept: 'application/json' }
  if (body !== undefined) headers['content-type'] = 'application/json'
  if (token) headers.authorization = `Bearer ${token}`
  if (waited !== undefined) headers['x-waited-ms'] = String(Math.max(0, Math.round(waited)))
  const text = body === undefined ? undefined : JSON.stringify(body)
  const keepalive = leaving && (text?.length ?? 0) < MOST_TO_CARRY_ON
  const response = await fetch(path, { method, headers, body: file ?? text, keepalive }).catch(() => {
    throw new ServerRefusal(
      'away',
      'Jolly Beaker cannot be reached. What you entered is kept on this page; it is sent when it is back.',
    )
  })
  setServerClock(response.headers.get('date'))
  const answer: unknown = await response.json().catch(() => ({}))
  if (response.ok) return answer as T
  const refusal = answer as { code?: string; message?: string; field?: string }
  if (refusal.code === 'desk-closed') deskClosed.value = true
  if (response.status === 503) throw new ServerRefusal('away', 'Jolly Beaker is getting ready. Try again in a moment.')
  throw new ServerRefusal(
    refusal.code ?? 'internal',
    refusal.message ?? 'Something broke on the server. Try once more.',
    refusal.field,
  )
}

/** What to show for anything that was thrown. */
export function messageOf(error: unknown): string {
  return error instanceof ServerRefusal ? error.message : 'Something broke on this page. Load it again; what was saved is kept.'
}
