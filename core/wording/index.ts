export { bestChoices, bestIs, countsLine, endsOf, podiumLines } from './best'
export { weighingWords } from './balance'
export { careLines, mindLines, cautionSourceWords, cautionWords, doerWords, SAFETY_LAST_WORD } from './cautions'
export {
  ARRANGEMENT_WORDS,
  circuitVerdict,
  comingWords,
  DAY_OFF_WORDS,
  endWords,
  fitVerdict,
  minuteAt,
  paceWords,
  reallyTookWords,
  testEndWords,
  jarWords,
  minuteWords,
  secondWords,
  soonWords,
  stationWords,
  stopwatchWords,
  testSum,
  trialParts,
} from './clock'
export { dayWords, momentOfDayWords, timeOfDay, timeWords, WEEKDAY_WORDS } from './days'
export { clockResetWords, clockTurnWords, nowWayWords, ownLeftWords, pausedWords, underWayShort, underWayWords } from './underWay'
export { DEVICE_WORDS } from './devices'
export { doubtWords, REASONS } from './doubts'
export { readErrorWords } from './errors'
export { mendedWords, pastedWords } from './notices'
export {
  agreementSentence,
  fewGroupsSentence,
  fromNothingSentence,
  gapSentence,
  gradeName,
  gradeSentence,
  judgedAnewSentence,
  nextQuestion,
  sureSentences,
  unfairSentences,
} from './evidence'
export { sentenceCase } from './sentenceCase'
export {
  bestWords,
  clearWords,
  fewGroupsWords,
  neededWords,
  sameWords,
  adviserFigure,
  thingsAnswered,
  thingsChoices,
  thingsMeaning,
  wobbleSourceWords,
  sharedWords,
  SHARED_BY,
} from './things'
export { brokenWords, ENDED_WITHOUT, failuresSentence, failureWords } from './failures'
export { mainQuestionChoices, mainQuestionMeaning } from './mainQuestion'
export { ORDER_WORDS, orderLine, trialNumbers } from './order'
export { FIRST_WORDS_OF_SENTENCE, sentenceStarters } from './starters'
export { comesWithWords, fairWords } from './fairness'
export type { FairWords } from './fairness'
export {
  csvRefusal,
  cupboardProblemWords,
  cupboardRefusal,
  fileNameOf,
  fileProblemWords,
  restoredWords,
  schoolDiffersWords,
} from './files'
export { refusalWords } from './refusals'
export type { RefusalCode, RefusalDetails } from './refusals'
export { doubtLead, doubtWordsOfConclusion, uncheckedWords } from './conclusionDoubts'
export { findingWords } from './findings'
export type { FindingWords } from './findings'
export { fixWords } from './fixes'
export {
  amountWords,
  civilWords,
  measuredWords,
  movedWords,
  needSum,
  PER_WORDS,
  perWords,
  reachedWords,
  PREPARATION_WORDS,
  TRIAL_PART_WORDS,
  spanWords,
  spoonWords,
  stepWords,
  trialSum,
  USE_WORDS,
} from './kit'
export { limitWords, mendWords, takenInsteadWords, wayOutWords, whatIsThereWords } from './waysOut'
export { lapWords, lineStateWords, missedWords, raceEntry, refusedWords, roundWords, trialAloud } from './station'
export { journalGroup, journalWords, JOURNAL_WORDS } from './journal'
export { clashPlace, clashValue } from './merge'
export {
  classWords,
  sizesWords,
  BOARD_WORDS,
  chanceWords,
  ofHundred,
  conditionWithLetter,
  counted,
  instrumentWords,
  list,
  measuredWith,
  methodWords,
  timeReached,
  measureKey,
  momentWords,
  readingWords,
  unitsOfTrial,
  nameOfCondition,
  nameOfGroup,
  PHASE_NAMES,
  readingHeading,
  readingHeadings,
  readingPlaces,
  lessonName,
  STOP_NAMES,
  WONDER_WORDS,
  whenWords,
  workedOutColumn,
  writeAverage,
  cellText,
  writeReading,
} from './names'
export { conditionsWords, PREDICT_WORDS, question, questionSegments, takeWords, trayWords, WHOSE_WORDS } from './question'
export { KIND_WORDS } from './kinds'
export { WAY_WORDS } from './ways'
export type { Segment } from './kinds'
export { grantedPlace, grantedWords } from './granted'
export { draftBests, draftPartName, draftQuestion, draftTools, draftValue } from './draft'
export { ANSWER_WORDS, becauseWords, CHECK_WORDS, nearestQuestion, VERDICT_WORDS } from './testable'
export { SOURCE_WORDS, wayChance, wayCost, wayWords } from './waysToSee'
export { changeWords, predictionOrderWords, predictionPrompt } from './predictions'
export { homeReadingWords } from './homeSheet'
export { dataWords, sizeWords, snapshotWords, tookWords } from './howItIs'
export { FRAME_WORDS, predictionSentence, VARIABLE_WORDS, variableWords, wordMat } from './vocabulary'
export { AGE_WORDS, agesWords, expectedWords, neededLines, readyWords, stockWords, temptingWords, TOPIC_WORDS } from './library'
export type { ExpectedWords } from './library'
export { WALK } from './walk'
export { keysOf } from './keys'
export type { KeysView } from './keys'
export { firstStepWords, HOUR_WORDS, matterWords, openWords, otherHourWords, SHELF_PARTS } from './matters'
export type { MatterWords } from './matters'
export { foresight, gradeFigure, cameOutWords, handsForesight, nearnessWords, pairWords } from './results'
export { PART_WORDS } from './agree'
export { tellingWords } from './tellings'
export { GRADE_NAMES } from './grades'
export { CURRENCY_CHOICES, ENGLISH_CHOICES, moneyWords, priceHeading } from './money'
export { inSchoolsWay, spelled, spelledHeadings } from './spelling'
export {
  countedChoice,
  countedName,
  countedPlaceWords,
  countsWords,
  eachExample,
  eachIsChoices,
  placeChoices,
  resultName,
} from './counts'
export {
  axisTitles,
  chartWords,
  knownLineWords,
  dotWords,
  GRAPH_NAMES,
  graphLoss,
  graphReason,
  smallBarsWords,
  stageWords,
  lineEnd,
  lineWords,
  scaleProblemWords,
  scaleSentence,
} from './graphs'
export { explanationWords, ODD_STATE_WORDS, oddWords } from './odd'
export {
  childSentence,
  DEPTH_NAMES,
  DEPTHS,
  foretoldWords,
  modelLines,
  neighbourWords,
  numberForWords,
  overlapSentence,
  patternWords,
  surerSentence,
  trendLines,
} from './sureness'
export type { Depth } from './sureness'
export {
  AVERAGE_WORDS,
  averageFigure,
  averageHeading,
  averageWay,
  evenedAverages,
  gapWords,
  rangeWords,
  readingPieces,
  tableTitle,
  workedOutName,
  workedOutWords,
  workingSteps,
  writeFigure,
  writeResult,
} from './tables'
export { classColumns, interactionSentence, pooledAgreement, testDifferenceWords } from './twoClasses'
export { importedWords, ROLE_WORDS, skipWords } from './imports'
export { boardFindings } from './boardFindings'
export { PRINT_JOB_WORDS, printJobLine } from './printJob'
export { gradesInOne, startersOfEach, tableName } from './severalTables'
export { acrossFigures, acrossSentences, conditionRows, seriesChartWords, seriesNames } from './series'
export { challengePrompt, challengeSentences } from './challenge'
export { bestSoFarWords, gainWords, tryFigure, tryLine } from './tries'
export { guessedWords, guessesWords, guessWords, heapSentences, ownerHeading, seatWords } from './eachChild'
export { countedOwners, ownersWord, ownerWord } from './owners'
export {
  askingClassWords,
  boundWords,
  circuitTogetherWords,
  fitTogetherWords,
  foundWords,
  kitTogetherWords,
  lateWords,
  ownCheckLines,
  ownUnsaidLine,
  ownProblemWords,
  partsWords,
  placeWords,
  stepTogetherWords,
  titleOfMember,
  TOGETHER_VIEW_WORDS,
  WAITING_WORDS,
  HANDING_OUT_WORDS,
} from './runningTogether'
export {
  assumedLines,
  MADE_UP_MARK,
  MADE_UP_REFUSED,
  rehearsalNeeds,
  rehearsalLines,
  rehearsalSentence,
  rehearsedGrades,
  triedWords,
} from './rehearsal'
export {
  clockAnswer,
  countAnswer,
  drawnAnswer,
  eyeLines,
  eyeWords,
  fairAnswer,
  fooledWords,
  LEVEL_WORDS,
  offWords,
  SCALE_WORDS,
  scaleAnswer,
  scaleEntry,
  scaleQuestion,
  skillWords,
  wobbleAnswer,
} from './warmUps'
export { placedWords, strayCountWords, strayWords } from './strays'
export { COLUMN_WORDS, PACKAGE_WORDS, resultValueWords, ROW_TITLES, valueWords } from './packageWords'
export type { RowColumn } from './packageWords'
