import { getHeader, getRequestIP, type H3Event } from 'h3'

/**
 * By which address somebody came. Behind a proxy of the school's it is the last one of those that the header names: the proxy's own word. What stands before it was
 * written by whoever came, and would let them be somebody else at every try.
 */
export function addressOfCaller(event: H3Event): string {
  const named = process.env.JOLLY_BEAKER_PROXY === 'yes' ? getHeader(event, 'x-forwarded-for') : undefined
  return named?.split(',').at(-1)?.trim() || (getRequestIP(event) ?? 'nowhere')
}
