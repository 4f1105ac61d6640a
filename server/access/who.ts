import { getRequestIP, type H3Event } from 'h3'

/** By which address somebody came; behind a proxy of the school's that says so, by which address they came to that. */
export function addressOfCaller(event: H3Event): string {
  return getRequestIP(event, { xForwardedFor: process.env.JOLLY_BEAKER_PROXY === 'yes' }) ?? 'nowhere'
}
