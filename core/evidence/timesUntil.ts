import { middleValue } from '../record'
import { summarise } from './averages'
import type { ConditionSummary, Evidence, EvidenceOptions } from './grade'
import type { Observation } from './model'
import { weighOrder } from './ordering'

/**
 * The evidence of times until something, `Infinity` where it was not reached while anybody watched. Times of watching are coarse and what was not reached has no
 * number: only their order is weighed (Friedman's test), and the middle one stands for a condition.
 * @param results one time a trial
 * @example weighTimesUntil([{ group: 'A', condition: 'felt', repeat: 1, value: Infinity }], { resolution: 1 }).grade // => 'one-condition'
 */
export function weighTimesUntil(
  results: (Observation & { repeat: number })[],
  options: Pick<EvidenceOptions, 'sameThing' | 'oneSpecimen' | 'unfinished'>,
): Evidence {
  const sorted = results.map(({ value }) => value).sort((a, b) => a - b)
  // Equal times share the middle of the places that they take.
  const rankOf = (value: number) => (sorted.indexOf(value) + sorted.lastIndexOf(value)) / 2
  const ranked = weighOrder(
    results.map((one) => ({ ...one, value: rankOf(one.value) })),
    'words',
    options,
  )
  const middles = new Map(
    [...new Set(results.map(({ condition }) => condition))].map((condition) => [
      condition,
      middleValue(timesOf(results, condition)),
    ]),
  )
  const gap = <G extends { more: string; less: string }>(one: G) => ({
    ...one,
    difference: apart(middles.get(one.more)!, middles.get(one.less)!),
  })
  return {
    ...ranked,
    summaries: ranked.summaries.map(({ condition }): ConditionSummary => {
      const middle = middles.get(condition)!
      return { ...summarise(timesOf(results, condition))!, condition, mean: middle, evened: middle }
    }),
    spread: ranked.spread && gap(ranked.spread),
    lead: ranked.lead && gap(ranked.lead),
  }
}

function timesOf(results: Observation[], condition: string): number[] {
  return results.filter((one) => one.condition === condition).map(({ value }) => value)
}

/** Two that were both not reached came out level. */
function apart(more: number, less: number): number {
  return more === less ? 0 : more - less
}
