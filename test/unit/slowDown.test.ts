import { expect, it } from 'vitest'
import { requireNoWait, wasWrong } from '../../server/access/slowDown'

const A_SECOND = 1000
const START = 1_000_000

/** Seconds that somebody has to wait at a time; 0 when not at all. */
function waitAt(who: string, now: number): number {
  try {
    requireNoWait(who, now)
    return 0
  } catch (error) {
    return (error as { after: number }).after
  }
}

it('five wrong tries are free, then each doubles the wait, a minute at most', () => {
  const waits = Array.from({ length: 14 }, () => {
    wasWrong('a', START)
    return waitAt('a', START)
  })
  expect(waits).toEqual([0, 0, 0, 0, 1, 2, 4, 8, 16, 32, 60, 60, 60, 60])
  expect(waitAt('a', START + 59 * A_SECOND)).toBe(1)
  expect(waitAt('a', START + 60 * A_SECOND)).toBe(0)
})

it('one is forgiven every half minute, and nobody waits for somebody else', () => {
  for (let tries = 0; tries < 6; tries += 1) wasWrong('b', START)
  expect(waitAt('c', START)).toBe(0)
  wasWrong('b', START + 90 * A_SECOND)
  expect(waitAt('b', START + 90 * A_SECOND)).toBe(0)
})
