export { PHASES, SHAPES, STOPS } from './plan'
export type { Clock, Condition, Factor, Group, Material, Measure, Method, Phase, Plan, Remark, Shape, Stop, Wonder } from './plan'
export type { Conclusion, LessonRecord, Prediction, Reading, Source } from './record'
export {
  activeConditions,
  changedFactor,
  conditionName,
  conditionValue,
  keptFactors,
  letterOf,
  measuredCard,
  trialsPerGroup,
} from './cards'
export { emptyPlan, GROUP_NAMES, MOST_GROUPS, newMeasure, splitIntoGroups, withGroups } from './empty'
