import { trialOrderOf } from '../arrangement'
import { drawReadings, withoutContainers } from '../benches'
import { drawNormal, oncePer, type Random } from '../chance'
import { begins, centreOf, PACE_MODEL, testPaceOf, testTimesOf, type TestTimes } from '../clock'
import { failedShare } from '../kit'
import { EMPTY_RECORD, type LessonRecord, type Plan, type Reading } from '../lesson'
import { atMoment, testOf, kindOf } from '../test'
import { convert, roundToMark, type UnitCode } from '../quantity'
import { checkReading } from '../record'

/** How one made-up class gets on: assumptions, said beside the figures and not measured anywhere. */
export const ASSUMED = {
  /** One reading in so many has a slip: the point, the unit, two digits turned round. */
  slipOneIn: 80,
  /** Of slips that are asked about, so many are put right at the station or later at the desk. */
  putRight: 0.95,
} as const

export interface MadeUpClass {
  record: LessonRecord
  /** The plan as the teacher closes it: what nobody had time for stays empty. */
  plan: Plan
  /** Minutes of the lesson when the last group has done its last trial, if nobody stops it. */
  testEnds: number
  /** Trials that there was no time for. */
  leftOut: number
  slips: { made: number; asked: number; left: number }
  /** Trials that failed and were done again, by condition. */
  failed: Map<string, number>
}

/**
 * One class that might do this lesson: readings from the bench or the teacher's guess, slips and their mending, a pace for every group,
 * and no more trials than there is time for.
 * @param newId  ids of rows; a counter is quicker where nothing is stored
 * @param stampOf ISO time of a minute of the lesson
 * @returns undefined where there is nothing to draw from
 * @example drawClass(soakUpPlan(), seededRandom(1))!.record.readings.length > 60 // => true
 */
export function drawClass(
  whole: Plan,
  random: Random,
  { newId = counting(), stampOf = () => '2000-01-01T00:00:00.000Z', times = testTimesOf(whole) }: DrawOptions = {},
): MadeUpClass | undefined {
  const plan = withoutContainers(whole)
  const drawn = drawReadings(plan, random)
  if (!drawn) return undefined
  const time = goingOn(plan, times, random)
  const order = trialOrderOf(plan)
  const parts = partsOf(plan)
  const { cutShort } = kindOf(plan)
  const readings: Reading[] = []
  const skipped = new Set<string>()
  for (const one of drawn) {
    const minute = time.endOf(one.group, parts.get(one.group)?.get(one.condition)?.[one.repeat] ?? 0)
    if (cutShort && minute > times.until) skipped.add(keyOf(one.group, one.condition, one.repeat))
    else readings.push(Object.assign(one, { id: newId(), at: stampOf(minute) }))
  }
  const { readings: written, slips } = slip(plan, readings, random, newId)
  return {
    record: { ...EMPTY_RECORD, readings: written },
    plan: skipped.size > 0 ? closed(plan) : plan,
    testEnds: time.testEnds,
    leftOut: skipped.size,
    slips,
    failed: failuresOf(order, skipped, failedShare(plan), random),
  }
}

/** The plan as it is once testing is over. */
const closed = oncePer((plan: Plan): Plan => ({ ...plan, gapsStay: true }))

/** How far through its testing a group begins each trial, from 0 to 1, by group, condition and repeat. */
const partsOf = oncePer((plan: Plan): Map<string, Map<string, number[]>> => {
  const parts = new Map<string, Map<string, number[]>>()
  for (const [group, trials] of trialOrderOf(plan)) {
    const own = new Map<string, number[]>()
    for (const [at, { condition, repeat }] of trials.entries()) {
      const known = own.get(condition) ?? []
      known[repeat] = at / trials.length
      own.set(condition, known)
    }
    parts.set(group, own)
  }
  return parts
})

export interface DrawOptions {
  newId?: () => string
  stampOf?: (minute: number) => string
  /** Worked out once where many classes are drawn of one plan. */
  times?: TestTimes
}

/** How one class goes on: when its testing ends, and the minute of the lesson at which a group is through with a part of its trials. */
interface GoingOn {
  testEnds: number
  /** @param part of the group's trials that lie before the one that is asked about, 0 to 1 */
  endOf: (group: string, part: number) => number
}

/** Draws a class, its groups and their trials by the one model of pace (core/clock/pace); what is read by the clock goes by the clock. */
function goingOn(plan: Plan, { starts, takes }: TestTimes, random: Random): GoingOn {
  const begun = begins(starts, drawNormal(random))
  const pace = testPaceOf(plan)
  if (!pace) return { testEnds: begun + takes, endOf: (_, part) => begun + part * takes }
  const { trial, streams, extra, onePace } = pace
  const all = centreOf(plan) + PACE_MODEL.class * drawNormal(random)
  const ends = new Map(
    streams.map(({ group, trials }) => {
      const own = onePace ? all : all + PACE_MODEL.group * drawNormal(random)
      let seconds = 0
      const after = Array.from({ length: trials }, () => {
        seconds += trial.wait + trial.hands * Math.exp(own + PACE_MODEL.trial * drawNormal(random))
        return begun + (seconds + extra) / 60
      })
      return [group, after] as const
    }),
  )
  const practised = plan.practice / Math.max(1, plan.practice + plan.repeats)
  return {
    testEnds: Math.max(...[...ends.values()].map((after) => after.at(-1) ?? begun)),
    endOf: (group, part) => {
      const after = ends.get(group) ?? ends.get(undefined) ?? []
      return after[Math.min(after.length - 1, Math.floor((practised + part * (1 - practised)) * after.length))] ?? begun
    },
  }
}

/** Slips that children make and that the station asks about, as it would in the lesson. Rows are put behind those they correct. */
function slip(
  plan: Plan,
  readings: Reading[],
  random: Random,
  newId: () => string,
): { readings: Reading[]; slips: MadeUpClass['slips'] } {
  const slips = { made: 0, asked: 0, left: 0 }
  const { amount: method } = testOf(plan)
  if (!method) return { readings, slips }
  const corrections: Reading[] = []
  for (const [place, reading] of readings.entries()) {
    if (random() * ASSUMED.slipOneIn >= 1) continue
    const right = reading.value
    const wrong = slipped(
      right,
      testOf(atMoment(plan, reading.moment)).method?.resolution ?? method.resolution,
      reading.unit,
      random,
    )
    if (wrong === right) continue
    slips.made += 1
    const written = { ...reading, value: wrong, entered: String(wrong) }
    readings[place] = written
    const asked = checkReading(plan, readings, written).length > 0
    if (asked) slips.asked += 1
    if (!asked || random() >= ASSUMED.putRight) {
      slips.left += 1
      continue
    }
    corrections.push({ ...reading, id: newId(), supersedes: reading.id, reason: 'a slip' })
  }
  // A new list: what was looked at above is remembered with the old one.
  return { readings: [...readings, ...corrections], slips }
}

function slipped(value: number, mark: number, unit: UnitCode, random: Random): number {
  const kind = random()
  if (kind < 0.4) return roundToMark(value / 10, mark / 10)
  if (kind < 0.6) return value * 10
  if (kind < 0.85) {
    const smaller = SMALLER[unit]
    return smaller === undefined ? roundToMark(value / 10, mark / 10) : roundToMark(convert(value, unit, smaller)!, mark / 10)
  }
  const digits = String(value)
  return digits.length === 2 ? Number(digits[1]! + digits[0]!) : value
}

/** The unit in which children say it instead. */
const SMALLER: Partial<Record<UnitCode, UnitCode>> = { mm: 'cm', cm: 'mm', s: 'min', g: 'kg', mL: 'L' }

function failuresOf(
  order: ReturnType<typeof trialOrderOf>,
  skipped: Set<string>,
  share: number,
  random: Random,
): Map<string, number> {
  const failed = new Map<string, number>()
  for (const [group, trials] of order)
    for (const { condition, repeat } of trials)
      if (!skipped.has(keyOf(group, condition, repeat)) && random() < share) failed.set(condition, (failed.get(condition) ?? 0) + 1)
  return failed
}

const keyOf = (group: string, condition: string, repeat: number) => `${group}/${condition}/${repeat}`

function counting(): () => string {
  let count = 0
  return () => `made-up-${(count += 1)}`
}
