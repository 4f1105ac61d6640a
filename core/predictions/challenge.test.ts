import { describe, expect, it } from 'vitest'
import { counter, reading, recordOf, soakUpPlan } from '../../test/soakUp'
import { lengths } from '../../test/ready'
import { evidenceOf } from '../evidence'
import type { Plan, Prediction } from '../lesson'
import { secondLook } from '../secondLook'
import { stationState } from '../station'
import { challengeSentences } from '../wording'
import { challengeOf, challengeTable, predictionsByGroup, withChallenge, withoutChallenge } from '.'

const line = withChallenge({ ...lengths('20', '40', '60'), repeats: 1 }, '50', counter('new'))
const record = recordOf({ c0: [20, 21, 20, 21, 20, 21, 20], c1: [40, 41, 40, 41, 40, 41, 40], c2: [60, 61, 60, 61, 60, 61, 60] }, 7)
const { id } = challengeOf(line)!
const guess = (group: string, value: number): Prediction => ({
  id: `p${group}`,
  group,
  as: 'challenge',
  order: [],
  values: { [id]: value },
  reason: 'it goes up',
  late: true,
  measure: null,
  by: 'station',
  at: '2026-03-12T11:00:00.000Z',
})
const seen = (group: string, value: number) => reading({ group, condition: id, value })
const shown = (plan: Plan, of: typeof record) =>
  stationState(plan, of, 'g1', '2026-03-12', { doing: 'testing', skipped: { prediction: true, practice: true } })!.step

describe('a last challenge', () => {
  it('lays guess, forecast and what was seen beside each other, and changes nothing of what was found', () => {
    const whole = {
      ...record,
      predictions: [guess('g1', 52), guess('g2', 70)],
      readings: [...record.readings, seen('g1', 51), seen('g2', 50)],
    }
    const table = challengeTable(line, whole)!
    expect(table.foretold!.value).toBeCloseTo(50.4, 0)
    expect(table.rows.slice(0, 2)).toMatchObject([
      { group: 'g1', guess: 52, seen: 51 },
      { group: 'g2', guess: 70, seen: 50 },
    ])
    expect(table).toMatchObject({ seen: 50.5, nearest: ['g1'], place: { seen: 2, of: 4 } })
    expect(challengeSentences(line, table).join(' ')).toContain(
      'as the line predicted. Among what was tested it comes number 2 of 4',
    )
    expect(evidenceOf(line, whole)).toEqual(evidenceOf(lengths('20', '40', '60'), record))
    expect(secondLook(line, whole).map(({ code }) => code)).not.toContain('homeless')
    expect(predictionsByGroup(line, whole.predictions).every(({ stamped, later }) => !stamped && later.length === 0)).toBe(true)
  })

  it('is the last step at a station: guess, test once, done', () => {
    expect(shown(line, record)).toEqual({ show: 'challenge', guess: undefined })
    expect(shown(line, { ...record, predictions: [guess('g1', 52)] })).toEqual({ show: 'challenge', guess: 52 })
    expect(shown(line, { ...record, readings: [...record.readings, seen('g1', 51)] })).toEqual({ show: 'done' })
    expect(shown(line, recordOf({ c0: [20] }, 1))).toMatchObject({ show: 'trial' })
  })

  it('asks of kinds without a line, and goes without a trace while nobody tested it', () => {
    const felt = withChallenge(soakUpPlan(), 'felt', counter('f'))
    const table = challengeTable(felt, recordOf({ card: [10, 11] }, 2))!
    expect(table).toMatchObject({ name: 'felt', foretold: undefined, seen: undefined, place: undefined })
    expect(withoutChallenge(felt, new Set())).toEqual(soakUpPlan())
    expect(withoutChallenge(felt, new Set([table.condition])).conditions).toHaveLength(5)
  })
})
