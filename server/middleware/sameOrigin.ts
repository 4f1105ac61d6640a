import { defineEventHandler, getHeader, getRequestHost, send, setResponseHeader, setResponseStatus } from 'h3'

const LOOPBACK = /^(localhost|127\.\d+\.\d+\.\d+|\[::1\])(:\d+)?$/

/**
 * While the server is for this computer only, a page from elsewhere must not reach it through the browser: not by a name that
 * was pointed at this computer, and not by a form or a script of another origin.
 */
export default defineEventHandler((event) => {
  setHeaders(event)
  const host = getRequestHost(event)
  const origin = getHeader(event, 'origin')
  const foreign = origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`
  const writes = event.method !== 'GET' && event.method !== 'HEAD'
  if (LOOPBACK.test(host) && !(writes && foreign)) return
  setResponseStatus(event, 403)
  setResponseHeader(event, 'content-type', 'application/json')
  return send(
    event,
    JSON.stringify({ code: 'foreign-origin', message: 'Open Jolly Beaker by the address that it printed at the start.' }),
  )
})

function setHeaders(event: Parameters<Parameters<typeof defineEventHandler>[0]>[0]): void {
  setResponseHeader(event, 'x-content-type-options', 'nosniff')
  setResponseHeader(event, 'referrer-policy', 'no-referrer')
  setResponseHeader(event, 'x-frame-options', 'DENY')
  // Vuetify writes its theme into a style element and Nuxt its settings into a script element of the page.
  const policy =
    "default-src 'self'; script-src 'self' 'unsafe-inline'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'"
  if (!import.meta.dev) setResponseHeader(event, 'content-security-policy', policy)
}
