import { oncePerPair } from '../chance'
import { type Plan, type Reading } from '../lesson'
import { countsOf, resultMark, testOf } from '../test'
import type { LearnedWobble } from '../measuring'
import { doubtfulReadings, trialResults } from '../record'
import { fitCells } from './cells'

/** Fewer readings beyond the first of each cell say too little. */
const FEWEST_FREEDOM = 5

/**
 * What the class's kept readings show of its wobble: round the mean of a group's own cell, and, where each group keeps its thing, from one group's thing
 * to another's. It answers for what was assumed or guessed before.
 * @returns undefined while there are too few repeats, or values only say an order
 */
export const learnedWobble = oncePerPair((plan: Plan, readings: Reading[]): LearnedWobble | undefined => {
  // What somebody should look at first says nothing of the wobble yet.
  const doubtful = new Set(doubtfulReadings(plan, readings).map(({ reading }) => reading.id))
  const results = trialResults(plan, doubtful.size === 0 ? readings : readings.filter(({ id }) => !doubtful.has(id)))
  if (!testOf(plan).way.isAmount || countsOf(plan) === 'until' || results.length === 0) return undefined
  const { cells, model, wobble, perCell, onCells } = fitCells(results, resultMark(plan))
  if (wobble === undefined || results.length - cells.length < FEWEST_FREEDOM) return undefined
  const ownVariance = model && onCells ? model.residualVariance - wobble ** 2 / perCell : 0
  return { sd: wobble, own: Math.sqrt(Math.max(0, ownVariance)) }
})
