export { foreseen } from './foreseen'
export { stationState } from './step'
export type { StationState, StationStep, StationWish } from './step'
