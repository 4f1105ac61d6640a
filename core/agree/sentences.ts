import type { Conclusion, Plan } from '../lesson'

/** The sentences that groups offer, each in its newest form, in the plan's order of groups. */
export function offersOf(plan: Plan, conclusions: Conclusion[]): Conclusion[] {
  const replaced = new Set(conclusions.flatMap(({ group, from }) => (group === null || from === null ? [] : [from])))
  const current = conclusions.filter(({ id, group }) => group !== null && !replaced.has(id))
  return plan.groups.flatMap(({ id }) => current.filter(({ group }) => group === id))
}

/**
 * The id under which a group first said a sentence: it stays the same while hands are counted for it and its words change.
 * @example firstSaid({ id: 'b', group: 'g3', from: 'a' }, [{ id: 'a', group: 'g3', from: null }]) // => 'a'
 */
export function firstSaid(sentence: Origin, conclusions: Origin[]): string {
  const seen = new Set<string>()
  let first = sentence
  for (let at: Origin | undefined = sentence; at && !seen.has(at.id);) {
    first = at
    seen.add(at.id)
    const { from, group }: Origin = at
    at = conclusions.find((one) => one.id === from && one.group === group)
  }
  return first.id
}

type Origin = Pick<Conclusion, 'id' | 'group' | 'from'>

/** The class's own sentence as it stands, and its earlier wordings, the newest first. */
export function classSentences(conclusions: Conclusion[]): Conclusion[] {
  return conclusions.filter(({ group }) => group === null).reverse()
}

/** The class's own sentence as it stands. */
export function classConclusion(conclusions: Conclusion[]): Conclusion | undefined {
  return conclusions.findLast(({ group }) => group === null)
}

/** Whose sentence the class took up, if it was a group's. `originOf(conclusion({ from: 'a' }), [conclusion({ id: 'a', group: 'g3' })]) // 'g3'` */
export function originOf(sentence: Conclusion, conclusions: Conclusion[]): string | undefined {
  const byId = new Map(conclusions.map((one) => [one.id, one]))
  const seen = new Set<string>()
  for (let at: Conclusion | undefined = sentence; at && !seen.has(at.id); at = byId.get(at.from ?? '')) {
    if (at.group !== null) return at.group
    seen.add(at.id)
  }
  return undefined
}
