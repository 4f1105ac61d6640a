/**
 * How fast children work, as logarithms of the planned time of their hands: a class, its groups, their trials. What runs by itself
 * (the minute in the water) takes as long as planned.
 */
export const PACE_MODEL = {
  /** From trial to trial of one group. */
  trial: 0.3,
  /** From group to group of one class. */
  group: 0.15,
  /** From class to class, where nothing is known of this one. */
  class: 0.2,
  /** One trial tells of no more than so many times the pace, either way: a fire bell is no pace. */
  cap: 3,
} as const

/** What a trial is made of by the plan, in seconds. */
export interface TrialTime {
  /** The run, which no hand makes shorter. */
  wait: number
  /** Setting up, reading, clearing. */
  hands: number
}

/** A pace as it is known: the logarithm's mean and standard deviation; `pace` is 1.2 where a group takes 1.2 times the planned hands. */
export interface Pace {
  pace: number
  logMean: number
  logSd: number
}

/** The class's pace, and every group's by its place, with what is known of a group once the class's is. */
export interface Paces {
  class: Pace
  groups: (Pace & { ownWeight: number; ownSum: number })[]
}

/**
 * The pace of a class and its groups after some trials: two levels of normal distributions over log pace, solved exactly. A group with
 * few trials is thought of as the class; a class with few, as it was before.
 * Source: Gelman et al., "Bayesian Data Analysis", section 5.4 (normal model with known variances).
 * @param trial  seconds by the plan; the hands more than 0
 * @param took   by group, the seconds of every trial that is done
 * @param centre logarithm of this class's pace in its last lessons, else 0
 * @example pacesOf({ wait: 90, hands: 60 }, [[], []], Math.log(1.2)).class.pace // => 1.2
 */
export function pacesOf(trial: TrialTime, took: number[][], centre = 0): Paces {
  const own = took.map((trials) => trials.map((seconds) => logPace(trial, seconds)))
  const before = 1 / PACE_MODEL.class ** 2
  let [precision, sum] = [before, centre * before]
  for (const logs of own) {
    if (logs.length === 0) continue
    const weight = 1 / (PACE_MODEL.group ** 2 + PACE_MODEL.trial ** 2 / logs.length)
    precision += weight
    sum += weight * mean(logs)
  }
  const all: Pace = paceFrom(sum / precision, 1 / precision)
  const byClass = 1 / PACE_MODEL.group ** 2
  return {
    class: all,
    groups: own.map((logs) => {
      const ownWeight = byClass + logs.length / PACE_MODEL.trial ** 2
      const ownSum = logs.reduce((total, log) => total + log, 0) / PACE_MODEL.trial ** 2
      const variance = 1 / ownWeight + (byClass / ownWeight) ** 2 * all.logSd ** 2
      return { ...paceFrom((all.logMean * byClass + ownSum) / ownWeight, variance), ownWeight, ownSum }
    }),
  }
}

/** What one trial tells of the pace. */
function logPace({ wait, hands }: TrialTime, took: number): number {
  const most = Math.log(PACE_MODEL.cap)
  return took <= wait ? -most : Math.min(most, Math.max(-most, Math.log((took - wait) / hands)))
}

function paceFrom(logMean: number, variance: number): Pace {
  return { pace: Math.exp(logMean), logMean, logSd: Math.sqrt(variance) }
}

function mean(values: number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length
}
