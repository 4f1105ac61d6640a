import {
  activeConditions,
  changedFactor,
  keptFactors,
  letterOf,
  measuredCard,
  type Frame,
  type Plan,
  type WordSet,
} from '../lesson'
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

/** How a prediction begins and where its reason comes. */
export const FRAME_WORDS: Record<Frame, { name: string; order: string; reason: string }> = {
  'i-think': {
    name: 'I think … because …',
    order: 'What do you think? Tap them in order, the most first.',
    reason: 'We think so because …',
  },
  'if-then': {
    name: 'If … then … because …',
    order: 'If we test them all, then which comes first? Tap them in order.',
    reason: '… because …',
  },
}

/** A prediction as its frame says it. `'If we change the kind of paper, then tissue will come first, because it is soft.'` */
export function predictionSentence(plan: Plan, order: string[], reason: string): string {
  const first = nameOfCondition(plan, order[0] ?? '')
  const because = reason === '' ? '' : ` because ${reason}`
  return plan.frame === 'i-think'
    ? `I think ${first} will come first${because}.`
    : `If we change ${changedFactor(plan)?.name ?? 'it'}, then ${first} will come first${because}.`
}

/** The words of this lesson for a wall or a table: the class's own words for its variables first, then the words of testing. */
export function wordMat(plan: Plan): { word: string; meaning: string }[] {
  const words = VARIABLE_WORDS[plan.words]
  const conditions = activeConditions(plan).map(({ id }) => `${letterOf(plan, id)} ${nameOfCondition(plan, id)}`)
  return [
    { word: words.changed, meaning: changedFactor(plan)?.name ?? '…' },
    { word: words.measured, meaning: measuredCard(plan)?.name ?? '…' },
    { word: words.kept, meaning: list(keptFactors(plan).map(({ name }) => name)) || '…' },
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
