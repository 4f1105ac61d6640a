import { quantileSorted } from 'simple-statistics'
import { PACE_MODEL, pacesOf, type Paces, type TrialTime } from './model'
import { DRAWS, strata } from './strata'

/** A group that tests: the seconds of each trial that it has done, of the one that it is at, and how many are still to be done, that one included. */
export interface GroupAtWork {
  took: number[]
  elapsed: number
  left: number
}

/** Seconds until somebody is done: in half of all that could happen, and in nine of ten. */
export interface SecondsLeft {
  half: number
  nineInTen: number
}

export interface Forecast {
  paces: Paces
  groups: SecondsLeft[]
  class: SecondsLeft
  /** When the latest group is done, in every one of the draws. */
  ends: Float64Array
}

/**
 * When each group and the class will be done, if they go on as they do. Trials of one group differ, groups differ, and what is not known of
 * the class is the same for all its groups; the trial that runs is not shorter than it has taken.
 * @param trial  seconds by the plan
 * @param centre logarithm of the class's pace in its last lessons, else 0
 * @param extra  seconds of waiting for each other that no pace changes
 * @param onePace the groups go at one pace, because they change together
 * @example secondsLeft({ wait: 60, hands: 45 }, [{ took: [], elapsed: 0, left: 0 }]).class.nineInTen // => 0
 */
export function secondsLeft(
  trial: TrialTime,
  groups: GroupAtWork[],
  { centre = 0, extra = 0, onePace = false }: { centre?: number; extra?: number; onePace?: boolean } = {},
): Forecast {
  const paces = pacesOf(
    trial,
    groups.map(({ took }) => took),
    centre,
  )
  const ends = new Float64Array(DRAWS)
  const own = groups.map((group, place) => {
    const draws = groupEnds(trial, group, place, paces, onePace)
    if (group.left > 0) for (let draw = 0; draw < DRAWS; draw += 1) draws[draw]! += extra
    for (let draw = 0; draw < DRAWS; draw += 1) ends[draw] = Math.max(ends[draw]!, draws[draw]!)
    return quantiles(draws.sort())
  })
  return { paces, groups: own, class: quantiles(ends.slice().sort()), ends }
}

/** Share of the draws that come to no more than so much. `shareWithin(Float64Array.of(1, 2, 3, 4), 3) // 0.75` */
export function shareWithin(draws: Float64Array, most: number): number {
  return draws.reduce((count, each) => count + Number(each <= most), 0) / draws.length
}

function groupEnds(
  { wait, hands }: TrialTime,
  { elapsed, left }: GroupAtWork,
  place: number,
  paces: Paces,
  onePace: boolean,
): Float64Array {
  const ends = new Float64Array(DRAWS)
  if (left === 0) return ends
  const { class: all } = paces
  const { ownWeight, ownSum } = paces.groups[place]!
  const byClass = 1 / PACE_MODEL.group ** 2
  const spread = Math.sqrt(1 / ownWeight)
  const rest = sumOfTrials(left - 1)
  const [ofClass, ofGroup, ofRunning, ofRest] = [0, 3 * place + 1, 3 * place + 2, 3 * place + 3].map(strata) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ]
  for (let draw = 0; draw < DRAWS; draw += 1) {
    const classPace = all.logMean + all.logSd * ofClass[draw]!
    const log = onePace ? classPace : (classPace * byClass + ownSum) / ownWeight + spread * ofGroup[draw]!
    const pace = hands * Math.exp(log)
    const running = Math.max(elapsed, wait + pace * Math.exp(PACE_MODEL.trial * ofRunning[draw]!)) - elapsed
    ends[draw] = running + (left - 1) * wait + (rest ? pace * Math.exp(rest.logMean + rest.logSd * ofRest[draw]!) : 0)
  }
  return ends
}

/**
 * The sum of so many trials of pace 1 as one log-normal value: exact for one, within a thousandth for more.
 * Source: Fenton, "The sum of log-normal probability distributions in scatter transmission systems" (1960).
 */
function sumOfTrials(count: number): { logMean: number; logSd: number } | undefined {
  if (count === 0) return undefined
  const one = PACE_MODEL.trial ** 2
  const variance = Math.log(1 + (Math.exp(one) - 1) / count)
  return { logMean: Math.log(count) + one / 2 - variance / 2, logSd: Math.sqrt(variance) }
}

function quantiles(sorted: Float64Array): SecondsLeft {
  const draws = Array.from(sorted)
  return { half: quantileSorted(draws, 0.5), nineInTen: quantileSorted(draws, 0.9) }
}
