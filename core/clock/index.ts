export { fitOf, phaseAt, timeAt } from './fit'
export type { Fit, PhaseTime } from './fit'
