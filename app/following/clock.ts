/** The time and what is to be done later: a device's own, or one that a test turns. */
export interface Clock {
  now(): number
  /** Does something after so many milliseconds, unless the answer is called before. */
  after(milliseconds: number, work: () => void): () => void
}

export const deviceClock: Clock = {
  now: () => Date.now(),
  after: (milliseconds, work) => {
    const timer = setTimeout(work, milliseconds)
    return () => clearTimeout(timer)
  },
}
