import { DatabaseAway, troubleOf } from '../database/away'
import { sayAway } from '../database/outage'
import { refusal, Refusal } from './refusal'

const SOON = 2

/** What to answer while the database cannot be asked: come back, or make room first. Undefined for any other error. */
export function awayRefusal(error: unknown): Refusal | undefined {
  const reason = reasonOf(error)
  if (reason === undefined) return undefined
  if (reason === 'connection') sayAway()
  const { body } = reason === 'disk-full' ? refusal(507, 'disk-full') : refusal(503, 'getting-ready')
  return new Refusal(reason === 'disk-full' ? 507 : 503, body, SOON)
}

function reasonOf(error: unknown): DatabaseAway['reason'] | undefined {
  for (let cause = error; cause instanceof Error; cause = cause.cause) if (cause instanceof DatabaseAway) return cause.reason
  const trouble = troubleOf(error)
  return trouble === 'disk-full' || trouble === 'connection' ? trouble : undefined
}
