export { predictionsByGroup, tallyOf } from './tally'
export type { GroupPrediction } from './tally'
