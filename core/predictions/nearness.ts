import { mean } from 'simple-statistics'
import type { Prediction } from '../lesson'
import type { PredictionResults } from './results'

export interface Nearness {
  /** Comparisons that came out as they were predicted: pairs of an order; the most and the least; ups and downs. */
  right: number
  /** Comparisons that both the prediction and the result made. */
  all: number
  /** What is compared. */
  of: 'pairs' | 'ends' | 'changes' | 'words'
  /** Average distance of predicted numbers from the averages, in the plan's unit; undefined where no number was predicted. */
  away: number | undefined
}

/**
 * How near a predicted order was to the order of the averages, counted in pairs (the counting behind Kendall's tau).
 * @param predicted condition ids, the most first
 * @param result    condition ids by average, the largest first
 * @example nearnessOf(['a', 'b', 'c'], ['b', 'a', 'c']) // => { right: 2, all: 3, of: 'pairs', away: undefined }
 */
export function nearnessOf(predicted: string[], result: string[]): Nearness {
  const known = predicted.filter((id) => result.includes(id))
  const pairs = known.flatMap((more, place) => known.slice(place + 1).map((less) => [more, less] as const))
  const right = pairs.filter(([more, less]) => result.indexOf(more) < result.indexOf(less)).length
  return { right, all: pairs.length, of: 'pairs', away: undefined }
}

/**
 * How near any kind of prediction was.
 * @param found what came out (core/predictions/results.ts)
 */
export function nearnessOfPrediction(
  { as, order: predicted, values }: Pick<Prediction, 'as' | 'order' | 'values'>,
  { order, values: results, changes, bySize, same, exactly }: PredictionResults,
): Nearness {
  if (as === 'most-least') {
    const ends = [predicted[0] === order[0], predicted.length > 1 && predicted.at(-1) === order.at(-1)]
    return { right: ends.filter(Boolean).length, all: Math.min(2, predicted.length), of: 'ends', away: undefined }
  }
  const both = Object.keys(values).filter((id) => results[id] !== undefined)
  if (as === 'change') {
    const way = (value: number) => (Math.abs(value) <= same ? 0 : Math.sign(value))
    const right = both.filter((id) => way(changes[id] ?? results[id]!) === values[id]).length
    return { right, all: both.length, of: 'changes', away: undefined }
  }
  if (exactly) {
    const right = both.filter((id) => results[id] === values[id]).length
    return { right, all: both.length, of: 'words', away: undefined }
  }
  const guessed = (id: string) => (bySize ? Math.abs(values[id]!) : values[id]!)
  const away = both.length > 0 ? mean(both.map((id) => Math.abs(guessed(id) - results[id]!))) : undefined
  return { ...nearnessOf(predicted, order), away: as === 'order' ? undefined : away }
}
