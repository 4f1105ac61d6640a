import fc from 'fast-check'
import { trialOrderOf } from '../arrangement'
import { measuredSo } from '../../test/measuredSo'
import { describe, expect, it } from 'vitest'
import { conclusion, counter, emptyRecord, recordOf, reading, soakUpPlan } from '../../test/soakUp'
import { demoLessons } from '../../demo/lessons'
import {
  emptyPlan,
  FIRST_WATCH,
  KINDS,
  newMaterial,
  newRemark,
  NOTHING_SAID,
  withGroups,
  type LessonRecord,
  type Plan,
} from '../lesson'
import { findingWords, fixWords } from '../wording'
import { boardViewFor, isPlanFix, mend, numbersAreShown, placeToLookAt, readinessOf, secondLook, type FindingCode } from '.'

const codes = (plan: Plan, record: LessonRecord = emptyRecord) => secondLook(plan, record).map((finding) => finding.code)
const [finished, halfPlanned] = demoLessons('2026-03-12', counter('d')) as [
  { plan: Plan; record: LessonRecord },
  { plan: Plan; record: LessonRecord },
]

const numbers = (...labels: string[]): Plan =>
  soakUpPlan({
    conditionsAs: 'numbers',
    conditions: labels.map((label, place) => ({ id: `n${place}`, label, baseline: false, leftOut: false })),
  })

/** Four papers that differ in width, depth and time as well. */
function muddle(): Plan {
  const exceptions: Record<string, Record<string, string>> = {
    width: { tissue: '3 cm' },
    depth: { card: '2 cm' },
    time: { card: '30 s', 'writing-paper': '30 s' },
  }
  return soakUpPlan({ factors: soakUpPlan().factors.map((one) => ({ ...one, exceptions: exceptions[one.id] ?? {} })) })
}

const withMaterial = (change: Partial<Plan['materials'][number]>) =>
  soakUpPlan({ materials: [{ ...newMaterial('thing', 'thing'), ...change }] })

/** Every group's results rise by 3 mm from trial to trial, whatever the paper. */
function creeping(): LessonRecord {
  const plan = soakUpPlan()
  const readings = plan.groups.flatMap(({ id: group }) =>
    trialOrderOf(plan)
      .get(group)!
      .map(({ condition, repeat }, trial) => reading({ group, condition, repeat, value: 20 + 3 * trial + (trial % 2) })),
  )
  return { ...emptyRecord, readings }
}

describe('secondLook', () => {
  it('finds in the demo class what was put there', () => {
    expect(codes(finished.plan, finished.record)).toEqual(['doubtful', 'short', 'gaps', 'not-sure', 'conclusion-missing'])
    expect(codes(halfPlanned.plan)).toEqual([
      'factor-differs',
      'how-not-said',
      'one-reading-each',
      'short',
      'caution',
      'may-over-run',
      'predictions-missing',
    ])
  })

  it('is empty but for notes when all is well', () => {
    const plan = soakUpPlan({ date: '2026-03-12', cautionsAcknowledged: ['spill', 'blade'] })
    expect(codes(plan)).toEqual(['nothing-wondered', 'predictions-missing'])
  })

  const cases: [FindingCode, Plan, LessonRecord?][] = [
    ['nothing-to-change', soakUpPlan({ changed: null })],
    [
      'sounds-like-a-guess',
      soakUpPlan({
        wonder: { ...NOTHING_SAID, noticed: [newRemark('a', 'it must be thirsty')] },
      }),
    ],
    ['nothing-to-measure', soakUpPlan({ measured: null })],
    ['too-few-conditions', soakUpPlan({ conditions: soakUpPlan().conditions.slice(0, 1) })],
    [
      'label-empty',
      soakUpPlan({ conditions: soakUpPlan().conditions.map((one) => ({ ...one, label: one.id === 'card' ? ' ' : one.label })) }),
    ],
    [
      'same-label',
      soakUpPlan({
        conditions: soakUpPlan().conditions.map((one) => ({ ...one, label: one.id === 'card' ? 'Tissue ' : one.label })),
      }),
    ],
    ['number-unreadable', soakUpPlan({ conditionsAs: 'numbers' })],
    [
      'too-few-levels',
      soakUpPlan({
        conditionsAs: 'numbers',
        conditions: ['20 cm', '0.4 m'].map((label, place) => ({ id: `n${place}`, label, baseline: false, leftOut: false })),
      }),
    ],
    ['too-few-levels', numbers('20', '40', '60', '80')],
    ['uneven-levels', numbers('10', '20', '30', '40', '90')],
    ['narrow-levels', numbers('100', '110', '120', '130', '140')],
    ['muddled', muddle()],
    ['no-times', soakUpPlan({ kind: 'over-time' })],
    ['too-few-words', measuredSo(soakUpPlan({ kind: 'describe' }), { way: 'words', words: ['dry'] })],
    ['factor-differs', halfPlanned.plan],
    [
      'factor-unknown',
      soakUpPlan({
        factors: soakUpPlan().factors.map((one) => (one.id === 'width' ? { ...one, exceptions: { card: '?' } } : one)),
      }),
    ],
    ['how-not-said', halfPlanned.plan],
    ['one-reading-each', halfPlanned.plan],
    [
      'too-few-repeats',
      soakUpPlan({ measures: soakUpPlan().measures.map((one) => ({ ...one, method: { ...one.method, trialWobble: 44 } })) }),
    ],
    ['no-groups', soakUpPlan({ groups: [] })],
    ['kit-empty', soakUpPlan({ materials: [] })],
    ['short', halfPlanned.plan],
    ['caution', soakUpPlan()],
    ['over-run', soakUpPlan({ repeats: 8 })],
    ['no-date', soakUpPlan()],
    ['no-school-that-day', soakUpPlan({ date: '2026-03-14' })],
    [
      'readings-lost',
      soakUpPlan({ date: '2026-03-12', kind: 'over-time', watch: { ...FIRST_WATCH, unit: 'day', times: [0, 2, 4] } }),
    ],
    ['own-caution', soakUpPlan({ ownCautions: [{ id: 'own', text: 'The floor was waxed.', doer: 'child', acknowledged: false }] })],
    ['supply-unreadable', withMaterial({ pack: '2..5 g' })],
    ['amount-unreadable', withMaterial({ amount: 'some' })],
    ['whose-amount', withMaterial({ name: 'string', amount: '3 x 25 cm', per: 'group', perSaid: false })],
    [
      'things-wait',
      {
        ...withMaterial({ use: 'again', goesRound: 1 }),
        clock: { ...soakUpPlan().clock, trial: { setUp: 5, run: 5, read: 30, reset: 5 } },
      },
    ],
    [
      'step-moved',
      {
        ...withMaterial({ preparation: { kind: 'freeze', words: '', minutes: 10, secondsEach: 0, hours: 12 } }),
        date: '2026-03-12',
        clock: { ...soakUpPlan().clock, start: '10:30' },
      },
    ],
    ['doubtful', finished.plan, finished.record],
    ['two-in-one-place', soakUpPlan(), { ...emptyRecord, readings: [reading(), reading()] }],
    [
      'empties-missing',
      soakUpPlan({ measures: measuredSo(soakUpPlan(), { unit: 'g', weighsEmpty: true }).measures }),
      { ...emptyRecord, readings: [reading({ unit: 'g', value: 95 })] },
    ],
    ['strays', soakUpPlan(), { ...emptyRecord, readings: [reading({ group: 'gone' })] }],
    ['homeless', soakUpPlan(), { ...emptyRecord, readings: [reading({ repeat: 5 })] }],
    ['wrong-kind-of-unit', soakUpPlan(), { ...emptyRecord, readings: [reading({ unit: 'g' })] }],
    [
      'hopeless',
      soakUpPlan({ measures: soakUpPlan().measures.map((one) => ({ ...one, method: { ...one.method, trialWobble: 200 } })) }),
    ],
    ['one-group-same-thing', soakUpPlan({ things: 'same', groups: soakUpPlan().groups.slice(0, 1) })],
    ['blocks', soakUpPlan({ arrangement: { ...soakUpPlan().arrangement, order: 'blocks' } })],
    ['gaps', soakUpPlan({ gapsStay: false }), { ...emptyRecord, readings: [reading()] }],
    ['drift', soakUpPlan(), creeping()],
    ['conclusion-doubt', finished.plan, { ...finished.record, conclusions: [conclusion({ text: 'It makes no difference.' })] }],
  ]

  it.each(cases)(
    '%s comes with a reason and a button, and the button that changes the plan mends it',
    (code, plan, record = emptyRecord) => {
      const found = secondLook(plan, record).find((finding) => finding.code === code)!
      const words = findingWords(found, plan)
      expect(Object.values(words).every((text) => text.length > 3 && !text.includes('undefined'))).toBe(true)
      expect(found.fixes.length).toBeGreaterThan(0)
      for (const fix of found.fixes) {
        expect(fixWords(fix, plan).length).toBeGreaterThan(2)
        if (!isPlanFix(fix)) continue
        const mended = secondLook(mend(plan, fix, counter('new')), record)
        expect(mended.map(({ key }) => key)).not.toContain(found.key)
      }
    },
  )

  it('never breaks on a half-filled or contradictory plan', () => {
    const text = fc.oneof(fc.constant(''), fc.string({ maxLength: 30 }), fc.constant('🧪'), fc.constant('40 cm'))
    const anyPlan = fc.record({
      kind: fc.constantFrom(...KINDS),
      way: fc.constantFrom('number' as const, 'words' as const, 'race' as const, 'balance' as const),
      times: fc.array(fc.constantFrom(0, 1, 2.5, 7), { maxLength: 4 }),
      changed: fc.constantFrom(null, 'paper', 'width', 'gone'),
      measured: fc.constantFrom(null, 'height', 'gone'),
      conditionsAs: fc.constantFrom('kinds' as const, 'numbers' as const),
      conditions: fc.array(
        fc.record({ id: fc.constantFrom('a', 'b', 'c'), label: text, baseline: fc.boolean(), leftOut: fc.boolean() }),
        { maxLength: 12 },
      ),
      repeats: fc.integer({ min: 1, max: 20 }),
      practice: fc.integer({ min: 0, max: 5 }),
      children: fc.integer({ min: 0, max: 200 }),
    })
    fc.assert(
      fc.property(anyPlan, (change) => {
        const { way, times, ...rest } = change
        const { measures } = measuredSo(soakUpPlan(), { way })
        const plan = { ...soakUpPlan(), ...rest, measures, watch: { ...FIRST_WATCH, times, places: ['top', 'bottom'] } }
        const findings = secondLook(plan, finished.record)
        expect(new Set(findings.map(({ severity }) => severity)).size).toBeLessThanOrEqual(3)
        for (const finding of findings) expect(findingWords(finding, plan).title).not.toContain('undefined')
        expect(readinessOf(plan, finished.record, findings).level).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: 150 },
    )
  })
})

describe('readinessOf', () => {
  it('fills the beaker as the lesson goes, and names the next stop', () => {
    const levels = [emptyPlan('Puffin', 26, counter('g')), soakUpPlan(), finished.plan].map((plan, place) => {
      const record = place === 2 ? finished.record : emptyRecord
      return readinessOf(plan, record, secondLook(plan, record))
    })
    expect(levels.map(({ level }) => level)).toEqual([...levels.map(({ level }) => level)].sort((a, b) => a - b))
    expect(levels[0]).toMatchObject({ level: 0, next: 'wonder' })
    expect(levels[2]!.stops.find(({ stop }) => stop === 'test')).toMatchObject({ bead: 'half', troubles: 1 })
  })
})

it('withGroups keeps the groups that stay, with their ids, and splits the seats evenly', () => {
  const plan = soakUpPlan()
  const more = withGroups(plan, 9, counter('new'))
  expect(more.groups.slice(0, 7).map(({ id }) => id)).toEqual(plan.groups.map(({ id }) => id))
  expect(more.groups.map(({ seats }) => seats)).toEqual([3, 3, 3, 3, 3, 3, 3, 3, 2])
  expect(new Set(more.groups.map(({ name }) => name)).size).toBe(9)
  expect(withGroups(plan, 2, counter('new')).groups.map(({ name }) => name)).toEqual(['Alder', 'Birch'])
})

it('the desk opens on what is asked about, else on the first gap', () => {
  const { plan, record } = finished
  const findings = secondLook(plan, record)
  const asked = findings.find(({ code }) => code === 'doubtful')
  expect(placeToLookAt(plan, record.readings, findings)!.kept.map(({ id }) => id)).toContain(
    asked?.code === 'doubtful' ? asked.reading : '',
  )
  expect(placeToLookAt(soakUpPlan(), [reading()], [])).toMatchObject({ condition: 'tissue', repeat: 1 })
})

it('boardViewFor follows the class', () => {
  const plan = soakUpPlan({ gapsStay: false })
  const all = recordOf(Object.fromEntries(plan.conditions.map(({ id }) => [id, Array.from({ length: 21 }, () => 20)])), 7)
  expect(boardViewFor(plan, emptyRecord)).toBe('question')
  expect(boardViewFor(plan, { ...emptyRecord, predictions: finished.record.predictions })).toBe('predict')
  expect(boardViewFor(plan, { ...emptyRecord, readings: [reading()] })).toBe('test')
  expect(boardViewFor(plan, all)).toBe('results')
  expect(numbersAreShown(plan, [reading()], { results: 'quiet' })).toBe(false)
  expect(numbersAreShown(plan, [reading()], { results: 'live' })).toBe(true)
  expect(numbersAreShown(plan, all.readings, { results: 'quiet' })).toBe(true)
})
