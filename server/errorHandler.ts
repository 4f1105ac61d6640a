import { send, setResponseHeader, setResponseStatus, type H3Error, type H3Event } from 'h3'

/** Errors that no route caught, in the one shape. What a client did wrong is a 4xx; the rest is ours and goes to the log. */
export default function handleError(error: H3Error, event: H3Event) {
  const status = error.statusCode >= 400 && error.statusCode < 500 ? error.statusCode : 500
  if (status === 500) console.error(error)
  setResponseStatus(event, status)
  setResponseHeader(event, 'content-type', 'application/json')
  const body =
    status === 500
      ? { code: 'internal', message: 'Something broke on our side. Nothing was stored; try it once more.' }
      : { code: 'bad-request', message: 'The request could not be understood. Go back to the shelf.' }
  return send(event, JSON.stringify(body))
}
