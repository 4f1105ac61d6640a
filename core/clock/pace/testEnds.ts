import { oncePer, remembered } from '../../chance'
import type { Plan } from '../../lesson'
import { isReadByClock, kindOf } from '../../test'
import { fitOf, testTimesOf } from '../fit'
import { secondsLeft, shareWithin, type GroupAtWork } from './left'
import type { TrialTime } from './model'
import { testPaceOf } from './ofPlan'
import { strata } from './strata'

/** What comes before testing takes so much longer or shorter, all together, as a share: two in three lessons keep within it. */
const PHASES_SPREAD = 0.1

/** A plan fits when it does in so many of all classes. */
export const FITS_IN = 0.9

/** When testing ends, before it has begun: minutes of the lesson. */
export interface TestEnds {
  /** Share of all classes in which testing ends in time for what comes after it. */
  chance: number
  fits: boolean
  half: number
  nineInTen: number
  /** When it has to end, so that the rest is done by the bell. */
  until: number
  /** Every end that was drawn, sorted. */
  ends: Float64Array
}

/**
 * In how many classes of a hundred the lesson fits, from what is known of how classes, groups and trials differ.
 * @returns undefined where the times of a trial are not said, or nobody tests
 * @example testEndsOf(soakUpPlan())!.half > fitOf(soakUpPlan()).phases[3]!.start // => true
 */
export const testEndsOf = oncePer((plan: Plan): TestEnds | undefined => {
  const { starts, until } = testTimesOf(plan)
  const seconds = secondsOfTesting(plan)
  if (!seconds) return undefined
  // A number that no group has: what comes before has nothing to do with any of them.
  const before = strata(3 * plan.groups.length + 4)
  const ends = seconds.map((each, draw) => begins(starts, before[draw]!) + each / 60).sort()
  const chance = shareWithin(ends, until)
  const at = (share: number) => ends[Math.ceil(share * ends.length) - 1]!
  return { chance, fits: chance >= FITS_IN, half: at(0.5), nineInTen: at(0.9), until, ends }
})

/**
 * How many of a hundred classes end in each minute of the lesson.
 * @example endsByMinute({ ends: Float64Array.of(50.2, 52), until: 51 }) // => [{ minute: 50, of100: 50, late: false }, { minute: 52, of100: 50, late: true }]
 */
export function endsByMinute({
  ends,
  until,
}: Pick<TestEnds, 'ends' | 'until'>): { minute: number; of100: number; late: boolean }[] {
  const counts = new Map<number, number>()
  for (const end of ends) counts.set(Math.floor(end), (counts.get(Math.floor(end)) ?? 0) + 1)
  return [...counts].map(([minute, count]) => ({ minute, of100: (count / ends.length) * 100, late: minute >= until }))
}

/**
 * Does the lesson fit: nine classes in ten are done by the bell. Where nobody said how long a trial takes, what is known of it has to fit.
 * @example fitsInTime(soakUpPlan()) // => true
 */
export function fitsInTime(plan: Plan): boolean {
  return fitOf(plan).spare >= 0 && (testEndsOf(plan)?.fits ?? true)
}

/** When testing begins, in one class: `z` says how far it is from what is usual. */
export function begins(planned: number, z: number): number {
  return planned * Math.max(0.5, 1 + PHASES_SPREAD * z)
}

/** Logarithm of the class's pace as its last lessons tell it; 0 while nobody knows. */
export function centreOf({ clock: { pace } }: Pick<Plan, 'clock'>): number {
  return Math.log(pace?.times ?? 1)
}

/** Most changes of a plan change none of these figures. */
const drawn = remembered(
  ({ trial, groups, ...rest }: { trial: TrialTime; groups: GroupAtWork[]; centre: number; extra: number; onePace: boolean }) =>
    secondsLeft(trial, groups, rest).ends,
)

function secondsOfTesting(plan: Plan): Float64Array | undefined {
  const pace = testPaceOf(plan)
  if (!pace) {
    const { testSeconds } = fitOf(plan)
    const byClock = kindOf(plan).watches && isReadByClock(plan) && testSeconds > 0
    return byClock ? new Float64Array(strata(0).length).fill(testSeconds) : undefined
  }
  const { trial, streams, extra, onePace } = pace
  const groups = streams.map(({ trials }) => ({ took: [], elapsed: 0, left: trials }))
  return drawn({ trial, groups, centre: centreOf(plan), extra, onePace })
}
