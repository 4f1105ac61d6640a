import type { H3Event } from 'h3'
import { afterEach, expect, it, vi } from 'vitest'
import { addressOfCaller } from '../../server/access/who'

/** A request as it comes in from here, with what a header says of where it came from. */
const from = (forwarded?: string) =>
  ({
    node: {
      req: { headers: forwarded === undefined ? {} : { 'x-forwarded-for': forwarded }, socket: { remoteAddress: '10.0.0.7' } },
    },
    context: {},
  }) as unknown as H3Event

afterEach(() => vi.unstubAllEnvs())

it('a header that says where somebody came from is believed behind the school’s own proxy only', () => {
  expect(addressOfCaller(from('203.0.113.9'))).toBe('10.0.0.7')
  vi.stubEnv('JOLLY_BEAKER_PROXY', 'yes')
  expect(addressOfCaller(from('203.0.113.9'))).toBe('203.0.113.9')
  expect(addressOfCaller(from())).toBe('10.0.0.7')
})

it('of several addresses the last one counts: what stands before it was written by whoever came', () => {
  vi.stubEnv('JOLLY_BEAKER_PROXY', 'yes')
  expect(addressOfCaller(from('1.1.1.1, 198.51.100.4 , 203.0.113.9'))).toBe('203.0.113.9')
  expect(addressOfCaller(from('1.1.1.1, '))).toBe('10.0.0.7')
})
