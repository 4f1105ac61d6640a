import { drawNormal, type Random } from '../chance'

export interface BounceBench {
  /** Height of the bounce as a share of the drop, such as 0.55 for a tennis ball. */
  share: number
  /** Share by which two bounces from the same height differ, as a standard deviation. */
  bounceWobble: number
}

const GRAVITY = 981

/** Centimetres that a ball bounces back from a drop of so many centimetres. `bounceHeight(BOUNCE_BENCH, 100) // 55` */
export function bounceHeight({ share }: BounceBench, drop: number): number {
  return share * drop
}

/** Seconds from letting go until the ball touches down the second time. `secondTouch(BOUNCE_BENCH, 100) // 1.121` */
export function secondTouch(bench: BounceBench, drop: number): number {
  return Math.sqrt((2 * drop) / GRAVITY) + 2 * Math.sqrt((2 * bounceHeight(bench, drop)) / GRAVITY)
}

/** One bounce of one ball; nobody has measured it yet. */
export function simulateBounce(bench: BounceBench, drop: number, random: Random): { height: number; seconds: number } {
  const share = bench.share * (1 + bench.bounceWobble * drawNormal(random))
  return { height: bounceHeight({ ...bench, share }, drop), seconds: secondTouch({ ...bench, share }, drop) }
}
