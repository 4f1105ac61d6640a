import type { Kind } from '../../lesson'
import { beforeAfter } from './beforeAfter'
import { describe } from './describe'
import { fairTest } from './fairTest'
import { improve } from './improve'
import type { KindWords } from './kindWords'
import { overTime } from './overTime'
import { putInOrder } from './putInOrder'

export { isClause } from './kindWords'
export type { Segment } from './kindWords'

/** How each kind of test is talked about. */
export const KIND_WORDS: Record<Kind, KindWords> = {
  'fair-test': fairTest,
  'before-after': beforeAfter,
  'over-time': overTime,
  order: putInOrder,
  improve,
  describe,
}
