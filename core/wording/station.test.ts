import { measuredSo } from '../../test/measuredSo'
import { expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { FIRST_WATCH, mergePlans, type Plan } from '../lesson'
import { withKind } from '../test'
import type { Cell } from '../record'
import { clashPlace, clashValue, lineStateWords, missedWords, raceEntry, refusedWords, roundWords, trialAloud, whenWords } from '.'

const plan = soakUpPlan()
const trial: Cell = { group: 'g1', condition: 'tissue', repeat: 2, moment: '', practice: false, kept: [], setAside: [] }

it('a trial is read aloud with what has to be so before it', () => {
  expect(trialAloud(plan, trial)).toBe(
    'tissue. trial 2. fresh, dry strip. ruler touching zero. in to the line, start at the bell. Wipe up what spills at once',
  )
  expect(trialAloud(plan, { ...trial, practice: true })).toContain('tissue. Practice: it does not count. ')
})

it('sent is said where nothing is left to be kept, to send or to wait', () => {
  const said = (beingKept: number, waiting: number, connected = true) => lineStateWords({ beingKept, waiting, connected }).words
  expect([said(0, 0), said(1, 0), said(0, 2), said(1, 2)]).toEqual(['sent', 'writing it down', 'sending', 'writing it down'])
  expect([said(0, 0, false), said(1, 2, false)]).toEqual(['line is down', 'line is down, 2 waiting'])
})

it('places of a race are written with their times, where one was taken', () => {
  expect([raceEntry(plan, 1, undefined), raceEntry(plan, 4, 4312)]).toEqual(['1st', '4th, 4.3 s'])
})

it('a race is asked for as one, and what ears put in order is not', () => {
  const by = (tool: string) => roundWords({ ...plan, measures: measuredSo(plan, { way: 'race', tool }).measures })
  expect([by(''), by('finishing line')].map(({ round, timed }) => [round, timed])).toEqual([
    ['Race', true],
    ['Race', true],
  ])
  expect(by('ears, eyes shut')).toMatchObject({ round: 'Round', timed: false })
  expect(by('ears, eyes shut').asked).toContain('going by how high water climbs')
})

it('when and what: moments without their place, missed days, entries that were refused', () => {
  const jars: Plan = { ...withKind(plan, 'over-time'), watch: { ...FIRST_WATCH, times: [5], places: ['top', 'bottom'] } }
  expect(whenWords(jars, 't5p2').replace(/\s/g, ' ')).toBe('5 min')
  expect(whenWords(withKind(plan, 'before-after'), 'after')).toBe('after')
  expect(whenWords(plan, '')).toBe('')
  expect([missedWords(1), missedWords(4)].map((words) => words.split('.')[0])).toEqual([
    '1 reading of earlier days was missed',
    '4 readings of earlier days were missed',
  ])
  expect(refusedWords({ readings: [{ entered: '61' }, { entered: '5,2 cm' }] })).toBe('61, 5,2 cm')
  expect([refusedWords({ text: 'it drips' }), refusedWords({ data: 'data:' })]).toEqual(['it drips', 'a picture or a prediction'])
})

it('a clash of two desks is named as a teacher would find it', () => {
  const change = (to: string) => ({
    ...plan,
    factors: plan.factors.map((factor, place) => (place === 1 ? { ...factor, how: to } : factor)),
  })
  const { clashes } = mergePlans(plan, change('cut twice'), change('cut once'))
  expect(clashes.map((clash) => clashPlace(plan, clash))).toEqual([`things we could change, ${plan.factors[1]!.name}, how`])
  expect([clashValue(''), clashValue(true), clashValue(['a', 'b']), clashValue([]), clashValue({ name: 'ruler' })]).toEqual([
    'nothing',
    'yes',
    'a, b',
    'nothing',
    'ruler',
  ])
})
