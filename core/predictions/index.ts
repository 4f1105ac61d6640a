export { challengeMoment, challengeOf, challengeTable, guessOf, seenBy, withChallenge, withoutChallenge } from './challenge'
export type { Challenge, ChallengeRow } from './challenge'
export { changesAsked, heldAgainst } from './changes'
export { cameOut } from './cameOut'
export type { CameOut } from './cameOut'
export { emptyDraft, finished, isWhole, lineAxes, linePoints, onSketch } from './draft'
export type { LinePoint, PredictionDraft } from './draft'
export { nearnessOf, nearnessOfPrediction } from './nearness'
export type { Nearness } from './nearness'
export { asksOneGuess, guessesInSum, ownGuesses } from './ownGuesses'
export type { GuessesInSum, OwnGuess } from './ownGuesses'
export { resultsForPredictions } from './results'
export type { PredictionResults } from './results'
export {
  allHands,
  changeTally,
  countedHands,
  guessesOf,
  handsOf,
  orderOfValues,
  predictionsByGroup,
  stampedOrders,
  tallyOf,
} from './tally'
export type { GroupPrediction, TallyRow } from './tally'
