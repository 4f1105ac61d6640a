import { drawNormal, type Random } from '../chance'
import { roundToMark } from '../quantity'

export interface SoakUpBench {
  /** Millimetres per square root of a second, by condition: how thirsty the paper is. */
  rates: Record<string, number>
  /** Seconds in the water. */
  seconds: number
  /** Share by which strips of one paper differ, as a standard deviation. */
  stripWobble: number
  /** Millimetres by which a child misreads the wet edge, as a standard deviation. */
  readingWobble: number
  /** Share by which one group's habits (depth, angle) shift all its readings, as a standard deviation. */
  groupWobble: number
}

/** Capillary rise goes with the square root of time (Washburn); rates are of the size that strips of such papers show, ours by estimate. */
export const SOAK_UP_RATES = { kitchenRoll: 8, tissue: 6.3, writingPaper: 2.8, card: 1.8 }

export const SOAK_UP_BENCH: SoakUpBench = {
  rates: {
    'kitchen-roll': SOAK_UP_RATES.kitchenRoll,
    tissue: SOAK_UP_RATES.tissue,
    'writing-paper': SOAK_UP_RATES.writingPaper,
    card: SOAK_UP_RATES.card,
  },
  seconds: 60,
  stripWobble: 0.07,
  readingWobble: 1,
  groupWobble: 0.06,
}

/** Height of the wet edge, without any wobble: it grows with the square root of time. `soakHeight(8, 60) // 61.97` */
export function soakHeight(rate: number, seconds: number): number {
  return rate * Math.sqrt(seconds)
}

/** One group's own habit, drawn once per group and handed to every one of its trials. */
export function drawGroupHabit(bench: SoakUpBench, random: Random): number {
  return 1 + bench.groupWobble * drawNormal(random)
}

/**
 * One child's reading of one strip in whole millimetres.
 * @param condition a key of `bench.rates`
 * @param habit     from `drawGroupHabit`
 */
export function simulateSoakUp(bench: SoakUpBench, condition: string, habit: number, random: Random): number {
  const rate = bench.rates[condition]
  if (rate === undefined) throw new RangeError(`no rate for ${condition}`)
  const strip = 1 + bench.stripWobble * drawNormal(random)
  const height = soakHeight(rate, bench.seconds) * strip * habit + bench.readingWobble * drawNormal(random)
  return Math.max(0, roundToMark(height, 1))
}
