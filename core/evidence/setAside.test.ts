import { describe, expect, it } from 'vitest'
import { reading, soakUpPlan } from '../../test/soakUp'
import { drawNormal, seededRandom } from '../chance'
import { EMPTY_RECORD, type LessonRecord, type Reading } from '../lesson'
import { doubtfulReadings } from '../record'
import { sureSentences } from '../wording'
import { evidenceOf } from '.'

const plan = soakUpPlan({ things: 'same' })
const at = (minute: number, second = 0) => new Date(Date.UTC(2026, 2, 12, 10, minute, second)).toISOString()

/** Two papers a little apart in five groups, and one reading of the last group that spoils it. */
const readings = plan.groups.slice(0, 5).flatMap(({ id: group }, g) =>
  ['kitchen-roll', 'card'].map((condition, c) =>
    reading({
      id: `${group}${condition}`,
      group,
      condition,
      value: 50 + g - 4 * c + (g === 4 && c === 1 ? 25 : 0),
      at: at(c),
      by: 'station',
    }),
  ),
)
const spoilt = readings.at(-1)!
const setAside = (change: Partial<Reading>): LessonRecord => ({
  ...EMPTY_RECORD,
  readings: [...readings, { ...spoilt, id: 'again', status: 'set-aside', reason: 'leaked', supersedes: spoilt.id, ...change }],
})

describe('a reading that is set aside', () => {
  it('in its own trial is out; after results could be seen the weaker of both grades stands', () => {
    const atOnce = evidenceOf(plan, setAside({ at: at(1, 30) }))!
    expect([atOnce.grade, atOnce.setAside]).toEqual(['clear', undefined])
    const later = evidenceOf(plan, setAside({ at: at(20), by: 'desk' }))!
    expect(later.grade).not.toBe('clear')
    expect(later.setAside).toMatchObject({ readings: 1, without: 'clear' })
    expect(later.pairs.some(({ grade }) => grade === 'clear')).toBe(false)
    expect(sureSentences(plan, later).join(' ')).toMatch(
      /^.*1 reading was set aside when results could be seen: with it “.*”, without “clear”; the weaker one stands\./,
    )
  })

  it('at a station that had gone on, too, and at the desk when anybody had', () => {
    const next = reading({ id: 'next', group: spoilt.group, condition: 'tissue', value: 50, at: at(1, 20) })
    const other = { ...next, group: 'g1' }
    const graded = (between: Reading, by: Reading['by']) => {
      const record = setAside({ at: at(1, 40), by })
      return evidenceOf(plan, { ...record, readings: [...record.readings, between] })!.setAside?.readings
    }
    expect([graded(next, 'station'), graded(other, 'station'), graded(other, 'desk')]).toEqual([1, undefined, 1])
  })

  it('whenever it is asked about does not make luck a finding', () => {
    const random = seededRandom(71)
    const classes = 300
    const clear = Array.from({ length: classes }, () => {
      const all = plan.groups.flatMap(({ id: group }) =>
        plan.conditions.flatMap(({ id: condition }) =>
          [1, 2, 3].map((repeat) =>
            // Heavy tails: one reading in ten strays three times as far.
            reading({ group, condition, repeat, value: 50 + (random() < 0.1 ? 3 : 1) * 4 * drawNormal(random), at: at(repeat) }),
          ),
        ),
      )
      const asked = doubtfulReadings(plan, all).map(({ reading: one }, place): Reading => {
        return { ...one, id: `aside-${place}`, status: 'set-aside', reason: 'wind', supersedes: one.id, at: at(30), by: 'desk' }
      })
      return evidenceOf(plan, { ...EMPTY_RECORD, readings: [...all, ...asked] })!.grade === 'clear'
    }).filter(Boolean).length
    expect(clear / classes).toBeLessThan(0.07 + 2 * Math.sqrt((0.07 * 0.93) / classes))
  })
})
