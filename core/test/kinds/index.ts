import type { Kind, Plan } from '../../lesson'
import { beforeAfter } from './beforeAfter'
import { describe } from './describe'
import { fairTest } from './fairTest'
import { improve } from './improve'
import type { KindOfTest } from './kind'
import { overTime } from './overTime'
import { putInOrder } from './putInOrder'

export type { GraphOfKind, KindOfTest, OrderOfKind } from './kind'

export const KINDS_OF_TEST: Record<Kind, KindOfTest> = {
  'fair-test': fairTest,
  'before-after': beforeAfter,
  'over-time': overTime,
  order: putInOrder,
  improve,
  describe,
}

/**
 * The kind of test that a plan is.
 * @example kindOf({ kind: 'over-time' }).watches // => true
 */
export function kindOf({ kind }: Pick<Plan, 'kind'>): KindOfTest {
  return KINDS_OF_TEST[kind]
}
