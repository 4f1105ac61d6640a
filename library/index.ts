import { splitIntoGroups, type Plan } from '../core/lesson'
import { soakUpStrips, type Investigation } from './soakUpStrips'

export type { Investigation } from './soakUpStrips'

/** The investigations that ship, by id. */
export const INVESTIGATIONS: Record<string, Investigation> = { 'soak-up-strips': soakUpStrips }

/** A plan for this class from a ready investigation. */
export function planFrom(investigation: Investigation, className: string, children: number, newId: () => string): Plan {
  const { summary: _summary, ...rest } = structuredClone(investigation)
  return { ...rest, className, children, date: '', notes: '', groups: splitIntoGroups(children, 7, newId) }
}
