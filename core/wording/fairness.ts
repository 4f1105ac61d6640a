import type { FairCheck, Pair } from '../fairness'
import { letterOf, measuredCard, type Plan } from '../lesson'
import { list } from './names'

export interface FairWords {
  verdict: string
  /** "B and C", one entry a pair. */
  fair: string[]
  /** "A and B: the width of the strip" */
  notFair: string[]
  /** Other questions that this set-up could answer. */
  others: string[]
}

/** The fair check in words: how many pairs are fair, which, and why the others are not. */
export function fairWords(plan: Plan, check: FairCheck): FairWords {
  const letters = (ids: string[]) => list(ids.map((id) => letterOf(plan, id)))
  const nameOf = (id: string) => plan.factors.find((factor) => factor.id === id)?.name ?? 'a factor'
  const fair = check.pairs.filter((pair) => pair.status === 'fair')
  const because = (pair: Pair) => {
    if (pair.status === 'same') return 'nothing is changed between them'
    return pair.status === 'unknown' ? 'something is not known' : `differ in ${list(pair.differing.map(nameOf))}`
  }
  return {
    verdict: verdictOf(check, fair.length),
    fair: fair.map(({ a, b }) => letters([a, b])),
    notFair: check.pairs.filter((pair) => pair.status !== 'fair').map((pair) => `${letters([pair.a, pair.b])}: ${because(pair)}`),
    others: check.otherQuestions.map(
      ({ factor, conditions }) =>
        `How does ${nameOf(factor)} change ${measuredCard(plan)?.name ?? 'what we measure'}? With ${letters(conditions)}.`,
    ),
  }
}

function verdictOf(check: FairCheck, fair: number): string {
  const all = check.pairs.length
  if (all === 0) return 'Two conditions are needed before anything can be compared.'
  if (check.fair) return all === 1 ? 'The one pair is fair.' : `All ${all} pairs are fair.`
  return fair === 0 ? `None of the ${all} pairs is fair.` : `${fair} of ${all} pairs ${fair === 1 ? 'is' : 'are'} fair.`
}
