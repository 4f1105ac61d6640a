export { foreseen } from './foreseen'
export {
  doubtSeenBy,
  eventSeenBy,
  isHeardBy,
  picturesSeenBy,
  planSeenBy,
  publicPlan,
  publicRecord,
  recordSeenBy,
  seesAfter,
} from './seen'
export type { StationSight } from './seen'
export { stationState } from './step'
export type { StationState, StationStep, StationWish } from './step'
