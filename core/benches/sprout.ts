import { drawNormal, type Random } from '../chance'
import { roundToMark } from '../quantity'

export interface SproutBench {
  /** Height in millimetres that cress reaches in a place in the end, by condition id. */
  tallest: Record<string, number>
  /** Days until it has two thirds of it, by condition id. */
  days: Record<string, number>
  /** Share by which one dish differs from the next, as a standard deviation. */
  dishWobble: number
  /** Millimetres by which a child misreads, as a standard deviation. */
  readingWobble: number
}

/** Cress a good week old stands 4 to 7 cm tall, longest and palest in the dark; in a fridge it hardly gets on. Estimates of that size. */
export const SPROUT_BENCH: SproutBench = {
  tallest: { sill: 48, cupboard: 71, fridge: 16, shelf: 52, outside: 34 },
  days: { sill: 4.5, cupboard: 4.5, fridge: 8, shelf: 4.8, outside: 6 },
  dishWobble: 0.09,
  readingWobble: 1.2,
}

/** Height without any wobble: nothing shows at first, then it shoots up, then it levels off. `sproutHeight(60, 5, 5) // 37.9` */
export function sproutHeight(tallest: number, days: number, day: number): number {
  return tallest * (1 - Math.exp(-((day / days) ** 2)))
}

/** How one dish differs from the next, drawn once a dish. */
export function drawDish(bench: SproutBench, random: Random): number {
  return 1 + bench.dishWobble * drawNormal(random)
}

/** One reading of one dish in whole millimetres; undefined for a place that the bench does not know. */
export function simulateSprout(bench: SproutBench, place: string, day: number, dish: number, random: Random): number | undefined {
  const [tallest, days] = [bench.tallest[place], bench.days[place]]
  if (tallest === undefined || days === undefined) return undefined
  const height = sproutHeight(tallest, days, day) * dish
  // Where nothing has come up yet there is nothing to misread.
  return height < 1 ? 0 : Math.max(0, roundToMark(height + bench.readingWobble * drawNormal(random), 1))
}
