export { chanceBestIsBest, chanceRightOrder, repeatsNeeded } from './chances'
export { instrumentForCard, instrumentForUnit, usualUnits, misfitOf, withNamedInstrument, newCard } from './cardInstrument'
export { chanceOfClear } from './clear'
export {
  chancesByRepeats,
  expectedResultOf,
  expectedUnit,
  methodMeasuringSd,
  methodTotalSd,
  MOST_REPEATS,
  outlookOf,
  ownOf,
  resultMeasuringSd,
  WANTED_CHANCE,
  withExpected,
  withExpectedWord,
} from './planned'
export type { ChanceOfRepeats, Design, ExpectedFigures, Outlook } from './planned'
export { devicesFor, LOOKED_AT, shareOfWord, pictureScale, stopwatchReading } from './devices'
export { chancesByRaces } from './races'
export { FEWEST_WARM_UPS, timingWobbleOf, warmUpSignals, withTiming, withWarmUp } from './warmUp'
export type { Signal } from './warmUp'
export { INSTRUMENTS, instrumentsFor, withInstrument } from './instruments'
export type { Instrument } from './instruments'
export { chanceOfSame, chanceOfSameNow, expectsTheSame } from './same'
export { applyWay, waysToSee } from './ways'
export type { Way } from './ways'
export { ASSUMED_SHARE, measuringSd, readingSdOf, totalSd, trialSdOf } from './wobble'
export type { LearnedWobble, Wobble, WobbleSource } from './wobble'
export { asksForMost, expectedMost, withExpectedMost } from './expectedMost'
