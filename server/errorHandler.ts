import { send, setResponseHeader, setResponseStatus, type H3Error, type H3Event } from 'h3'
import { awayRefusal } from './access/away'
import { sendRefusal } from './access/refusal'
import { refusalWords } from '../core/wording'
import { log } from './lookedAfter/log'

/** Errors that no route caught, in the one shape. What a client did wrong is a 4xx; the rest is ours and goes to the log. */
export default function handleError(error: H3Error, event: H3Event) {
  const away = awayRefusal(error.cause ?? error)
  if (away) {
    setResponseHeader(event, 'content-type', 'application/json')
    return send(event, JSON.stringify(sendRefusal(event, away)))
  }
  const ours = !(error.statusCode >= 400 && error.statusCode < 500)
  if (ours) log.error({ err: error.cause ?? error, route: event.context.matchedRoute?.path }, 'nobody caught this')
  setResponseStatus(event, ours ? 500 : error.statusCode)
  setResponseHeader(event, 'content-type', 'application/json')
  const code = ours ? 'internal' : 'bad-request'
  return send(event, JSON.stringify({ code, message: refusalWords(code) }))
}
