import { randomBytes } from 'node:crypto'
import { defineEventHandler, getHeader, getRequestHost, send, setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import { refusalWords } from '../../core/wording'
import { classModeIsOn } from '../access/classMode'

const LOOPBACK = /^(localhost|127\.\d+\.\d+\.\d+|\[::1\])(:\d+)?$/

/**
 * While the server is for this computer only, a page from elsewhere must not reach it through the browser by a name that was
 * pointed at this computer. With class mode the desk's cookie and the stations' tokens say who may, whatever the address. A form
 * or a script of another origin writes nothing in either case.
 */
export default defineEventHandler(async (event) => {
  setHeaders(event)
  const host = getRequestHost(event)
  const origin = getHeader(event, 'origin')
  const foreign = origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`
  const writes = event.method !== 'GET' && event.method !== 'HEAD'
  if (!(writes && foreign) && (LOOPBACK.test(host) || (await classModeIsOn()))) return
  setResponseStatus(event, 403)
  setResponseHeader(event, 'content-type', 'application/json')
  return send(event, JSON.stringify({ code: 'foreign-origin', message: refusalWords('foreign-origin') }))
})

function setHeaders(event: H3Event): void {
  const nonce = randomBytes(16).toString('base64')
  event.context.nonce = nonce
  setResponseHeader(event, 'x-content-type-options', 'nosniff')
  setResponseHeader(event, 'referrer-policy', 'no-referrer')
  setResponseHeader(event, 'x-frame-options', 'DENY')
  // The school's day is the server's: pages go by it and not by a tablet's own.
  setResponseHeader(event, 'x-minutes-east', String(-new Date().getTimezoneOffset()))
  setResponseHeader(event, 'cross-origin-resource-policy', 'same-origin')
  if (import.meta.dev) return
  const policy = {
    'default-src': "'none'",
    'script-src': `'self' 'nonce-${nonce}'`,
    'worker-src': "'self'",
    // Vuetify writes its theme into a style element.
    'style-src': "'self' 'unsafe-inline'",
    'img-src': "'self' data: blob:",
    'font-src': "'self'",
    'connect-src': "'self'",
    'form-action': "'self'",
    'base-uri': "'none'",
    'frame-ancestors': "'none'",
  }
  setResponseHeader(
    event,
    'content-security-policy',
    Object.entries(policy)
      .map(([what, from]) => `${what} ${from}`)
      .join('; '),
  )
}
