/** The one shape of an error: what went wrong, what to do next, and the field it is about. */
export interface RefusalBody {
  code: string
  message: string
  field?: string
}

/** Thrown anywhere below a route to answer with a 4xx. */
export class Refusal extends Error {
  constructor(
    readonly status: 400 | 401 | 403 | 404 | 409 | 413 | 423 | 429,
    readonly body: RefusalBody,
    /** Seconds after which to try again. */
    readonly after?: number,
  ) {
    super(body.message)
  }
}

export function notFound(what: string): Refusal {
  return new Refusal(404, { code: 'not-found', message: `There is no such ${what}. Go back to the shelf and open it from there.` })
}
