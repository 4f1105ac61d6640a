import { fitOf } from '../core/clock'
import { measuredSo } from './measuredSo'
import { evidenceOf, findTrend } from '../core/evidence'
import { matchColumns } from '../core/formats'
import { bookingsOf, needsOf, NO_SCHOOL, takesOf, USUAL_HELD, type School, type Thing } from '../core/kit'
import { EMPTY_RECORD, newRemark, type Plan, type Reading } from '../core/lesson'
import { INVESTIGATIONS } from '../schemas/investigations'
import { planFrom } from '../core/test'
import { conclusion, counter, reading, recordOf, soakUpPlan, twoMeasures, twoSeries } from './soakUp'

// What the examples in the doc comments of core may name besides core itself.
export { INVESTIGATIONS, conclusion, counter, reading, recordOf, soakUpPlan }
export const noRecord = EMPTY_RECORD
export const newId = counter('id')

/** Soak-up strips: four papers (kitchen-roll, tissue, writing-paper, card), seven groups g1 to g7, three repeats. */
export const plan = soakUpPlan()
/** Kitchen roll and card measured by two groups, twice each. */
export const record = recordOf({ 'kitchen-roll': [60, 62, 61, 60], card: [14, 15, 14, 16] }, 2)
export const evidence = evidenceOf(plan, record)!
export const fit = fitOf(plan)
export const needs = needsOf(plan)

/** The same strips, each group at all papers one after the other. */
export const circuit = soakUpPlan({ arrangement: { ...plan.arrangement, way: 'circuit' } })
/** Cress in the light and in the dark, read on days 0, 2, 4 and 7. */
export const sprouts = planFrom(INVESTIGATIONS['sprout-watch']!, 'Puffin', 26, counter('s'))
/** What is measured is said in words. */
export const inWords = measuredSo(plan, { way: 'words' })
/** Height and dripping of each strip. */
export const inTwoMeasures = twoMeasures()
/** Every paper in strips of two widths. */
export const inTwoSeries = twoSeries()
/** Read at 0 and 5 minutes, at the top and at the bottom. */
export const inTwoPlaces = soakUpPlan({ kind: 'over-time', watch: { ...plan.watch, times: [0, 5], places: ['top', 'bottom'] } })
/** Conditions that are numbers. */
export const lengths = (...labels: string[]): Plan =>
  soakUpPlan({
    conditionsAs: 'numbers',
    conditionUnit: 'cm',
    conditions: labels.map((label, place) => ({ id: `c${place}`, label, baseline: place === 0, leftOut: false })),
  })
/** One reading for each value, of one condition, by one group after the other. */
export const readings = (condition: string, ...values: number[]): Reading[] =>
  recordOf({ [condition]: values }, values.length).readings
/** A line through these numbers, found by two groups: each finds the number itself. */
export const lineOf = (...numbers: number[]) =>
  findTrend(
    ['A', 'B'].flatMap((group) => numbers.map((x) => ({ group, x, y: x }))),
    { resolution: 1, grade: 'clear' },
  )!
/** What a table's heading is read as. */
export const choicesFor = (rows: string[][]) => ({ matches: matchColumns(plan, rows), unit: 'mm' as const, group: null })
export const wondering = (text: string) => newRemark('w', text)

export const thermometers: Thing = {
  id: 'thermometers',
  name: 'Thermometer',
  unit: 'pieces',
  stock: 9,
  place: 'drawer 2',
  minimum: 8,
  pack: 5,
  price: 18,
}
/** A lesson that takes seven thermometers and brings them back. */
export const takingSeven = (id: string, date: string) => ({
  id,
  title: id,
  date,
  start: '10:30',
  takes: {
    ...takesOf(plan),
    of: [{ thing: 'thermometers', amount: 7, unit: 'pieces' as const, density: null, use: 'again' as const }],
  },
})

/** A school with the thermometers and with these lessons' bookings. */
export const schoolWith = (...lessons: ReturnType<typeof takingSeven>[]): School => ({
  ...NO_SCHOOL,
  things: [thermometers],
  bookings: lessons.flatMap((lesson) => bookingsOf(lesson, [thermometers], USUAL_HELD)),
})
