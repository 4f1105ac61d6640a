import { newRemark, REMARK_LISTS, type Plan, type Remark, type RemarkList, type SaidRemark } from '../lesson'

/**
 * The plan with what stations said in its lists, in the order in which it came. What was taken up already, or taken away at the
 * desk, is not brought back. The desk's next edit keeps it in the plan for good.
 */
export function withSaid(plan: Plan, said: SaidRemark[]): Plan {
  const known = new Set([...REMARK_LISTS.flatMap((list) => plan.wonder[list].map((remark) => remark.id)), ...plan.wonder.takenAway])
  const fresh = said.filter((row) => !known.has(row.id))
  if (fresh.length === 0) return plan
  const listed = (list: RemarkList) => [
    ...plan.wonder[list],
    ...fresh.filter((row) => row.list === list).map(({ id, text, group }) => newRemark(id, text, group)),
  ]
  return {
    ...plan,
    wonder: { ...plan.wonder, noticed: listed('noticed'), maybe: listed('maybe'), wondered: listed('wondered') },
  }
}

/**
 * The plan with one list as it was dragged into order. A remark that came from another list leaves it: a drag tells the two lists one
 * after the other, and in between a remark from a station would come back to where it was said.
 */
export function withList(plan: Plan, list: RemarkList, remarks: Remark[]): Plan {
  const here = new Set(remarks.map(({ id }) => id))
  const others = REMARK_LISTS.filter((other) => other !== list)
  const left = others.map((other) => [other, plan.wonder[other].filter(({ id }) => !here.has(id))])
  return { ...plan, wonder: { ...plan.wonder, ...Object.fromEntries(left), [list]: remarks } }
}

/** As many as schemas/plan.ts lets a plan hold. */
export const MOST_TAKEN_AWAY = 2000

/** The plan without a remark, wherever it stands; what a station said stays away. */
export function withoutRemark(plan: Plan, id: string): Plan {
  const away = (list: RemarkList) => plan.wonder[list].filter((remark) => remark.id !== id)
  return {
    ...plan,
    asked: plan.asked.chosen === id ? { ...plan.asked, chosen: null } : plan.asked,
    groups: plan.groups.map((group) => (group.wondering === id ? { ...group, wondering: null } : group)),
    wonder: {
      ...plan.wonder,
      noticed: away('noticed'),
      maybe: away('maybe'),
      wondered: away('wondered'),
      takenAway: [...plan.wonder.takenAway, id].slice(-MOST_TAKEN_AWAY),
    },
  }
}

/** The plan with two wonderings as one: both texts stand in the first, the second is gone. */
export function mergeWonderings(plan: Plan, into: string, from: string): Plan {
  const other = plan.wonder.wondered.find((remark) => remark.id === from)
  if (!other || into === from) return plan
  const merged = plan.wonder.wondered.map((remark) =>
    remark.id === into ? { ...remark, text: `${remark.text} / ${other.text}`.slice(0, 4000) } : remark,
  )
  const chosen = plan.asked.chosen === from ? into : plan.asked.chosen
  const groups = plan.groups.map((group) => (group.wondering === from ? { ...group, wondering: into } : group))
  return withoutRemark({ ...plan, groups, asked: { ...plan.asked, chosen }, wonder: { ...plan.wonder, wondered: merged } }, from)
}
