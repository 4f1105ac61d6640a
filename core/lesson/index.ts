export { FRAMES, PHASES, SHAPES, STOPS, WORD_SETS } from './plan'
export type {
  Clock,
  Condition,
  Factor,
  Frame,
  Group,
  Material,
  Measure,
  Method,
  Phase,
  Plan,
  Remark,
  Shape,
  Stop,
  Wonder,
  WordSet,
} from './plan'
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
export { emptyPlan, GROUP_NAMES, MOST_GROUPS, newMaterial, newMeasure, splitIntoGroups, withGroups } from './empty'
