import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { reading, soakUpPlan } from '../../test/soakUp'
import { evidenceOf } from '../evidence'
import { EMPTY_RECORD, FIRST_WATCH, type Plan, type Reading } from '../lesson'
import { withKind, readEntry, workedOutEntry, writesStartAndFinish, withMethod } from '../test'
import {
  averageResults,
  averagesByMoment,
  dayOfWatching,
  gapsOf,
  nextTrial,
  practiceFigures,
  progressOf,
  shareDone,
  trialResults,
  wordCounts,
} from '.'

const iceBag: Plan = { ...withKind(soakUpPlan(), 'before-after'), conditions: soakUpPlan().conditions.slice(0, 1) }
const weighed = (pairs: [number, number][]): Reading[] =>
  pairs.flatMap(([before, after], place) =>
    [['before', before] as const, ['after', after] as const].map(([moment, value]) =>
      reading({ moment, value, group: `g${place + 1}` }),
    ),
  )

describe('before and after', () => {
  it('the result of a trial is the change; a trial with one half has none yet', () => {
    const rows = [...weighed([[412, 405]]), reading({ group: 'g2', moment: 'before', value: 398 })]
    expect(trialResults(iceBag, rows).map(({ group, value }) => [group, value])).toEqual([['g1', -7]])
    expect(averageResults(iceBag, rows)).toEqual({ 'kitchen-roll': -7 })
  })

  it('weighs everything before and only then after', () => {
    const both = { ...iceBag, conditions: soakUpPlan().conditions.slice(0, 2), repeats: 1 }
    const next = (rows: Reading[]) => nextTrial(both, progressOf(both, rows)[0]!)
    expect(next([reading({ moment: 'before' })])).toMatchObject({ condition: 'tissue', moment: 'before' })
    expect(next([reading({ moment: 'before' }), reading({ moment: 'before', condition: 'tissue' })])).toMatchObject({
      condition: 'kitchen-roll',
      moment: 'after',
    })
  })

  it('one thing is compared with itself, however different the bags are', () => {
    const lost = evidenceOf(iceBag, {
      ...EMPTY_RECORD,
      readings: weighed([
        [412, 402],
        [300, 291],
        [520, 510],
        [150, 141],
      ]),
    })!
    expect(lost.grade).toBe('clear')
    expect(lost.order).toEqual(['before', 'after'])
    expect(lost.agreement).toMatchObject({ agreeing: ['g1', 'g2', 'g3', 'g4'] })
    const kept = evidenceOf(iceBag, {
      ...EMPTY_RECORD,
      readings: weighed([
        [412, 412],
        [300, 300],
        [520, 520],
        [150, 150],
      ]),
    })!
    expect(kept.grade).toBe('same')
  })
})

describe('over time', () => {
  const jars: Plan = {
    ...withKind(soakUpPlan(), 'over-time'),
    watch: { ...FIRST_WATCH, times: [0, 5], places: ['top', 'bottom'] },
  }
  const rows = [
    reading({ moment: 't0p1', value: 60 }),
    reading({ moment: 't5p1', value: 40 }),
    reading({ moment: 't5p2', value: 30 }),
  ]

  it('the result is how far its places were apart at the last time', () => {
    expect(trialResults(jars, rows).map(({ value }) => value)).toEqual([10])
    expect(trialResults(jars, rows.slice(0, 2))).toEqual([])
    const dayOne = [reading({ moment: 't0p1', value: 60 }), reading({ moment: 't0p2', value: 50 })]
    expect(trialResults(jars, dayOne).map(({ value }) => value)).toEqual([10])
    expect(averagesByMoment(jars, rows).map(({ moment, average }) => [moment, average])).toEqual([
      ['t0p1', 60],
      ['t5p1', 40],
      ['t5p2', 30],
    ])
  })
})

describe('watching over days', () => {
  const cress: Plan = {
    ...withKind(soakUpPlan(), 'over-time'),
    watch: { ...FIRST_WATCH, unit: 'day', times: [0, 2, 9] },
    repeats: 1,
  }
  const dayZero = cress.conditions.map(({ id }) => reading({ condition: id, moment: 't0' }))
  const progress = progressOf(cress, dayZero)

  it('asks for nothing before its day has come', () => {
    const from = dayOfWatching({ date: '2026-03-12' }, '2026-03-14')
    expect(from).toBe(2)
    expect(nextTrial(cress, progress[0]!, 1)).toBeUndefined()
    expect(nextTrial(cress, progress[0]!, from)).toMatchObject({ moment: 't2', condition: 'kitchen-roll' })
    expect(dayOfWatching({ date: '' }, '2026-03-14')).toBeUndefined()
  })

  it('calls a gap only what others have read already', () => {
    const open = { ...cress, gapsStay: false }
    expect(gapsOf(open, progress.slice(0, 1))).toEqual([])
    expect(gapsOf(cress, progress)).toEqual([])
    expect(gapsOf(open, progress)).toHaveLength(6 * cress.conditions.length)
    expect(shareDone(progress[0]!, 'card')).toBeCloseTo(1 / 3, 12)
  })
})

describe('readEntry', () => {
  const with_ = (way: 'words' | 'race', words = ['dry', 'damp', 'wet']): Plan => measuredSo(soakUpPlan(), { way, words })

  it.each([
    [with_('words'), 'Damp', { ok: true, value: 2, unit: 'words' }],
    [with_('words'), '3', { ok: true, value: 3, unit: 'words' }],
    [with_('words'), 'soggy', { ok: false, code: 'not-one-of-the-words', position: 0 }],
    [with_('words'), '', { ok: false, code: 'empty', position: 0 }],
    [with_('race'), '2nd', { ok: true, value: 2, unit: 'place' }],
    [with_('race'), '2.5', { ok: true, value: 2.5, unit: 'place' }],
    [with_('race'), '5', { ok: false, code: 'not-a-place', position: 0 }],
    [with_('race'), '0', { ok: false, code: 'not-a-place', position: 0 }],
    [soakUpPlan(), '5.3 cm', expect.objectContaining({ ok: true, value: 53, unit: 'mm' })],
    [soakUpPlan(), '12 to 68', { ok: true, value: 56, unit: 'mm' }],
    [soakUpPlan(), '1.2 cm to 6,85 cm', { ok: true, value: 56.5, unit: 'mm' }],
    [soakUpPlan(), '68 to 12', { ok: true, value: -56, unit: 'mm' }],
    [soakUpPlan(), '15 + 30', { ok: true, value: 45, unit: 'mm' }],
    [soakUpPlan(), '2 cm + 5', { ok: true, value: 25, unit: 'mm' }],
    [soakUpPlan(), '300 - 240', { ok: true, value: 60, unit: 'mm' }],
    [soakUpPlan(), '+5', expect.objectContaining({ ok: true, value: 5 })],
    [soakUpPlan(), '10-12', { ok: false, code: 'start-or-range', position: 0 }],
    [soakUpPlan(), '68 to', expect.objectContaining({ ok: false })],
    [soakUpPlan(), '2 g to 4 g', expect.objectContaining({ ok: false })],
  ])('%#: reads “%s”', (plan, text, wanted) => expect(readEntry(plan, text, { startAndFinish: true })).toEqual(wanted))

  it.each([
    ['used', '300 to 240', 60],
    ['used', '300-240', 60],
    ['used', '300 - 240', 60],
    ['used', '240', 240],
    ['risen', '12 to 68', 56],
    ['risen', '12-68', 56],
  ] as const)('what is %s: reads “%s” as %d', (eachIs, text, value) =>
    expect(
      readEntry(
        withMethod(soakUpPlan(), (method) => ({ ...method, eachIs })),
        text,
      ),
    ).toEqual(expect.objectContaining({ ok: true, value })),
  )

  it('shows what parts come to while they are typed', () => {
    const used = withMethod(soakUpPlan(), (method) => ({ ...method, eachIs: 'used' }))
    const shown = ['300 to 240', '15 + 30', '61', '15 +', 'damp'].map((text) => workedOutEntry(used, text))
    expect(shown).toEqual([60, 45, undefined, undefined, undefined])
  })

  it('asks whether two numbers are a start and a finish, unless the class writes them so', () => {
    expect(readEntry(soakUpPlan(), '10 to 12')).toEqual({ ok: false, code: 'start-or-range', position: 2 })
    expect(writesStartAndFinish([{ entered: '61' }, { entered: '12 to 68' }])).toBe(true)
  })

  it('counts how often each word was chosen', () => {
    const plan = with_('words')
    const said = [3, 3, 2].map((value, place) => reading({ value, unit: 'words', condition: 'card', group: `g${place + 1}` }))
    expect(wordCounts(plan, said).find(({ condition }) => condition === 'card')!.counts).toEqual([0, 1, 2])
  })
})

it('practice readings give results to expect and their wobble, and are never counted', () => {
  const plan = soakUpPlan()
  const practice = [61, 65].map((value) => reading({ value, practice: true }))
  expect(practiceFigures(plan, practice)).toBeUndefined()
  const both = [...practice, reading({ condition: 'card', value: 2, unit: 'cm', practice: true }), reading({ value: 900 })]
  expect(practiceFigures(plan, both)).toMatchObject({ expected: { 'kitchen-roll': 63, card: 20 }, count: 3 })
  expect(practiceFigures(plan, both)!.sd).toBeCloseTo(Math.sqrt(8), 9)
})
