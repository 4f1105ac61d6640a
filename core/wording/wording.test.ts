import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { recordOf, soakUpPlan } from '../../test/soakUp'
import { fitOf, testEndsOf } from '../clock'
import { evidenceOf } from '../evidence'
import { checkPlan } from '../fairness'
import { demoLessons } from '../../demo/lessons'
import { counter } from '../../test/soakUp'
import type { UnitCode } from '../quantity'
import { readEntry, type ResolvedMethod } from '../test'
import {
  agreementSentence,
  amountWords,
  cellText,
  endWords,
  fairWords,
  fitVerdict,
  testEndWords,
  foresight,
  gapSentence,
  list,
  measuredWith,
  question,
  testSum,
  trialSum,
  writeAverage,
  writeReading,
} from '.'

const plan = soakUpPlan()

it('puts the question together from the cards', () => {
  expect(question(plan)).toBe('How does the kind of paper change how high water climbs in 60\u00a0s?')
  expect(question(soakUpPlan({ changed: null }))).toBe('How does something we change change how high water climbs in 60\u00a0s?')
})

it('writes figures with the digits that the instrument can carry', () => {
  expect(writeReading(plan, 21, 'mm')).toBe('21\u202fmm')
  expect(writeReading(plan, 5.2, 'mm')).toBe('5.2\u202fmm')
  expect(writeAverage(plan, 60.342857, 'mm')).toBe('60.3\u202fmm')
  expect(amountWords(31, 'pieces')).toBe('31')
  expect(list(['A', 'B', 'C'])).toBe('A, B and C')
})

it('a cell has the number that was read: its fraction, and the scale that was not the class’s own', () => {
  const cell = (unit: UnitCode, mark: number, entered: string) => {
    const plan = measuredSo(soakUpPlan(), { unit, resolution: mark })
    const read = readEntry(plan, entered)
    return read.ok ? cellText(plan, { value: read.value, unit: read.unit, entered }) : read.code
  }
  expect(cell('degC', 1, '68 F')).toBe('68\u202f°F')
  expect(cell('degC', 1, '70 °F')).toBe('70\u202f°F')
  expect(cell('degC', 0.5, '-2,5')).toBe('-2.5')
  expect(cell('in', 0.25, '17.5')).toBe('17 1/2')
  expect(cell('cm', 0.1, '5 m 31')).toBe('531')
  expect(cell('cm', 0.1, '2 1/2 in')).toBe('2.5\u202fin')
  // What was corrected since is no longer what was typed.
  expect(cellText(measuredSo(soakUpPlan(), { unit: 'degC' }), { value: 21, unit: 'degC', entered: '68 F' })).toBe('21')
})

it('says how something is measured, in the middle of a sentence', () => {
  const measured = (change: Partial<ResolvedMethod>) => measuredWith(measuredSo(plan, change).measures[0]!.method)
  expect(measured({})).toBe('with a ruler, to the nearest mm')
  expect(measured({ tool: 'counting', unit: 'count' })).toBe('by counting')
  expect(measured({ way: 'words', words: ['dry', 'damp', ''] })).toBe('in words: dry / damp')
  expect(measured({ way: 'race', tool: '' })).toBe('side by side, who is first')
  expect(measured({ way: 'balance', tool: '' })).toBe('balance, two at a time')
})

it('says the sums behind kit and clock', () => {
  expect(trialSum(plan)).toBe('4 conditions × (3 repeats + 1 practice) × 7 groups = 112 trials')
  expect(testSum(fitOf(plan))).toBe('16 trials × 1 min 45 s = 28 minutes')
  const timed = soakUpPlan({ clock: { ...plan.clock, start: '10:30' } })
  expect(fitVerdict(fitOf(plan), testEndsOf(plan))).toBe('It fits: in 95 of 100 classes.')
  expect(testEndWords(timed, testEndsOf(timed)!)).toBe(
    'Nine in ten have tested by 11:33; it should end at 11:35, the bell is at 11:55.',
  )
  expect(endWords(timed, fitOf(plan))).toBe('Ends at 11:43, the bell is at 11:55.')
})

it('names fair and unfair pairs', () => {
  const [, { plan: unfair }] = demoLessons('2026-03-12', counter('d')) as [unknown, { plan: typeof plan }]
  expect(fairWords(unfair, checkPlan(unfair)!)).toMatchObject({
    verdict: '3 of 6 pairs are fair.',
    fair: 'B and C; B and D; C and D.',
    notFair:
      'A and B: differ in the width of the strip; A and C: differ in the width of the strip; A and D: differ in the width of the strip.',
  })
})

describe('sentences of a result', () => {
  const evidence = evidenceOf(plan, recordOf({ 'kitchen-roll': [60, 61, 48, 61, 62, 47], tissue: [50, 51, 52, 51, 51, 52] }, 3))!

  it('say the gap against the wobble and how many groups agree', () => {
    expect(gapSentence(plan, evidence.spread!)).toMatch(/^Kitchen roll is 5\.3\u202fmm above tissue: \d\.\d times the wobble\.$/)
    expect(agreementSentence(plan, evidence)).toBe('2 of 3 groups put kitchen roll first; Cedar did not.')
    expect(foresight(plan, evidence, [['tissue'], ['kitchen-roll'], ['card']])).toBe(
      '1 of 3 groups predicted that kitchen roll comes first.',
    )
  })
})
