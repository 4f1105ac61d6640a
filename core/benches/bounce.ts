const GRAVITY = 981

/** Height of the bounce as a share of the drop: a used tennis ball on a hard floor keeps a little over half (the rules ask new ones for 0.53 to 0.58). */
export const BOUNCE_SHARE = 0.55

/**
 * Centimetres that a ball bounces back from a drop of so many centimetres.
 * @example bounceHeight(0.55, 100) // => 55
 */
export function bounceHeight(share: number, drop: number): number {
  return share * drop
}

/**
 * Seconds from letting go until the ball touches down the second time: free fall, and up and down again.
 * @example secondTouch(0.55, 100) // => 1.121
 */
export function secondTouch(share: number, drop: number): number {
  return Math.sqrt((2 * drop) / GRAVITY) + 2 * Math.sqrt((2 * bounceHeight(share, drop)) / GRAVITY)
}
