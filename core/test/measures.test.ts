import { describe, expect, it } from 'vitest'
import { reading, soakUpPlan, twoMeasures } from '../../test/soakUp'
import { evidenceOf, everyTable } from '../evidence'
import { readReadingsCsv, writeReadingsCsv } from '../formats'
import { checkReading, countedReadings, gridRows, nextTrial, progressOf, trialResults } from '../record'
import { readForClass } from '../agree'
import { doubtWordsOfConclusion, question, readingHeadings, tableName } from '../wording'
import { classReport } from '../wording/reports'
import {
  atMoment,
  backIntoWhole,
  eachMeasure,
  everyMomentOf,
  forMeasure,
  measuredCards,
  withFirstMeasured,
  withKind,
  withMeasuredToo,
  withoutMeasured,
} from '.'
import { EMPTY_RECORD, type LessonRecord } from '../lesson'

const plan = twoMeasures()
const HEIGHTS = { 'kitchen-roll': [60, 62, 61], card: [14, 15, 14] }
const DRIPS = { 'kitchen-roll': [9.8, 10.4, 10.1], card: [10.2, 9.7, 10.3] }
/** Six groups: heights differ clearly, dripping does not. */
const record: LessonRecord = {
  ...EMPTY_RECORD,
  readings: ['g1', 'g2', 'g3', 'g4', 'g5', 'g6'].flatMap((group, place) =>
    (['kitchen-roll', 'card'] as const).flatMap((condition) =>
      [0, 1, 2].flatMap((at) => [
        reading({ group, condition, repeat: at + 1, value: HEIGHTS[condition][(at + place) % 3]! }),
        reading({ group, condition, repeat: at + 1, moment: '@seconds', unit: 's', value: DRIPS[condition][(at + place) % 3]! }),
      ]),
    ),
  ),
}

describe('a lesson that measures two things', () => {
  it('asks for both in one question, and for one after the other of each trial', () => {
    expect(question(plan)).toBe(
      'How does the kind of paper change how high water climbs in 60\u00a0s and how long the strip drips?',
    )
    expect(readingHeadings(plan).slice(0, 4)).toEqual(['1: mm', '1: s', '2: mm', '2: s'])
    expect(gridRows(plan, [], false)[0]).toHaveLength(4 * 3 * 2)
    const [first] = progressOf(plan, [])
    const trial = nextTrial(plan, first!)!
    const { group, condition, repeat } = trial
    expect(trial.moment).toBe('')
    const [after] = progressOf(plan, [reading({ group, condition, repeat })])
    expect(nextTrial(plan, after!)).toMatchObject({ condition, repeat, moment: '@seconds' })
  })

  it('keeps their readings, results and grades apart', () => {
    expect(countedReadings(plan, record.readings).every(({ unit }) => unit === 'mm')).toBe(true)
    const [height, drips] = eachMeasure(plan)
    expect(trialResults(drips!, record.readings)).toHaveLength(36)
    expect(evidenceOf(height!, record)!.grade).toBe('clear')
    const tables = everyTable(plan, record)
    expect(tables.map(({ evidence }) => evidence.grade)).toEqual(['clear', 'same'])
    expect(tables.map((table) => tableName(table, tables))).toEqual(['how high water climbs in 60 s', 'how long the strip drips'])
    const { blocks } = classReport(plan, record)
    expect(blocks.filter(({ kind }) => kind === 'chart')).toHaveLength(2)
  })

  it('asks about a number among the fellows of its own measure', () => {
    const place = { group: 'g7', condition: 'card', repeat: 1 }
    const asked = (moment: string, value: number, unit: 'mm' | 's') =>
      checkReading(plan, record.readings, { ...place, moment, value, unit, entered: String(value) }).map(({ code }) => code)
    expect(asked('@seconds', 10, 's')).toEqual([])
    expect(asked('@seconds', 100, 's')).toEqual(['slip-point'])
    expect(asked('', 14, 'mm')).toEqual([])
    expect(asked('', 100, 'mm').length).toBeGreaterThan(0)
  })

  it('reads the class’s sentence against the table that each part speaks of', () => {
    const codes = (text: string) => readForClass(text, plan, record).doubts.map(({ code }) => code)
    const true_ = 'We are sure that kitchen roll climbed highest, 61 mm against 14 mm, and it dripped for 10 s like card.'
    expect(codes(true_)).toEqual([])
    const [wrong] = readForClass(true_.replace('10 s', '25 s'), plan, record).doubts
    expect(doubtWordsOfConclusion(wrong!, plan).text).toBe('The table has 10.10\u202fs for kitchen roll.')
    expect(codes(true_.replace('61 mm', '10 mm'))).toEqual(['wrong-number'])
    expect(codes('Card climbed highest with 61 mm, that is clear.')).toContain('names-another-winner')
  })

  it('comes back from CSV reading by reading', () => {
    const rows = record.readings.map((one) => ({ ...one, id: crypto.randomUUID() }))
    const back = readReadingsCsv(plan, writeReadingsCsv(plan, rows), () => 'new', '2026-03-12T11:00:00.000Z')
    expect(back).toEqual({ ok: true, readings: rows })
  })
})

describe('the Measure tray', () => {
  it('keeps the readings of before with the card of before, whatever comes first', () => {
    const turned = withFirstMeasured(plan, 'seconds')
    expect(measuredCards(turned).map(({ id }) => id)).toEqual(['seconds', 'height'])
    expect(everyMomentOf(turned).map(({ id }) => id)).toEqual(['@seconds', ''])
    expect(countedReadings(turned, record.readings).every(({ unit }) => unit === 's')).toBe(true)
    const alone = withoutMeasured(plan, 'height')
    expect(alone).toMatchObject({ measured: 'seconds', alsoMeasured: [] })
    expect(countedReadings(alone, record.readings)).toHaveLength(36)
    expect(countedReadings(withMeasuredToo(alone, 'height'), record.readings)).toHaveLength(36)
  })

  it('takes three cards and no fourth, one for an order, and counts swapped cards of a simple lesson as before', () => {
    const four = ['a', 'b', 'c'].reduce(
      (now, id) => withMeasuredToo({ ...now, measures: [...now.measures, { ...now.measures[0]!, id }] }, id),
      soakUpPlan(),
    )
    expect(measuredCards(four).map(({ id }) => id)).toEqual(['height', 'a', 'b'])
    expect(measuredCards(withKind(four, 'order'))).toHaveLength(1)
    const swapped = withFirstMeasured({ ...soakUpPlan(), measures: plan.measures }, 'seconds')
    expect(countedReadings(swapped, [reading({ unit: 's', value: 4 })])).toHaveLength(1)
  })

  it('takes what is changed of one measure back into the whole lesson', () => {
    const view = forMeasure(plan, 'seconds')
    expect(backIntoWhole(plan, view, { ...view, repeats: 5 })).toEqual({ ...plan, repeats: 5 })
    expect(atMoment(plan, '@gone').measured).toBe('height')
  })
})
