import { expect, it } from 'vitest'
import { mendedWords } from '.'

it('what happened to the data is said with what they are now, where the rest lies, and what to do', () => {
  const at = new Date(2026, 2, 12, 10, 40).toISOString()
  const mended = { damage: 'invalid page in block 0', takenAt: at, aside: '/class/database-damaged-1', passedOver: ['one'] }
  expect(mendedWords(mended)).toBe(
    'The data were damaged. What you see is from Thu 12 Mar, 10:40. Stations offer again what they sent since; what else came later lies in /class/database-damaged-1. A newer snapshot was damaged too. (The database said: invalid page in block 0.)',
  )
  expect(mendedWords({ ...mended, aside: null, passedOver: [] })).toContain('what else came later is not here.')
  expect(mendedWords({ ...mended, takenAt: null })).toMatch(
    /cannot be read \(invalid page in block 0\).*Save everything as one file now/,
  )
})
