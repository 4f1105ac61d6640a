import { randomUUID } from 'node:crypto'
import { measuredSo } from '../../test/measuredSo'
import { describe, expect, it } from 'vitest'
import golden from '../../test/golden/pairs.json'
import { expectClose } from '../../test/close'
import { counter, soakUpPlan } from '../../test/soakUp'
import { reading } from '../../test/soakUp'
import { readConclusion } from '../agree'
import { seededRandom } from '../chance'
import { graphChoices, resultsGraph } from '../charts'
import { writeReadingsCsv, readReadingsCsv } from '../formats'
import { EMPTY_RECORD, type LessonRecord, type Plan } from '../lesson'
import { predictionsFor, readEntry } from '../test'
import { nearnessOfPrediction, resultsForPredictions } from '../predictions'
import { rehearse } from '../rehearsal'
import { chartWords, podiumLines, sentenceStarters, sureSentences } from '../wording'
import { classReport } from '../wording/reports'
import { evidenceOf, weighSorts, wordsApart } from '.'

describe.each(golden.words)('golden: $name', ({ input, expected, tolerance }) => {
  const words = [...new Set(input.map(({ word }) => word))]
  const said = input.map(({ group, condition, word }) => ({ group, condition, value: 1 + words.indexOf(word) }))

  it('is as far apart as elsewhere', () => {
    const { statistic, p } = wordsApart(said)!
    expectClose(statistic, expected.statistic)
    expect(Math.abs(p - expected.p)).toBeLessThan(tolerance.p)
  })
})

/** Another generator than the code's own. */
function lehmer(seed: number): () => number {
  let state = seed
  return () => (state = (state * 48271) % 2147483647) / 2147483647
}

/** Each group has its own liking for words, which says nothing of the conditions. */
function classOf(random: () => number, groups: number, conditions: number, repeats: number, differs = 0) {
  return Array.from({ length: groups }, (_, group) => {
    const liking = random()
    return Array.from({ length: conditions }, (_, condition) =>
      Array.from({ length: repeats }, () => {
        const of = random() < differs ? condition % 3 : random() < liking ? 0 : 1 + Math.floor(2 * random())
        return { group: `g${group}`, condition: `c${condition}`, value: of + 1 }
      }),
    ).flat()
  }).flat()
}

it('where nothing differs it is clear in about one class of twenty, where much does in nearly all', () => {
  const random = lehmer(20261130)
  const share = (classes: number, make: () => ReturnType<typeof classOf>) =>
    Array.from({ length: classes }, () => weighSorts(make()).grade).filter((grade) => grade === 'clear').length / classes
  expect(share(150, () => classOf(random, 6, 3, 3))).toBeLessThan(0.1)
  expect(share(40, () => classOf(random, 6, 3, 3, 0.7))).toBeGreaterThan(0.9)
})

const WORDS = ['left', 'right', 'straight on']
const plan = measuredSo(soakUpPlan({ kind: 'describe' }), { way: 'sorts', words: WORDS, expected: {} })
/** Kitchen roll goes left, tissue right, everything else anywhere; the groups agree. */
function recordFor(whole: Plan): LessonRecord {
  const random = seededRandom(4)
  const readings = whole.groups.flatMap(({ id: group }) =>
    whole.conditions.flatMap(({ id: condition }, at) =>
      [1, 2, 3].map((repeat) => {
        const value = at < 2 && random() < 0.8 ? at + 1 : 1 + Math.floor(3 * random())
        return reading({ id: randomUUID(), group, condition, repeat, value, unit: 'sorts', entered: WORDS[value - 1]! })
      }),
    ),
  )
  return { ...EMPTY_RECORD, readings }
}

describe('words without an order', () => {
  const record = recordFor(plan)
  const evidence = evidenceOf(plan, record)!

  it('are read as they are written, or by their number, and go out and come back as words', () => {
    expect(readEntry(plan, 'Straight on')).toEqual({ ok: true, value: 3, unit: 'sorts' })
    expect(readEntry(plan, 'up')).toMatchObject({ ok: false, code: 'not-one-of-the-words' })
    const csv = writeReadingsCsv(plan, record.readings)
    expect(csv).toContain('straight on')
    const back = readReadingsCsv(plan, csv, counter('q'), '2026-03-12T10:41:00.000Z')
    expect(back.ok && back.readings.map(({ value, unit }) => [value, unit])).toEqual(
      record.readings.map(({ value, unit }) => [value, unit]),
    )
  })

  it('have no order, no average and no winner, but what most said', () => {
    expect(evidence).toMatchObject({ grade: 'clear', order: [], spread: undefined, lead: undefined })
    expect(evidence.sorted!.said.slice(0, 2).map(({ most }) => most)).toEqual([[1], [2]])
    expect(podiumLines(plan, evidence)).toEqual([])
    expect(predictionsFor(plan)).toEqual(['number'])
    const said = sureSentences(plan, evidence).join(' ')
    expect(said).toContain('kitchen roll: “left”')
    expect([said, ...sentenceStarters(plan, evidence)].join(' ')).not.toMatch(/average|first|last|undefined|NaN|overlap/)
  })

  it('only a word that came most often is underlined as right, and no other winner is named', () => {
    expect(readConclusion('Tissue went right the most. We are sure.', plan, evidence).right).toEqual([{ from: 12, to: 17 }])
    for (const text of [
      'Tissue went left the most. We are sure.',
      'Card was first with 61 mm.',
      'Kitchen roll is higher than card.',
    ]) {
      const { right, doubts } = readConclusion(text, plan, evidence)
      expect(right).toEqual([])
      expect(doubts.map(({ code }) => code)).not.toContain('names-another-winner')
    }
    expect(readConclusion('The kind of paper makes no difference.', plan, evidence).doubts[0]).toMatchObject({
      code: 'claims-no-difference',
    })
  })

  it('are stacked, and no bar makes an amount of them', () => {
    const { best, choices } = graphChoices(plan, record)
    expect([best, choices.length]).toEqual(['words', 1])
    expect(chartWords(plan, resultsGraph(plan, record)!)).toMatch(/A kitchen roll: left \d+/)
    const table = classReport(plan, record).blocks.find((block) => block.kind === 'table')!
    expect(table).toMatchObject({ head: ['Condition', 'Most often', ...WORDS] })
  })

  it('a guess is right or not, and none is near', () => {
    const found = resultsForPredictions(plan, record)!
    const values = { 'kitchen-roll': 1, tissue: 3 }
    expect(nearnessOfPrediction({ as: 'number', order: [], values }, found)).toEqual({
      right: 1,
      all: 2,
      of: 'words',
      away: undefined,
    })
  })

  it('of a set-up that is not fair everything that was said is shown, and nothing graded', () => {
    const factors = plan.factors.map((factor) =>
      factor.id === plan.changed
        ? factor
        : { ...factor, exceptions: Object.fromEntries(plan.conditions.map(({ id }) => [id, id])) },
    )
    const unfair = { ...plan, factors }
    const judged = evidenceOf(unfair, record)!
    expect(judged).toMatchObject({ grade: 'not-fair', sorted: { test: undefined } })
    expect(judged.sorted!.said).toHaveLength(4)
    expect(classReport(unfair, record).blocks.find((block) => block.kind === 'table')).toMatchObject({
      rows: expect.arrayContaining([expect.arrayContaining(['A kitchen roll'])]),
    })
  })

  it('sentences say what the counts carry: one word for all, a small share, the same thing again', () => {
    const said = (readings: LessonRecord['readings'], whole = plan) => {
      const judged = evidenceOf(whole, { ...EMPTY_RECORD, readings })!
      return sureSentences(whole, judged).join(' ')
    }
    expect(said(record.readings.map((row) => ({ ...row, value: 1 })))).toContain('Everybody said the same of everything.')
    const alone = record.readings.filter(({ group }) => group === 'g1')
    const drawn = alone.map((row, place) => ({ ...row, value: 1 + (place % 2) }))
    expect(said(drawn, { ...plan, things: 'same', groups: plan.groups.slice(0, 1) })).not.toContain('got other words')
  })

  it('the same thing again counts once: its words are dealt out together', () => {
    const twice = ['A', 'B', 'C', 'D'].flatMap((group) =>
      ['x', 'y'].flatMap((condition, at) => [0, 1, 2, 3].map(() => ({ group, condition, value: at + 1 }))),
    )
    expect(wordsApart(twice)!.p).toBeLessThan(0.01)
    expect(wordsApart(twice, true)!.p).toBeGreaterThan(0.05)
  })

  it('can be rehearsed on what the teacher thinks most will say', () => {
    const expected = Object.fromEntries(plan.conditions.map(({ id }, place) => [id, 1 + (place % 3)]))
    const found = rehearse(measuredSo(plan, { expected }), 5)!
    expect(found.grades).toEqual({ clear: 1 })
    expect(found.wrong).toBe(0)
    expect(rehearse(plan, 5)).toBeUndefined()
  })
})
