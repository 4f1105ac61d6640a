import { describe, expect, it } from 'vitest'
import { emptyRecord, reading, recordOf, soakUpPlan, twoSeries } from '../../test/soakUp'
import { FIRST_WATCH, KINDS, type LessonRecord, type Plan, type Reading } from '../lesson'
import { withKind, withMethod } from '../test'
import { resultsTable } from '../record'
import { classReport } from './reports'
import {
  agreementSentence,
  boardFindings,
  conditionRows,
  gapSentence,
  gradeSentence,
  overlapSentence,
  sentenceStarters,
  sureSentences,
  unfairSentences,
} from '.'
import { driftOf, everyTable, evidenceOf, judgedBefore, learnedWobble, surerBy, trendOf } from '../evidence'

const GROUPS = ['g1', 'g2', 'g3', 'g4', 'g5', 'g6', 'g7']
const plan = soakUpPlan()
const recordFrom = (readings: Reading[]): LessonRecord => ({ ...emptyRecord, readings })
const evidence = (of: Plan, record: LessonRecord) => evidenceOf(of, record)!

/** Every group three readings of each paper, at these heights. */
function wholeClass(heights: Record<string, number>, own = (_group: number, _place: number) => 0): LessonRecord {
  return recordFrom(
    GROUPS.flatMap((group, g) =>
      Object.entries(heights).flatMap(([condition, height], place) =>
        [1, 2, 3].map((repeat) =>
          reading({ group, condition, repeat, value: height + own(g, place) + ((repeat * 5 + g * 3 + place) % 3) - 1 }),
        ),
      ),
    ),
  )
}
const HEIGHTS = { 'kitchen-roll': 61, tissue: 50, 'writing-paper': 22, card: 14 }

describe('what a board says beside its picture', () => {
  it('is one sentence; nothing that goes with the grade is lost behind the button', () => {
    const record = wholeClass(HEIGHTS)
    const found = boardFindings(plan, plan, record)!
    const [table] = everyTable(plan, record)
    expect([found.said, ...found.more].join(' ')).toBe(sureSentences(plan, table!.evidence).join(' '))
    expect(found.said.match(/[.!?](\s|$)/g)).toHaveLength(1)
    expect(found.grade).toBe('Clear')
    expect(boardFindings(plan, plan, emptyRecord)).toBeUndefined()
  })

  it('has each level of two series once, and a level that only one of them has as well', () => {
    const two = twoSeries()
    expect(conditionRows(two).map(({ name, ids }) => [name, ids.length])).toEqual(
      soakUpPlan().conditions.map(({ label }) => [label, 2]),
    )
    const [, second] = two.series
    const alone = { ...two, conditions: two.conditions.map((one) => (one.id === 'card' ? { ...one, leftOut: true } : one)) }
    expect(conditionRows(alone).at(-1)).toEqual({ name: 'card', ids: [second!.conditions[3]] })
  })

  it('says first what holds the grade back', () => {
    const muddled = soakUpPlan()
    muddled.factors.find(({ id }) => id === 'width')!.exceptions = { 'kitchen-roll': '4 cm' }
    const found = boardFindings(muddled, muddled, wholeClass(HEIGHTS))!
    expect(found.said).toBe('Kitchen roll is not a fair comparison: the width of the strip was different.')
    expect(found.more.join(' ')).toContain('stands out')
  })

  it('speaks of several series with the grade of whether they differ, and with each one’s own behind the button', () => {
    const two = twoSeries()
    const readings = two.series.flatMap(({ conditions }, place) =>
      wholeClass(HEIGHTS).readings.map((one) => {
        const at = plan.conditions.findIndex(({ id }) => id === one.condition)
        return { ...one, id: `${place}${one.id}`, condition: conditions[at]!, value: one.value! + place * 20 }
      }),
    )
    const found = boardFindings(two, two, recordFrom(readings))!
    expect(found).toMatchObject({ grade: 'Clear' })
    expect(found.said).toContain('makes a clear difference')
    for (const { name } of two.series) expect(found.more.join(' ')).toContain(`(${name})`)
    // Series that share no level cannot be held against each other: none speaks for both.
    const apart = recordFrom(readings.filter(({ condition }) => two.series[0]!.conditions.includes(condition)))
    expect(boardFindings(two, two, apart)!.grade).toContain(two.series[0]!.name)
  })
})

describe('a plan that changes after readings exist', () => {
  it.each(KINDS)('still has its evidence, table and report as %s', (kind) => {
    const before = soakUpPlan({ watch: { ...FIRST_WATCH, times: [0, 5], places: ['top', 'bottom'] } })
    for (const from of ['fair-test', 'over-time', 'before-after'] as const) {
      const rows = { 'fair-test': [''], 'over-time': ['t0p1', 't5p1'], 'before-after': ['before', 'after'] }[from]
      const readings = rows.flatMap((moment) =>
        wholeClass(HEIGHTS).readings.map((one, at) => ({ ...one, id: `${moment}${at}`, moment })),
      )
      for (const watch of [before.watch, { ...before.watch, times: [0, 9] }, { ...before.watch, times: [] }]) {
        const changed = withKind({ ...withKind(before, from), watch }, kind)
        expect(() => evidenceOf(changed, recordFrom(readings))).not.toThrow()
        expect(() => [resultsTable(changed, readings), trendOf(changed, recordFrom(readings))]).not.toThrow()
        expect(() => classReport(changed, recordFrom(readings))).not.toThrow()
      }
    }
  })

  it('counts no moment and no repeat that it does not have any more', () => {
    const rows = [reading({ value: 60 }), reading({ repeat: 4, value: 600 }), reading({ moment: 't5', value: 6 })]
    expect(resultsTable(plan, rows)[0]!.results).toEqual([60])
    const again = { ...plan, retests: [{ group: 'g1', condition: 'kitchen-roll', repeat: 4 }] }
    expect(resultsTable(again, rows)[0]!.results).toEqual([60, 600])
  })
})

describe('one condition', () => {
  const alone = soakUpPlan({ conditions: plan.conditions.slice(0, 1) })
  it('has its average and its sentences, and does not say “one reading each” of 21 readings', () => {
    const found = evidence(alone, wholeClass({ 'kitchen-roll': 61 }))
    expect(found).toMatchObject({ grade: 'one-condition', limits: [] })
    expect(gradeSentence(alone, found)).toMatch(
      /^We looked at kitchen roll only: 6\d\.\d.mm on average, from 60.mm to 62.mm in 21 readings\.$/,
    )
    expect(sentenceStarters(alone, found).length).toBeGreaterThan(0)
    expect(surerBy(alone, found)).toEqual([])
  })
})

describe('where nobody measured a wobble', () => {
  const once = recordFrom(
    GROUPS.flatMap((group, g) => [reading({ group, value: 60 + g }), reading({ group, condition: 'card', value: 61 - g })]),
  )
  it('no sentence speaks of one, in numbers or in words', () => {
    const lone = recordFrom(once.readings.filter(({ group }) => group === 'g1'))
    for (const record of [once, lone]) {
      const found = evidence(plan, record)
      expect(found.wobble).toBeUndefined()
      const said = [
        ...sureSentences(plan, found),
        ...sentenceStarters(plan, found),
        overlapSentence(plan, evidence(plan, lone)),
        ...(found.spread ? [gapSentence(plan, found.spread)] : []),
      ].join(' ')
      expect(said).not.toMatch(/wobble|do not overlap/)
    }
  })
})

describe('levels and ties', () => {
  it('are ties in words: nobody is first, and no gap of 0.0 is told', () => {
    const tied = evidence(
      plan,
      wholeClass({ 'kitchen-roll': 50, tissue: 50 }, () => 0),
    )
    const level = { ...tied, tied: ['kitchen-roll', 'tissue'] }
    expect(agreementSentence(plan, level)).toBe('Kitchen roll and tissue came out level.')
    expect(gapSentence(plan, { more: 'tissue', less: 'card', difference: 0.01, wobbles: 0.01 })).toBe(
      'Tissue and card came out level.',
    )
    const twice: Plan = { ...plan, kind: 'before-after' }
    expect(gapSentence(twice, { more: 'before', less: 'after', difference: 0, wobbles: 0 })).toBe(
      'Before and after came out level.',
    )
  })

  it('with two conditions there is no doubt about “the top two”', () => {
    const two = soakUpPlan({ conditions: plan.conditions.slice(0, 2) })
    const found = evidence(two, wholeClass({ 'kitchen-roll': 61, tissue: 50 }))
    expect(found.grade).toBe('clear')
    expect(sentenceStarters(two, { ...found, lead: { ...found.lead!, grade: 'leaning' } }).join()).not.toContain('top two')
  })
})

it('two things before and after: both lost five grams, and each loss is clear though they do not differ', () => {
  const melting = soakUpPlan({ kind: 'before-after', conditions: plan.conditions.slice(0, 2), repeats: 1 })
  const readings = GROUPS.flatMap((group, g) =>
    ['kitchen-roll', 'tissue'].flatMap((condition, place) => [
      reading({ group, condition, moment: 'before', value: 100 + g, unit: 'mm' }),
      reading({ group, condition, moment: 'after', value: 95 + g + (place === g % 2 ? 0.4 : 0), unit: 'mm' }),
    ]),
  )
  const found = evidence(melting, recordFrom(readings))
  expect(found.grade).toBe('same')
  expect(found.fromNothing.map(({ grade }) => grade)).toEqual(['clear', 'clear'])
  expect(sureSentences(melting, found).join(' ')).toMatch(
    /Against no change at all: kitchen roll by −4\.\d.mm \(clear\) and tissue by −4/,
  )
})

describe('all together at one apparatus', () => {
  const arrangement = { ...plan.arrangement, way: 'together' as const }
  const race = withKind(soakUpPlan({ arrangement, conditions: plan.conditions.slice(0, 3), repeats: 5, things: 'fresh' }), 'order')
  it('five identical finishing orders are clear, whoever had which lane', () => {
    const readings = [1, 2, 3, 4, 5].flatMap((repeat) =>
      race.conditions.map(({ id }, place) =>
        reading({ group: GROUPS[(repeat + place) % 7]!, condition: id, repeat, value: place + 1, unit: 'place' }),
      ),
    )
    const found = evidence(race, recordFrom(readings))
    expect(found).toMatchObject({ grade: 'clear', friedman: { blocks: 5 }, agreement: undefined })
    expect(agreementSentence(race, found)).toBe('')
  })

  it('the report says that the class did it once, and no group agrees with itself', () => {
    const together = soakUpPlan({ arrangement })
    expect(JSON.stringify(classReport(together, emptyRecord))).toContain(
      'The class together, at one apparatus, each condition 3 times',
    )
  })
})

describe('fair pairs only', () => {
  const wide = soakUpPlan({
    factors: plan.factors.map((one) => (one.id === 'width' ? { ...one, exceptions: { 'kitchen-roll': '4 cm' } } : one)),
  })
  it('one that differs in another factor is neither ranked nor graded, and what would mend it is named', () => {
    const found = evidence(wide, wholeClass(HEIGHTS))
    expect(found.order).toEqual(['tissue', 'writing-paper', 'card'])
    expect(found.pairs.flatMap(({ a, b }) => [a, b])).not.toContain('kitchen-roll')
    expect(found.summaries).toHaveLength(4)
    expect(unfairSentences(wide, found)).toEqual([
      'Kitchen roll is not a fair comparison: the width of the strip was different. Add kitchen roll with the width of the strip: 2 cm, cut on the guillotine.',
    ])
    expect(sentenceStarters(wide, found).join()).not.toMatch(/kitchen roll/i)
  })

  it('without a fair pair there is no grade', () => {
    const unknown = soakUpPlan({
      conditions: plan.conditions.slice(0, 2),
      factors: plan.factors.map((one) => (one.id === 'depth' ? { ...one, exceptions: { tissue: '?' } } : one)),
    })
    const found = evidence(unknown, wholeClass({ 'kitchen-roll': 61, tissue: 50 }))
    expect(found).toMatchObject({ grade: 'not-fair', order: [], pairs: [] })
    expect(unfairSentences(unknown, found)[0]).toMatch(
      /^Tissue is not a fair comparison: nobody knows the depth in the water\. Add tissue/,
    )
  })
})

describe('while places are empty', () => {
  it('nothing is clear; it is once they are to stay so', () => {
    const open = soakUpPlan({ gapsStay: false })
    const some = recordFrom(wholeClass(HEIGHTS).readings.slice(1))
    expect(evidence(open, some)).toMatchObject({ grade: 'leaning', limits: ['unfinished'] })
    expect(evidence({ ...open, gapsStay: true }, some).grade).toBe('clear')
    expect(evidence(open, wholeClass(HEIGHTS)).grade).toBe('clear')
  })
})

describe('judged anew', () => {
  const things = wholeClass(
    { 'kitchen-roll': 40, tissue: 38, card: 37 },
    (g, place) => [3, -6, 5, -2, 6, -4, 2][(g * 3 + place * 2) % 7]!,
  )
  it('a lesson begun before keeps its old grade beside the new one', () => {
    const old = soakUpPlan({ begunIn: 6, conditions: plan.conditions.filter(({ id }) => id !== 'writing-paper') })
    expect(judgedBefore(old, things)).toBe('clear')
    expect(evidence(old, things).grade).not.toBe('clear')
    expect(judgedBefore({ ...old, begunIn: 7 }, things)).toBeUndefined()
  })
})

it('drift is named with what it could explain, in the order that stations sent', () => {
  const at = (trial: number) => `2026-03-12T10:${String(10 + trial).padStart(2, '0')}:00.000Z`
  const blocks = soakUpPlan({ arrangement: { ...plan.arrangement, order: 'blocks' } })
  const rows = GROUPS.flatMap((group, g) =>
    Array.from({ length: 12 }, (_, trial) => {
      const condition = plan.conditions[(Math.floor(trial / 3) + g) % 4]!.id
      return reading({
        group,
        condition,
        repeat: (trial % 3) + 1,
        value: 30 + 2 * trial + ((trial + g) % 2),
        by: 'station',
        at: at(trial),
      })
    }),
  )
  const drift = driftOf(blocks, recordFrom(rows))!
  expect(drift.slope).toBeCloseTo(2, 1)
  expect(drift.t).toBeGreaterThan(3)
  expect(driftOf(plan, wholeClass(HEIGHTS))).toBeUndefined()
})

it('what the class’s own readings show of its wobble answers for what was assumed', () => {
  const assumed = withMethod(plan, (method) => ({ ...method, trialWobble: null }))
  expect(learnedWobble(assumed, recordOf({ card: [1, 2, 3] }, 3).readings)).toBeUndefined()
  const { sd } = learnedWobble(assumed, wholeClass(HEIGHTS).readings)!
  expect(sd).toBeCloseTo(1, 6)
})
