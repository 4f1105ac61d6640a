export { cautionWords, doerWords, SAFETY_LAST_WORD } from './cautions'
export { doubtWords, REASONS } from './doubts'
export { readErrorWords } from './errors'
export {
  agreementSentence, gapSentence, GRADE_NAMES, gradeSentence, nextQuestions, sentenceCase, sentenceStarters,
} from './evidence'
export { csvProblemWords, fileProblemWords } from './files'
export { findingWords, fixWords } from './findings'
export type { FindingWords } from './findings'
export {
  chanceWords, conditionWithLetter, counted, list, nameOfCondition, nameOfGroup, PHASE_NAMES, question, questionParts,
  STOP_NAMES, writeAverage, writeReading,
} from './names'
export { nextThing } from './next'
