export { axisFor, niceStep } from './axis'
export type { Axis } from './axis'
export { resultsGraph } from './results'
export type { ResultDot, ResultMark, ResultsGraph } from './results'
