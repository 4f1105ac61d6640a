export { axisFor, niceStep } from './axis'
export type { Axis } from './axis'
export { resultsGraph } from './results'
export type { ResultDot, ResultLine, ResultMark, ResultsGraph } from './results'
