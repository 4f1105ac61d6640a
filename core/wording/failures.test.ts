import { expect, it } from 'vitest'
import { recordOf, soakUpPlan } from '../../test/soakUp'
import type { Failure } from '../lesson'
import { BROKE, brokenNow, homed, journalOf } from '../record'
import { failuresSentence, failureWords, journalWords } from '.'
import { classReport } from './reports'

const plan = soakUpPlan()
const failure = (change: Partial<Failure> = {}): Failure => ({
  id: 'f1',
  group: 'g1',
  condition: 'tissue',
  repeat: 2,
  reason: 'it fell over',
  by: 'station',
  at: '2026-03-12T10:58:00.000Z',
  ...change,
})

it('a trial that ended without a number is a row with its reason, counted in words and report, and no reading', () => {
  const record = {
    ...recordOf({ 'kitchen-roll': [60, 61, 62], tissue: [50, 51, 52] }, 3),
    failures: [failure(), failure({ id: 'f2', group: 'g2' }), failure({ id: 'f3', condition: 'card', reason: 'it burst' })],
  }
  expect(failureWords(plan, record.failures[0]!)).toBe('Alder, B tissue, repeat 2: it fell over')
  const sentence = '3 trials ended without a number: 2 of tissue (it fell over) and 1 of card (it burst).'
  expect(failuresSentence(plan, record)).toBe(sentence)
  expect(JSON.stringify(classReport(plan, record))).toContain(sentence)
  expect(failuresSentence(plan, { failures: [] })).toBe('')
  const without = { ...plan, conditions: plan.conditions.map((one) => ({ ...one, leftOut: one.id === 'card' })) }
  expect(failuresSentence(without, record)).toBe('2 trials ended without a number: 2 of tissue (it fell over).')
})

it('goes with its group and condition, and stands in the journal', () => {
  const record = { ...recordOf({}, 1), failures: [failure(), failure({ id: 'f2', condition: 'gone' })] }
  const { record: home, strays } = homed(plan, record)
  expect([home.failures.length, strays.length]).toEqual([1, 1])
  const [line] = journalOf({ ...record, failures: [failure()] }, [])
  expect(journalWords(plan, line!)).toBe('Alder, B tissue, repeat 2: it fell over')
})

it('what broke is said to the teacher until its trial has a number', () => {
  const broke = [failure({ reason: BROKE, repeat: 1 }), failure({ id: 'f2', reason: BROKE, condition: 'card', repeat: 1 })]
  const record = { ...recordOf({ tissue: [50] }, 1), failures: [...broke, failure({ id: 'f3' })] }
  expect(brokenNow(plan, record).map(({ id }) => id)).toEqual(['f2'])
})
