export { checkFairness } from './compare'
export type { DifferingFactor, FairCheck, FairComparison, Pair, Setting } from './compare'
export { checkPlan, settingOf, settingsOf, UNKNOWN } from './settings'
