import { trialOrderOf } from '../../core/arrangement'
import { chanceNothingRunsOut, failedShare, sparesOf } from '../../core/kit'
import { fitOf, secondsLeft, testEndsOf, testPaceOf, testStartOf, testTimesOf, USUAL_CALENDAR } from '../../core/clock'
import { evidenceOf } from '../../core/evidence'
import { EMPTY_RECORD, type Plan, type Reading } from '../../core/lesson'
import { planFrom } from '../../core/test'
import { underWay, type TestClock } from '../../core/record'
import { rehearse } from '../../core/rehearsal'
import { nowWays, takeNow } from '../../core/waysOut'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { milliseconds, timeOf, withPercent, type Row, type Size } from './figures'

const PLANS = ['soak-up-strips', 'swing-time', 'magnet-through-card', 'grip-and-slide', 'bounce-back']
const BEGUN = Date.parse('2026-03-12T10:00:00.000Z')
/** The class is looked at so often when its teacher follows the advice. */
const LOOKED_AT = [0.2, 0.35, 0.5, 0.65, 0.8, 0.95]
const POINTS = 0.03

/** A generator of the bench's own (xorshift, sums of twelve): what is tried here draws with another. */
function generator(seed: number) {
  let state = BigInt(seed) * 2654435769n + 88172645463325252n
  const uniform = () => {
    state ^= (state << 13n) & 0xffffffffffffffffn
    state ^= state >> 7n
    state ^= (state << 17n) & 0xffffffffffffffffn
    return Number(state >> 11n) / 2 ** 53
  }
  return { normal: () => Array.from({ length: 12 }, uniform).reduce((sum, value) => sum + value, -6) }
}

/** Forecast against simulated lessons, the advice followed by classes with nothing to find, and Clock, rehearsal, spares side by side. */
export async function benchPace(size: Size): Promise<Row[]> {
  const lessons = size === 'full' ? 1000 : 10
  const plans = PLANS.map((id) => [id, planOf(id)] as const)
  return [
    ...covered(plans, lessons),
    ...advised(plans, lessons),
    ...plans.flatMap(([id, plan]) => agree(id, plan, size)),
    await speed(size),
  ]
}

function planOf(id: string): Plan {
  let groups = 0
  const plan = { ...planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, () => `g${(groups += 1)}`), practice: 0, date: '2026-03-12' }
  // Time is short: it fits as planned, with two minutes to spare.
  return { ...plan, clock: { ...plan.clock, minutes: Math.ceil(fitOf(plan).needed) + 2 } }
}

type Normal = () => number

/** When each group is through with each of its trials, in seconds since testing began. */
function endsOf(plan: Plan, normal: Normal, slower = 0): Map<string, number[]> {
  const { trial, streams } = testPaceOf(plan)!
  const all = slower + 0.2 * normal()
  return new Map(
    streams.map(({ group, trials }) => {
      const own = all + 0.15 * normal()
      let seconds = 0
      return [group!, Array.from({ length: trials }, () => (seconds += trial.wait + trial.hands * Math.exp(own + 0.3 * normal())))]
    }),
  )
}

/** What is written down by then, each value nothing but wobble round one level. */
function written(plan: Plan, ends: Map<string, number[]>, by: number, value: (key: string) => number): Reading[] {
  return plan.groups.flatMap(({ id: group }) =>
    trialOrderOf(plan)
      .get(group)!
      .flatMap(({ condition, repeat }, place): Reading[] => {
        const end = ends.get(group)![place]
        if (end === undefined || end > by) return []
        const key = `${group}/${condition}/${repeat}`
        const { unit } = plan.measures[0]!.method as { unit: Reading['unit'] }
        const said = { value: value(key), unit, entered: '', status: 'kept', reason: '', confirmed: false } as const
        const at = new Date(BEGUN + end * 1000).toISOString()
        return [{ ...said, id: key, group, condition, repeat, moment: '', practice: false, supersedes: null, by: 'station', at }]
      }),
  )
}

const clockAt = (seconds: number, until?: number): TestClock & { until: number | undefined } => ({
  ...{ started: BEGUN, pauses: [], now: BEGUN + seconds * 1000 },
  until: until === undefined ? undefined : BEGUN + until * 1000,
})

function covered(plans: (readonly [string, Plan])[], lessons: number): Row[] {
  return [0.25, 0.5, 0.75].map((share): Row => {
    let [inTime, late] = [0, 0]
    for (let lesson = 0; lesson < lessons; lesson += 1) {
      const { normal } = generator(lesson + 1)
      const [, plan] = plans[lesson % plans.length]!
      const ends = endsOf(plan, normal)
      const all = [...ends.values()].flat().sort((a, b) => a - b)
      const now = all[Math.floor(all.length * share)]!
      const forecast = underWay(plan, { ...EMPTY_RECORD, readings: written(plan, ends, now, () => 1) }, clockAt(now))!
      if (now + forecast.nineInTen >= all.at(-1)!) inTime += 1
      if (now + forecast.half < all.at(-1)!) late += 1
    }
    const covers = inTime / lessons
    return {
      what: `nine in ten, after ${share * 100} % of the trials`,
      figure: `${withPercent(covers)} are done by then; ${withPercent(late / lessons)} later than half`,
      wanted: '85 to 95 %',
      reference: `${lessons} lessons of five plans, drawn by another generator`,
      missed: lessons >= 1000 && (covers < 0.85 || covers > 0.95),
    }
  })
}

/** Classes a quarter slower than planned, nothing to find, and a teacher who always takes what stands first. */
function advised(plans: (readonly [string, Plan])[], lessons: number): Row[] {
  let [clear, inTime, asked, alone] = [0, 0, 0, 0]
  for (let lesson = 0; lesson < lessons; lesson += 1) {
    const { normal } = generator(7000 + lesson)
    let [, plan] = plans[lesson % plans.length]!
    const ends = endsOf(plan, normal, 0.2)
    const times = testTimesOf(plan)
    let until = (times.until - times.starts) * 60
    const values = new Map<string, number>()
    const value = (key: string) => {
      if (!values.has(key)) values.set(key, 100 + 10 * normal())
      return values.get(key)!
    }
    const last = Math.max(...[...ends.values()].map((own) => own.at(-1)!))
    if (last > until) alone += 1
    let tomorrow = false
    let done = false
    for (const share of LOOKED_AT) {
      const now = share * until
      const record = { ...EMPTY_RECORD, readings: written(plan, ends, now, value) }
      const [first] = nowWays(plan, record, clockAt(now, until), USUAL_CALENDAR)
      if (!first) continue
      if (!done) asked += 1
      done = true
      if (first.change.code === 'from-later') until += first.change.minutes * 60
      if (first.change.code === 'go-on-tomorrow') tomorrow = true
      plan = takeNow(plan, first.change)
    }
    const own = [...trialOrderOf(plan)].map(
      ([group, trials]) => ends.get(group)![trials.length - 1] ?? lastOf(plan, ends, group, trials.length),
    )
    if (tomorrow || Math.max(...own) <= until) inTime += 1
    const record = { ...EMPTY_RECORD, readings: written(plan, ends, tomorrow ? Infinity : until, value) }
    if (evidenceOf({ ...plan, gapsStay: true }, record)?.grade === 'clear') clear += 1
  }
  const share = (count: number) => count / lessons
  return [
    {
      what: 'nothing to find, the first advice always taken',
      figure: `clear in ${withPercent(share(clear))}`,
      wanted: 'at most 6 %',
      reference: `${lessons} lessons, of which ${asked} were advised`,
      missed: lessons >= 1000 && share(clear) > 0.06,
    },
    {
      what: 'the first advice always taken, a class a fifth slower than planned',
      figure: `${withPercent(share(inTime))} end in time`,
      wanted: 'at least 85 %',
      reference: `${withPercent(share(lessons - alone))} without any advice`,
      missed: lessons >= 1000 && share(inTime) < 0.85,
    },
  ]
}

/** Trials that were taken over come after a group's own, each as long as its last. */
function lastOf(plan: Plan, ends: Map<string, number[]>, group: string, trials: number): number {
  const own = ends.get(group)!
  const each = own.at(-1)! / own.length
  return own.at(-1)! + (trials - own.length) * each
}

function agree(id: string, plan: Plan, size: Size): Row[] {
  const ends = testEndsOf(plan)!
  const found = rehearse(plan, size === 'full' ? 4000 : 20)!
  const inTime = found.ends!.all.filter((end) => end <= ends.until).length / found.classes
  const forecast = underWay(plan, EMPTY_RECORD, clockAt(0))!
  const live = (testStartOf(fitOf(plan)) * 60 + forecast.half) / 60
  const lasts = chanceNothingRunsOut(sparesOf(plan), failedShare(plan))
  const ranOut = Math.max(0, ...found.runOut.map(({ share }) => share))
  return [
    {
      what: `${id}: Clock and rehearsal`,
      figure: `${withPercent(ends.chance)} and ${withPercent(inTime)} fit; half have tested after ${ends.half.toFixed(1)}, ${found.ends!.half.toFixed(1)}, live ${live.toFixed(1)} min; nothing runs out in ${withPercent(lasts)}, at most ${withPercent(ranOut)} of one`,
      wanted: 'within 3 points and half a minute',
      reference: `${found.classes} rehearsed classes`,
      missed: size === 'full' && (Math.abs(ends.chance - inTime) > POINTS || Math.abs(ends.half - live) > 0.5),
    },
  ]
}

async function speed(size: Size): Promise<Row> {
  const groups = Array.from({ length: 10 }, () => ({ took: [50, 60], elapsed: 3, left: 28 }))
  const took = await timeOf((round) => secondsLeft({ wait: 10, hands: 50 + round }, groups))
  return {
    what: 'forecast of 10 groups x 30 trials',
    figure: milliseconds(took),
    wanted: 'under 5 ms',
    reference: 'alone on this machine',
    missed: size === 'full' && took > 5,
  }
}
