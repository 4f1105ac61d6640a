export { cautionWords, doerWords, SAFETY_LAST_WORD } from './cautions'
export { endWords, fitVerdict, minuteWords, testSum } from './clock'
export { doubtWords, REASONS } from './doubts'
export { readErrorWords } from './errors'
export {
  agreementSentence,
  gapSentence,
  GRADE_NAMES,
  gradeSentence,
  nextQuestions,
  sentenceCase,
  sentenceStarters,
} from './evidence'
export { fairWords } from './fairness'
export type { FairWords } from './fairness'
export { csvProblemWords, fileProblemWords } from './files'
export { doubtWordsOfConclusion, findingWords, fixWords } from './findings'
export type { FindingWords } from './findings'
export { amountWords, PER_WORDS, trialSum } from './kit'
export {
  BOARD_WORDS,
  chanceWords,
  conditionWithLetter,
  counted,
  list,
  methodWords,
  nameOfCondition,
  nameOfGroup,
  PHASE_NAMES,
  question,
  questionParts,
  STOP_NAMES,
  WONDER_LISTS,
  WONDER_WORDS,
  writeAverage,
  writeReading,
} from './names'
export type { WonderList } from './names'
export { wayChance, wayCost, wayWords } from './ways'
export { FRAME_WORDS, predictionSentence, VARIABLE_WORDS, wordMat } from './vocabulary'
export { nextThing } from './next'
export { axisTitles, chartWords, foresight, gradeFigure, nearnessWords, pairWords, surerWords } from './results'
