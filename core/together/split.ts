import { MOST, type Plan } from '../lesson'
import { groupNamed } from './setOfLessons'

/**
 * A lesson in two: the groups that stay, and those that go into a lesson of their own with the same plan. Ids stay as they are, so that rows only change the lesson that
 * they are in.
 * @param names of the groups that go
 * @returns undefined where nobody would go, or nobody stay
 * @example splitPlan(soakUpPlan(), ['Birch'])!.goes.groups.map(({ id }) => id) // => ['g2']
 */
export function splitPlan(plan: Plan, names: string[]): { stays: Plan; goes: Plan } | undefined {
  const going = new Set(names.flatMap((name) => groupNamed(plan, name)?.id ?? []))
  if (going.size === 0 || going.size === plan.groups.length) return undefined
  return { stays: withGroupsOf(plan, (id) => !going.has(id)), goes: withGroupsOf(plan, (id) => going.has(id)) }
}

function withGroupsOf(plan: Plan, stays: (group: string) => boolean): Plan {
  const groups = plan.groups.filter(({ id }) => stays(id))
  return {
    ...plan,
    groups,
    children: groups.reduce((sum, { seats }) => sum + seats, 0),
    retests: plan.retests.filter(({ group }) => stays(group)),
    notDone: plan.notDone.filter(({ group }) => stays(group)),
    groupNotes: Object.fromEntries(Object.entries(plan.groupNotes).filter(([id]) => stays(id))),
  }
}

/**
 * Two lessons in one again: both measure and change the same cards, and what one tests the other has, too.
 * @returns undefined where they are different tests, or have a group in common
 * @example joinPlans(splitPlan(soakUpPlan(), ['Birch'])!.stays, splitPlan(soakUpPlan(), ['Birch'])!.goes)!.groups.length // => 7
 */
export function joinPlans(into: Plan, from: Plan): Plan | undefined {
  const there = new Set(into.conditions.map(({ id }) => id))
  const sameTest =
    into.kind === from.kind &&
    into.changed === from.changed &&
    into.measured === from.measured &&
    into.each === from.each &&
    from.conditions.every(({ id }) => there.has(id))
  const inCommon = from.groups.some((group) => into.groups.some(({ id }) => id === group.id) || groupNamed(into, group.name))
  const groups = [...into.groups, ...from.groups]
  if (!sameTest || inCommon || groups.length > (into.each === 'child' ? MOST.children : MOST.groups)) return undefined
  return {
    ...into,
    groups,
    children: into.children + from.children,
    repeats: Math.max(into.repeats, from.repeats),
    retests: [...into.retests, ...from.retests],
    notDone: [...into.notDone, ...from.notDone],
    groupNotes: { ...into.groupNotes, ...from.groupNotes },
  }
}
