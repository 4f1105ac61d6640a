export { drawNormal, seededRandom } from './random'
export type { Random } from './random'
export { drawGroupHabit, simulateSoakUp, soakHeight, SOAK_UP_RATES } from './soakUp'
export type { SoakUpBench } from './soakUp'
