import { drawNormal, type Random } from '../../core/chance'
import { randomUUID } from 'node:crypto'
import { type Plan, type Reading } from '../../core/lesson'
import { roundToMark } from '../../core/quantity'
import { checkReading, doubtfulReadings, isSlip } from '../../core/record'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { withMethod, planFrom, testOf } from '../../core/test'
import { withPercent, type Row, type Size } from './figures'

const MEANS = [62, 48, 30, 24]
const MOST_FALSE = 1
const FEWEST_FOUND = 0.95

/** One reading of a class in which nobody slips. */
type Draw = (mean: number, level: number, random: Random) => number

const CLEAN: Record<string, Draw> = {
  'as the plan expects': (mean, _, random) => mean + 5 * drawNormal(random),
  'skewed (log-normal, sd a fifth)': (mean, _, random) => mean * Math.exp(0.2 * drawNormal(random)),
  'groups far apart': (mean, level, random) => mean + 8 * level + 3 * drawNormal(random),
  'spread growing with the mean': (mean, _, random) => mean * (1 + 0.15 * drawNormal(random)),
}

/** How many clean readings of a class of 84 are asked about, and how many slips are found. */
export function benchSlips(random: Random, size: Size): Row[] {
  const classes = size === 'full' ? 300 : 4
  const plan = planFrom(INVESTIGATIONS['soak-up-strips']!, 'Puffin', 28, randomUUID)
  const clean = Object.entries(CLEAN).map(([name, draw]) => {
    const asked = Array.from({ length: classes }, () => doubtfulReadings(plan, drawReadings(plan, draw, random)).length)
    const average = asked.reduce((sum, count) => sum + count, 0) / classes
    const error = Math.sqrt(asked.reduce((sum, count) => sum + (count - average) ** 2, 0)) / classes
    return {
      what: `84 clean readings, ${name}`,
      figure: `${average.toFixed(2)} asked about in a class`,
      wanted: '≤ 1',
      reference: `${asked.filter((count) => count === 0).length} of ${classes} classes without a question`,
      missed: average > MOST_FALSE + 2 * error,
    }
  })
  const first = [asExpected(plan), withoutExpectation(plan)].flatMap((asked, place) =>
    Object.entries({ ...CLEAN, 'one kind three times as wild': WILD }).map(([name, draw]) =>
      firstTwenty(asked, `${name}${place === 0 ? '' : ', nothing expected'}`, draw, random, size === 'full' ? 300 : 4),
    ),
  )
  return [
    ...clean,
    ...first,
    slipRow('ten times too much', plan, (value) => value * 10, 'slip-point', random, classes),
    withoutBar(slipRow('in centimetres where millimetres are asked', plan, (value) => value / 10, 'slip-unit', random, classes)),
    withoutBar(
      slipRow('in inches where centimetres are asked', inCentimetres(plan), (value) => value / 2.54, 'slip-unit', random, classes),
    ),
    withoutBar(slipRow('in minutes where seconds are asked', inSeconds(plan), (value) => value / 60, 'slip-unit', random, classes)),
    otherDimension(inSeconds(plan), random, classes),
  ]
}

const WILD: Draw = (mean, _, random) => mean + (mean === 30 ? 9 : 3) * drawNormal(random)
const FIRST = 20
const MOST_ASKED = 0.1

/** Does a class in which nobody slips hear a question about any of its first twenty readings, each asked as it comes in. */
function firstTwenty(plan: Plan, name: string, draw: Draw, random: Random, classes: number): Row {
  const asked = Array.from({ length: classes }, () => {
    const all = drawReadings(plan, draw, random)
    const comesIn = all
      .map((reading) => ({ reading, at: reading.repeat + random() / 2 }))
      .sort((a, b) => a.at - b.at)
      .slice(0, FIRST)
      .map(({ reading }) => reading)
    return comesIn.some((reading, place) =>
      checkReading(plan, comesIn.slice(0, place), reading).some(({ code }) => code === 'odd' || code.startsWith('slip')),
    )
  }).filter(Boolean).length
  return {
    what: `the first 20 clean readings, ${name}`,
    figure: `a question in ${withPercent(asked / classes)} of ${classes} classes`,
    wanted: `≤ ${withPercent(MOST_ASKED)}`,
    reference: '',
    missed: asked / classes > MOST_ASKED + 2 * Math.sqrt((MOST_ASKED * (1 - MOST_ASKED)) / classes),
  }
}

/** All that was expected lies where the readings lie. */
const asExpected = (plan: Plan): Plan =>
  withMethod(plan, (method) => ({
    ...method,
    expectedLow: Math.min(...MEANS),
    expectedHigh: Math.max(...MEANS),
    expected: Object.fromEntries(plan.conditions.map(({ id }, place) => [id, MEANS[place]!])),
  }))

const withoutExpectation = (plan: Plan): Plan =>
  withMethod(plan, (method) => ({ ...method, expectedLow: null, expectedHigh: null, expected: {}, trialWobble: null }))

function slipRow(what: string, plan: Plan, slip: (value: number) => number, code: string, random: Random, classes: number): Row {
  const found = Array.from({ length: classes }, () => {
    const readings = drawReadings(plan, CLEAN['as the plan expects']!, random)
    const place = Math.floor(random() * readings.length)
    const value = Number(slip(readings[place]!.value).toPrecision(6))
    const slipped = { ...readings[place]!, value, entered: String(value) }
    const inches = readings.map((one, at) => (at % 7 === 3 ? { ...one, entered: `${(one.value / 2.54).toFixed(2)} in` } : one))
    const all = (what.includes('inches') ? inches : readings).map((one, at) => (at === place ? slipped : one))
    return checkReading(plan, all, slipped).some((doubt) => isSlip(doubt) && (doubt.code === code || code === ''))
  }).filter(Boolean).length
  const rate = found / classes
  return {
    what: `a reading ${what}`,
    figure: `found in ${withPercent(rate)} of ${classes}`,
    wanted: '≥ 95 %',
    reference: 'a slip among 83 clean readings',
    missed: rate < FEWEST_FOUND - 2 * Math.sqrt((FEWEST_FOUND * (1 - FEWEST_FOUND)) / classes),
  }
}

/** A reading made smaller lies no further off than its own size, which is about 4 sds in the smallest ones here: found where it can be. */
function withoutBar(row: Row): Row {
  return { ...row, wanted: 'as often as 4 sds allow', missed: false }
}

/** Nothing measured in seconds was read in inches. */
function otherDimension(plan: Plan, random: Random, classes: number): Row {
  const taken = Array.from({ length: classes }, () => {
    const readings = drawReadings(plan, CLEAN['as the plan expects']!, random)
    const value = Number((readings[0]!.value / 2.54).toPrecision(3))
    const doubts = checkReading(plan, readings, { ...readings[0]!, value, entered: String(value) })
    return doubts.some((doubt) => doubt.code === 'slip-unit')
  }).filter(Boolean).length
  return {
    what: 'seconds divided by 2.54 taken for inches',
    figure: `${taken} of ${classes}`,
    wanted: '0',
    reference: 'units of the same dimension only',
    missed: taken > 0,
  }
}

function drawReadings(plan: Plan, draw: Draw, random: Random): Reading[] {
  return plan.groups.flatMap(({ id: group }) => {
    const level = drawNormal(random)
    return plan.conditions.flatMap(({ id: condition }, place) =>
      [1, 2, 3].map((repeat): Reading => {
        const value = roundToMark(Math.max(1, draw(MEANS[place]!, level, random)), testOf(plan).resolution)
        const kept = { moment: '', practice: false, status: 'kept', reason: '', confirmed: false, supersedes: null } as const
        const at = '2027-03-12T10:00:00.000Z'
        const { unit } = testOf(plan)
        return { ...kept, id: randomUUID(), group, condition, repeat, value, unit, entered: String(value), by: 'station', at }
      }),
    )
  })
}

function inCentimetres(plan: Plan): Plan {
  return withMethod(plan, (method) => ({ ...method, unit: 'cm', resolution: 1 }))
}

function inSeconds(plan: Plan): Plan {
  return withMethod(plan, (method) => ({ ...method, unit: 's', resolution: 1, readingWobble: 0, timingWobble: 0.15 }))
}
