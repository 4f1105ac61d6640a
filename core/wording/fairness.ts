import { hiddenComparisons, type FairCheck, type FairComparison, type Pair } from '../fairness'
import { changedFactor, comingFactors, letterOf, type Plan } from '../lesson'
import { kindOf, testOf } from '../test'
import { sentenceCase } from './sentenceCase'
import { counted, list } from './names'

export interface FairWords {
  verdict: string
  /** A tick only where everything was said. */
  mark: '✓' | '~' | '▲' | ''
  /** The fair pairs, or how many where they are many; empty when there is none. */
  fair: string
  /** What is not fair and why: pair by pair, or what most of them differ in. */
  notFair: string
  /** Fair comparisons that a muddled set-up hides, and other questions that a fair one could answer; the largest first. */
  hidden: { text: string; comparison: FairComparison }[]
}

const MOST_PAIRS = 6
const MOST_HIDDEN = 5

/** The fair check in words: how many pairs are fair, which, and why the others are not. */
export function fairWords(plan: Plan, check: FairCheck): FairWords {
  const letters = (ids: string[]) => list(ids.map((id) => letterOf(plan, id)))
  const nameOf = (id: string) => plan.factors.find((factor) => factor.id === id)?.name ?? 'a factor'
  const fair = check.pairs.filter((pair) => pair.status === 'fair')
  const notFair = check.pairs.filter((pair) => pair.status !== 'fair')
  const because = (pair: Pair) => {
    if (pair.status === 'same') return 'nothing is changed between them'
    return pair.status === 'unknown' ? 'something is not known' : `differ in ${list(pair.differing.map(nameOf))}`
  }
  const hidden = hiddenComparisons(check, plan.changed ?? '')
    .slice(0, MOST_HIDDEN)
    .map((comparison) => ({
      comparison,
      text: `How does ${nameOf(comparison.factor)} change ${testOf(plan).measure?.name ?? 'what we measure'}? With ${letters(comparison.conditions)}.`,
    }))
  return {
    mark: markOf(plan, check),
    verdict: [verdictOf(plan, check, fair.length, nameOf), comesWithWords(plan)].filter(Boolean).join(' '),
    fair: fair.length <= MOST_PAIRS ? sentences(fair.map(({ a, b }) => letters([a, b]))) : `${counted(fair.length, 'pair')}.`,
    notFair:
      notFair.length <= MOST_PAIRS
        ? sentences(notFair.map((pair) => `${letters([pair.a, pair.b])}: ${because(pair)}`))
        : mostly(notFair, nameOf),
    hidden,
  }
}

/** What is not told apart from what is changed, since it comes with it. `'The light comes with the place: what is found is about both together.'`; empty without any. */
export function comesWithWords(plan: Plan): string {
  const coming = comingFactors(plan).map(({ name }) => name)
  const changed = changedFactor(plan)?.name ?? 'what is changed'
  const verb = coming.length === 1 ? 'comes' : 'come'
  const together = coming.length === 1 ? 'both together' : 'all of them together'
  return coming.length === 0 ? '' : `${sentenceCase(list(coming))} ${verb} with ${changed}: what is found is about ${together}.`
}

/** What is changed, with what comes along. `'the place (with the light)'`; undefined where nothing is changed. */
export function changedWithAll(plan: Plan): string | undefined {
  const coming = comingFactors(plan).map(({ name }) => name)
  const name = changedFactor(plan)?.name
  return name === undefined || coming.length === 0 ? name : `${name} (with ${list(coming)})`
}

/** "58 pairs: 40 differ in the size, 36 in the lid." */
function mostly(pairs: Pair[], nameOf: (id: string) => string): string {
  const counts = new Map<string, number>()
  for (const factor of pairs.flatMap(({ differing }) => differing)) counts.set(factor, (counts.get(factor) ?? 0) + 1)
  const parts = [...counts].sort((a, b) => b[1] - a[1]).map(([factor, count]) => `${count} differ in ${nameOf(factor)}`)
  const unknown = pairs.filter(({ status }) => status === 'unknown').length
  const all = [...parts, ...(unknown > 0 ? [`in ${unknown} something is not known`] : [])]
  return `${counted(pairs.length, 'pair')}${all.length > 0 ? `: ${all.join(', ')}` : ''}.`
}

/** Where one thing is compared with itself there are no pairs that could be fair or not. */
function markOf(plan: Plan, { pairs, fair, unsaid, comesWith }: FairCheck): FairWords['mark'] {
  if (pairs.length === 0 && kindOf(plan).fewestConditions < 2) return ''
  if (!fair) return '▲'
  return unsaid.length > 0 || comesWith.length > 0 ? '~' : '✓'
}

function sentences(parts: string[]): string {
  return parts.length === 0 ? '' : `${parts.join('; ')}.`
}

function verdictOf(plan: Plan, check: FairCheck, fair: number, nameOf: (id: string) => string): string {
  const all = check.pairs.length
  if (all === 0)
    return kindOf(plan).fewestConditions > 1
      ? 'Two conditions are needed before anything can be compared.'
      : 'One thing is compared with itself: what has to be the same is said for every time that it is read.'
  if (check.fair && check.unsaid.length > 0) {
    const [only] = check.unsaid
    const kept = check.unsaid.length === 1 ? `${nameOf(only!)} is` : `${check.unsaid.length} things are`
    return `${all === 1 ? 'The one pair is' : `All ${all} pairs are`} fair if ${kept} kept the same: nobody has said how.`
  }
  if (check.fair) return all === 1 ? 'The one pair is fair.' : `All ${all} pairs are fair.`
  if (all === 1) return 'The one pair is not fair.'
  return fair === 0 ? `None of the ${all} pairs is fair.` : `${fair} of ${all} pairs ${fair === 1 ? 'is' : 'are'} fair.`
}
