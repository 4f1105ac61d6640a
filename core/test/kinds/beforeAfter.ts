import type { Plan } from '../../lesson'
import { USUAL, type KindOfTest } from './kind'

/** The same thing measured twice, with something happening in between. */
export const beforeAfter: KindOfTest = {
  ...USUAL,
  code: 'before-after',
  fewestConditions: 1,
  ways: ['number'],
  predictions: ['change', 'order', 'most-least', 'number'],
  arrangements: ['every-group', 'share-out', 'together'],
  readsTwice: true,
  cutShort: false,
  moments: () => (['before', 'after'] as const).map((half) => ({ id: half, half, time: undefined, place: undefined })),
  // One thing alone is compared with itself: before with after.
  counted: (plan, { addsUp }) => (addsUp && compares(plan) ? ['change', 'loss', 'of-100'] : ['change', 'loss']),
  graph: (plan) => (compares(plan) ? { best: 'bars', reason: 'changes' } : { best: 'pairs', reason: 'same-thing-twice' }),
}

function compares(plan: Plan): boolean {
  return plan.conditions.filter(({ leftOut }) => !leftOut).length > 1
}
