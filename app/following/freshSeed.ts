const SEEDS = 1_000_000

/** Another picture each time. */
export const freshSeed = (): number => Math.floor(Math.random() * SEEDS) + 1
