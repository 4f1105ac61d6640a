export { nearnessOf } from './nearness'
export type { Nearness } from './nearness'
export { predictionsByGroup, tallyOf } from './tally'
export type { GroupPrediction } from './tally'
