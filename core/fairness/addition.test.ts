import { expect, it } from 'vitest'
import { emptyRecord, reading, soakUpPlan } from '../../test/soakUp'
import { evidenceOf, twinsToAdd } from '../evidence'
import { NO_SCHOOL } from '../kit'
import type { Factor, Plan } from '../lesson'
import { secondLook } from '../secondLook'
import { fixWords, sureSentences, unfairSentences } from '../wording'
import { judgedOf } from '../lists'
import { classReport, gradeInList } from '../wording/reports'
import { checkPlan, withFairTwin } from '.'

const factor = (id: string, name: string, how: string, exceptions: Record<string, string>): Factor => ({
  id,
  name,
  comesWith: false,
  how,
  exceptions,
})
const jar = (id: string, label: string) => ({ id, label, baseline: false, leftOut: false })

/** Jars in a muddle: no two differ in their size alone, two differ in their lid alone. */
function muddle(places: Record<string, string> = { c: 'shelf' }): Plan {
  return soakUpPlan({
    conditions: [jar('a', 'Jar 1'), jar('b', 'Jar 2'), jar('c', 'Jar 3')],
    factors: [
      factor('size', 'the size', '', { a: 'small', b: 'small', c: 'large' }),
      factor('lid', 'the lid', 'none', { b: 'cork' }),
      factor('place', 'the place', 'sill', places),
    ],
    changed: 'size',
    repeats: 1,
    gapsStay: true,
  })
}
const record = (plan: Plan) => ({
  ...emptyRecord,
  readings: plan.groups.flatMap(({ id: group }) =>
    ['a', 'b', 'c'].map((condition, at) => reading({ group, condition, value: 20 + 10 * at })),
  ),
})

it('a muddle names no winner; it says what it can answer, and which one jar more would answer the question', () => {
  const plan = muddle()
  const evidence = evidenceOf(plan, record(plan))!
  expect([evidence.grade, evidence.order]).toEqual(['not-fair', []])
  expect(unfairSentences(plan, evidence)).toEqual([
    'Jar 2 is not a fair comparison: the lid was different.',
    'Jar 3 is not a fair comparison: the place was different. Add Jar 3 with the place: sill.',
    'It can answer how the lid changes how high water climbs in 60 s: Jar 1 and Jar 2 differ in nothing else.',
  ])
  expect(gradeInList(plan, judgedOf(plan, record(plan), NO_SCHOOL))).toBe(
    'Not a fair comparison. It can answer how the lid changes how high water climbs in 60 s: Jar 1 and Jar 2 differ in nothing else',
  )
  const fix = { code: 'add-fair-twin' as const, condition: 'c', like: 'a' }
  expect(twinsToAdd(evidence.notFair)).toEqual([fix])
  expect(fixWords(fix, plan)).toBe('Add Jar 3 with the place: sill')
  const more = withFairTwin(plan, 'c', 'a', () => 'd')!
  const pair = checkPlan(more)!.pairs.find(({ a, b }) => a === 'a' && b === 'd')!
  expect(pair.status).toBe('fair')
  expect(withFairTwin(more, 'c', 'a', () => 'e')).toBeUndefined()
  expect(sureSentences(plan, evidence).join(' ')).not.toMatch(/first|highest/)
  expect(secondLook(more, record(plan)).length).toBeGreaterThan(0)
})

it('a value that nobody knows is never made up, and the report says where it was not the same', () => {
  const plan = muddle({ a: '?', b: '?', c: 'shelf' })
  expect(withFairTwin(plan, 'c', 'a', () => 'd')).toBeUndefined()
  const kept = JSON.stringify(classReport(plan, record(plan)))
  expect(kept).toContain(
    'the lid (none; but Jar 2: cork); the place (sill; but Jar 1: nobody knows; Jar 2: nobody knows; Jar 3: shelf)',
  )
})
