export interface Wobble {
  /** The smallest mark. */
  resolution: number
  /** Standard deviation of reading the mark. */
  readingSd: number
  /** Standard deviation of starting or stopping by hand. */
  timingSd: number
}

/**
 * Measuring wobble of one reading, as a standard deviation: what the mark cannot show, what the eye misreads and what the
 * hand is late by, added in squares. Resolution enters as a uniform error (JCGM 100:2008, 4.3.7).
 * @returns same unit as the three parts
 * @example measuringSd({ resolution: 1, readingSd: 1, timingSd: 0 }) // 1.0408
 */
export function measuringSd({ resolution, readingSd, timingSd }: Wobble): number {
  return Math.sqrt(resolution ** 2 / 12 + readingSd ** 2 + timingSd ** 2)
}

/** Measuring wobble and trial-to-trial wobble together. `totalSd(6, 1.0408) // 6.0896` */
export function totalSd(trialSd: number, measuring: number): number {
  return Math.hypot(trialSd, measuring)
}
