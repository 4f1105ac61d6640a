import { splitIntoGroups, type Plan } from '../core/lesson'
import { bounceBack } from './bounceBack'
import { iceInABag } from './iceInABag'
import type { Investigation } from './investigation'
import { paperBridge } from './paperBridge'
import { soakUpStrips } from './soakUpStrips'
import { sproutWatch } from './sproutWatch'
import { whichIsHeaviest } from './whichIsHeaviest'

export type { Investigation } from './investigation'

/** The investigations that ship, by id. */
export const INVESTIGATIONS: Record<string, Investigation> = {
  'soak-up-strips': soakUpStrips,
  'bounce-back': bounceBack,
  'ice-in-a-bag': iceInABag,
  'sprout-watch': sproutWatch,
  'which-is-heaviest': whichIsHeaviest,
  'paper-bridge': paperBridge,
}

/** A plan for this class from a ready investigation. */
export function planFrom(investigation: Investigation, className: string, children: number, newId: () => string): Plan {
  const { summary: _summary, topic: _topic, ages: _ages, ...rest } = structuredClone(investigation)
  return { ...rest, className, children, date: '', notes: '', groups: splitIntoGroups(children, 7, newId) }
}
