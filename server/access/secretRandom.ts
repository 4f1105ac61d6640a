import { randomInt } from 'node:crypto'

const STEPS = 2 ** 32

/** Between 0 and 1, and nobody foresees it: for what opens something. */
export function secretRandom(): number {
  return randomInt(STEPS) / STEPS
}
