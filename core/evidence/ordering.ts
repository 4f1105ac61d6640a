import { fitCells } from './cells'
import { friedman, wholeBlocks } from './friedman'
import {
  agreementOn,
  capped,
  gradeOfP,
  isLevel,
  mainPiece,
  NOTHING_WEIGHED,
  orderBy,
  summariesOf,
  type Evidence,
  type Limit,
} from './grade'
import type { Observation } from './model'
import { neighboursOf, reachOf } from './neighbours'

/** Values that only say an order: places (1 comes first) or ordered words (1 is the least). */
export type Ordinal = 'places' | 'words'

/**
 * The evidence of values that only say an order: Friedman's test over the groups, or over the repeats of one group. Averages are
 * averages of places or of words' numbers, for telling who is ahead and for nothing else; neighbours are told apart by sign tests.
 * @example weighOrder([{ group: 'A', condition: 'x', repeat: 1, value: 1 }], 'places').grade // => 'one-condition'
 */
export function weighOrder(
  observations: (Observation & { repeat: number })[],
  ordinal: Ordinal,
  {
    sameThing = false,
    oneSpecimen = false,
    unfinished = false,
  }: { sameThing?: boolean; oneSpecimen?: boolean; unfinished?: boolean } = {},
): Evidence {
  if (observations.length === 0) return NOTHING_WEIGHED
  const sign = ordinal === 'places' ? 1 : -1
  const fit = fitCells(observations, 0)
  const { evened } = fit
  const summaries = summariesOf(observations, evened)
  const order = orderBy(mainPiece(fit), (id) => sign * evened.get(id)!)
  const oneGroup = fit.groups === 1
  const byBlock = oneGroup ? observations.map((one) => ({ ...one, group: String(one.repeat) })) : observations
  const test = friedman(byBlock)
  const one = order.length < 2
  const limits: Limit[] = [
    ...(!one && oneGroup && !test ? (['one-reading-each'] as const) : []),
    ...((oneSpecimen || (oneGroup && sameThing)) && test ? (['same-thing'] as const) : []),
    ...(unfinished ? (['unfinished'] as const) : []),
  ]
  const base = { ...NOTHING_WEIGHED, summaries, order, limits, fit: undefined, friedman: test }
  if (one) return { ...base, grade: summaries.length === 1 ? 'one-condition' : 'nothing-yet' }
  const grade = test ? capped(limits, gradeOfP(test.p)) : 'cannot-tell'
  const { blocks } = wholeBlocks(byBlock)
  const ranks = blocks.map((block) => new Map([...block].map(([id, value]) => [id, sign * value])))
  const neighbours = neighboursOf(order, ranks, grade)
  const gapOf = (more: string, less: string) => {
    return { more, less, difference: evened.get(more)! - evened.get(less)!, wobbles: undefined }
  }
  const tied = order.filter((id) => isLevel(evened.get(id)!, evened.get(order[0]!)!))
  return {
    ...base,
    grade,
    tied: tied.length > 1 ? tied : [],
    spread: gapOf(order[0]!, order.at(-1)!),
    lead: tied.length > 1 ? undefined : { ...gapOf(order[0]!, order[1]!), grade: neighbours[0]!.grade },
    neighbours,
    reach: test ? reachOf(test.blocks, order.length) : undefined,
    agreement: oneGroup
      ? undefined
      : agreementOn(
          order[0]!,
          observations.map((one) => ({ ...one, value: -sign * one.value })),
        ),
  }
}
