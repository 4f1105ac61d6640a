import { expect, it } from 'vitest'
import type { TermNeed, TermWeek } from '../../term'
import { emptyWeekWords, laidLines, occasionWords, termPlanReport, weekWords } from '.'

const week = (from: string, off?: string): TermWeek['week'] => ({ from, to: from, open: off === undefined ? [from] : [], off })
const read = (day: string, why?: 'weekend') => ({ after: 0, day, off: { why, name: '' } })
const LAID: NonNullable<TermWeek['laid']> = {
  ...{ day: '2027-01-07', lost: 1, candidate: 'ice', byHand: false },
  readings: [read('2027-01-07'), read('2027-01-09', 'weekend')],
  practises: ['measuring', 'kind:over-time', 'measure:temperature'],
  fresh: ['kind:over-time', 'measure:temperature'],
  short: [
    { thing: 'Thermometer', why: 'taken' },
    { thing: 'String', why: 'too-few' },
  ],
}
const WEEKS: TermWeek[] = [
  { week: week('2027-01-04'), standing: [], laid: LAID, isOpen: true },
  {
    week: week('2027-01-11'),
    standing: [{ id: 's', title: '', date: '2027-01-14', kind: 'order', practises: ['measuring', 'kind:order'] }],
    laid: undefined,
    isOpen: false,
  },
  { week: week('2027-01-18', 'Snow week'), standing: [], laid: undefined, isOpen: false },
]

it('a week of a term says its day, what is practised for the first time, and what stands against it', () => {
  expect(WEEKS.map(weekWords)).toEqual(['Thu 7 Jan', 'Thu 14 Jan', 'Week of Mon 18 Jan'])
  expect(laidLines(LAID)).toEqual([
    'For the first time: watch over time and reading a thermometer',
    'Read on Thu 7 Jan and Sat 9 Jan',
    'Nobody is there on Sat 9 Jan: choose what to do in its Clock',
    'Other lessons have then: Thermometer',
    'Too few in the cupboard: String',
  ])
  const all = laidLines({ ...LAID, fresh: ['noticing', 'asking', 'measuring', 'repeating', 'graphing'] })
  expect(all[0]).toBe('For the first time: noticing closely, asking questions and measuring and 2 more things')
  expect([
    emptyWeekWords(WEEKS[2]!),
    emptyWeekWords({ week: week(''), isOpen: true }),
    emptyWeekWords({ week: week(''), isOpen: false }),
  ]).toEqual(['No school: Snow week', 'Free', 'Not this week'])
  expect(occasionWords('fair-testing')).toBe('Making a test fair')
})

it('a term on paper counts what is practised, and lists what to buy apart from what the cupboard does not list', () => {
  const needs: TermNeed[] = [
    { name: 'String', unit: 'm', needed: 9, there: 4, short: 5, packs: { count: 1, leftOver: 15, cost: 3 }, lessons: ['Ice'] },
    { name: 'Card', unit: 'pieces', needed: 7, there: 0, short: 7, packs: undefined, lessons: ['Ice'] },
    { name: 'Ruler', unit: 'pieces', needed: 7, there: 9, short: 0, packs: undefined, lessons: ['Ice'] },
    { name: 'ice cubes', unit: 'pieces', needed: 60, there: undefined, short: 0, packs: undefined, lessons: ['Ice'] },
  ]
  const plan = { className: 'Wren', from: '2027-01-04', to: '2027-01-22', weeks: WEEKS, titles: { ice: 'Ice' }, needs }
  const { question, blocks } = termPlanReport({ ...plan, practised: ['measuring', 'kind:describe'] }, 'GBP')
  const tables = blocks.flatMap((block) => (block.kind === 'table' ? [block] : []))
  expect(question).toBe('2 investigations')
  expect(tables[0]!.rows.map(([, name]) => name)).toEqual(['Ice', 'Lesson without a name', 'No school: Snow week'])
  expect(tables[1]!.rows).toContainEqual(['Measuring', '1 time', '2 times'])
  expect(tables[1]!.rows).toContainEqual(['Describe', '1 time', 'not yet'])
  expect(tables[2]!.rows.map(([thing, , , buy, cost]) => [thing, buy, cost])).toEqual([
    ['String', '1 pack', '£3.00'],
    ['Card', '7', ''],
  ])
  expect(blocks).toContainEqual({ kind: 'text', text: 'In all £3.00, 1 thing without a price.' })
  expect(tables[3]!.rows.map(([thing]) => thing)).toEqual(['ice cubes'])
})
