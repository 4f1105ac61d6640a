export interface Nearness {
  /** Pairs of conditions that came out as they were predicted. */
  right: number
  /** Pairs that both the prediction and the result put in an order. */
  all: number
}

/**
 * How near a predicted order was to the order of the averages, counted in pairs (the counting behind Kendall's tau).
 * @param predicted condition ids, the most first
 * @param result    condition ids by average, the largest first
 * @example nearnessOf(['a', 'b', 'c'], ['b', 'a', 'c']) // { right: 2, all: 3 }
 */
export function nearnessOf(predicted: string[], result: string[]): Nearness {
  const known = predicted.filter((id) => result.includes(id))
  const pairs = known.flatMap((more, place) => known.slice(place + 1).map((less) => [more, less] as const))
  const right = pairs.filter(([more, less]) => result.indexOf(more) < result.indexOf(less)).length
  return { right, all: pairs.length }
}
