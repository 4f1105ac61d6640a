export { mendsOf, takeMend } from './overRun'
export type { Mend } from './overRun'
export { scarceLimits, takeWayOut, waysOut } from './shortage'
export type { ScarceLimit, WayOut } from './shortage'
