export { grantedFix, grantedOf } from './granted'
export type { Granted } from './granted'
