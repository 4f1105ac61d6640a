import { likelyThing, needsOf, type Need, type School } from '../kit'
import type { Plan } from '../lesson'
import { takeWayOut, waysOut, type WayOut } from './shortage'

/** What was changed so that a lesson does with what the cupboard has. */
export interface TakenInstead {
  way: WayOut
  /** The plan that the way was taken on: its words name what is in it. */
  plan: Plan
  need: Need
}

/** Ways that need nothing from a shop and leave the class as it is, which a teacher need not be asked about. */
const WITHOUT_ASKING: WayOut['code'][] = ['rota', 'share-out', 'together']
const MOST_STEPS = 20

/**
 * A plan changed until the cupboard has what it needs, as far as that goes: what the cupboard lacks gives way to a substitute that it
 * has, too few instruments go round, and what is used up is shared out.
 * @returns the plan, what was changed in turn, and the names of what is still short
 * @example withWhatIsThere(plan, NO_SCHOOL, newId).taken // => []
 */
export function withWhatIsThere(
  plan: Plan,
  school: School,
  newId: () => string,
): { plan: Plan; taken: TakenInstead[]; short: string[] } {
  let now = plan
  const taken: TakenInstead[] = []
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const next = firstStep(now, school, newId)
    if (!next) break
    taken.push({ way: next.way, plan: now, need: next.need })
    now = next.after
  }
  const short = needsOf(now, school).filter((need) => need.short > 0)
  return { plan: now, taken, short: short.map(({ material }) => now.materials.find(({ id }) => id === material)!.name) }
}

function firstStep(plan: Plan, school: School, newId: () => string) {
  for (const need of needsOf(plan, school)) {
    const lacks = need.short > 0 || (school.things.length > 0 && need.supply.thing === undefined)
    if (!lacks) continue
    const ways: WayOut[] = [
      ...substitutesThere(plan, need, school),
      ...(need.short > 0 ? waysOut(plan, need, school, newId).filter(({ code }) => WITHOUT_ASKING.includes(code)) : []),
    ]
    for (const way of ways) {
      const after = linked(takeWayOut(plan, way, newId), need.material, school)
      if (helps(after, need, school)) return { way, need, after }
    }
  }
  return undefined
}

/** Those of its substitutes that stand in the cupboard. */
function substitutesThere(plan: Plan, need: Need, { things }: School): WayOut[] {
  const material = plan.materials.find(({ id }) => id === need.material)!
  return material.substitutes
    .filter(({ name }) => likelyThing(name, things) !== undefined)
    .map(({ id }) => ({
      code: 'substitute',
      material: material.id,
      substitute: id,
      effect: material.condition === null ? 'all-alike' : 'other-condition',
      stillShort: undefined,
      chances: undefined,
      minutes: 0,
    }))
}

function linked(plan: Plan, material: string, { things }: School): Plan {
  const materials = plan.materials.map((one) =>
    one.id === material ? { ...one, thing: one.thing ?? likelyThing(one.name, things)?.id ?? null } : one,
  )
  return { ...plan, materials }
}

function helps(after: Plan, before: Need, school: School): boolean {
  const need = needsOf(after, school).find(({ material }) => material === before.material)!
  return before.supply.thing === undefined && before.short === 0
    ? need.supply.thing !== undefined && need.short === 0
    : need.short < before.short
}
