export { fAbove, fLeaving, incompleteBeta, noncentralFAbove, tLeaving, tTwoSided } from './distributions'
export { normalBelow, normalDensity } from './normal'
export { rangeByLuck } from './range'
