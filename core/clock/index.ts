export { fitOf, timeAt } from './fit'
export type { Fit, PhaseTime } from './fit'
