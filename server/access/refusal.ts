import { setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import { refusalWords, type RefusalCode, type RefusalDetails } from '../../core/wording'
import type { RefusalBody } from '../../schemas/contract'

type Status = 400 | 401 | 403 | 404 | 409 | 413 | 423 | 429 | 503 | 507

/** Thrown anywhere below a route to answer with a 4xx, or with why nothing can be stored at the moment. */
export class Refusal extends Error {
  constructor(
    readonly status: Status,
    readonly body: RefusalBody,
    /** Seconds after which to try again. */
    readonly after?: number,
  ) {
    super(body.message)
  }
}

/** A refusal in the words of its code. */
export function refusal<Code extends RefusalCode>(
  status: Status,
  code: Code,
  field?: string,
  ...details: RefusalDetails<Code>
): Refusal {
  return new Refusal(status, { code, message: refusalWords(code, ...details), ...(field === undefined ? {} : { field }) })
}

export function notFound(what: string): Refusal {
  return refusal(404, 'not-found', undefined, { what })
}

/** The one error shape. */
export function sendRefusal(event: H3Event, { status, after, body }: Refusal): RefusalBody {
  setResponseStatus(event, status)
  if (after !== undefined) setResponseHeader(event, 'retry-after', after)
  return body
}
