import { trayWords } from './question'
import {
  activeConditions,
  changedFactor,
  keptFactors,
  letterOf,
  type Frame,
  type Plan,
  type Prediction,
  type WordSet,
} from '../lesson'
import { testOf, kindOf } from '../test'
import { predictionOrderWords } from './predictions'
import { list, nameOfCondition } from './names'

export interface VariableWords {
  /** How the set is offered to the teacher. */
  name: string
  changed: string
  measured: string
  kept: string
}

/** What classes call the three kinds of variables. */
export const VARIABLE_WORDS: Record<WordSet, VariableWords> = {
  'change-measure': { name: 'change, measure, keep the same', changed: 'Change', measured: 'Measure', kept: 'Keep the same' },
  'test-outcome': { name: 'test, outcome, controls', changed: 'Test', measured: 'Outcome', kept: 'Controls' },
  'independent-dependent': {
    name: 'independent, dependent, control variables',
    changed: 'Independent variable',
    measured: 'Dependent variable',
    kept: 'Control variables',
  },
}

/** What board, station and paper call the variables: the class's own words for a fair test, the kind's own words otherwise. */
export function variableWords(plan: Plan): Omit<VariableWords, 'name'> {
  if (kindOf(plan).changesOne || plan.words !== 'change-measure') return VARIABLE_WORDS[plan.words]
  const { change, measure, keep } = trayWords(plan.kind)
  return { changed: change.name, measured: measure.name, kept: keep.name }
}

/** How a prediction begins and where its reason comes. */
export const FRAME_WORDS: Record<Frame, { name: string; reason: string }> = {
  'i-think': { name: 'I think … because …', reason: 'We think so because …' },
  'if-then': { name: 'If … then … because …', reason: '… because …' },
}

/** A prediction as its frame says it. `'If we change the kind of paper, then tissue will come first, because it is soft.'` */
export function predictionSentence(plan: Plan, prediction: Pick<Prediction, 'as' | 'order' | 'values' | 'reason'>): string {
  const { as, order, reason } = prediction
  const because = reason === '' ? '' : ` because ${reason}`
  const that =
    as === 'order' || as === 'most-least'
      ? `${nameOfCondition(plan, order[0] ?? '')} will come first`
      : `it will be: ${predictionOrderWords(plan, prediction)}`
  if (plan.frame === 'i-think') return `I think ${that}${because}.`
  return `If we change ${changedFactor(plan)?.name ?? 'it'}, then ${that}${because}.`
}

/**
 * The words of this lesson for a wall or a table: the class's own words for its variables first, then those of what is investigated, then
 * the words of testing.
 * @param about words of the investigation, with what they mean
 */
export function wordMat(plan: Plan, about: { word: string; meaning: string }[] = []): { word: string; meaning: string }[] {
  const words = variableWords(plan)
  const conditions = activeConditions(plan).map(({ id }) => `${letterOf(plan, id)} ${nameOfCondition(plan, id)}`)
  return [
    { word: words.changed, meaning: changedFactor(plan)?.name ?? '…' },
    { word: words.measured, meaning: testOf(plan).measure?.name ?? '…' },
    { word: words.kept, meaning: list(keptFactors(plan).map(({ name }) => name)) || '…' },
    ...about,
    {
      word: 'Condition',
      meaning: conditions.length > 0 ? `one of the things we compare: ${list(conditions)}` : 'one of the things we compare',
    },
    { word: 'Prediction', meaning: 'what we think will happen, and why, before we test' },
    { word: 'Reading', meaning: 'the number that we see on the instrument, with its unit' },
    { word: 'Repeat', meaning: 'the same trial once more, to see how much the readings wobble' },
    { word: 'Average', meaning: 'all readings added up and shared out equally' },
    { word: 'Range', meaning: 'from the lowest reading to the highest' },
    { word: 'Odd reading', meaning: 'one far from its fellows: we ask what happened' },
    { word: 'Fair test', meaning: 'one thing changes, everything else is kept the same' },
    { word: 'Conclusion', meaning: 'what we found, with numbers, and how sure we are' },
  ]
}
