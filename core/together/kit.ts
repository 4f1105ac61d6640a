import { kitchenOf, needsOf, packsFor, supplyOf, turnInto, type Need, type School, type Supply } from '../kit'
import type { Material, Plan } from '../lesson'
import { withoutNoise, type UnitCode } from '../quantity'
import type { Member, Together } from './setOfLessons'

/** One thing of all the lessons together. */
export interface NeedTogether {
  name: string
  unit: UnitCode
  /** For all lessons. */
  amount: number
  parts: { lesson: string; amount: number }[]
  supply: Supply
  short: number
  packs: Need['packs']
}

/**
 * The plan as it stands in the room where all go round: what is used again stays at its place, one for each set; what is used up is still needed by every group.
 */
function asStanding(plan: Plan, sets: number): Plan {
  const stays = (material: Material) => material.use === 'again' && material.per !== 'class'
  return {
    ...plan,
    materials: plan.materials.map((material) =>
      stays(material) ? { ...material, goesRound: Math.min(material.goesRound ?? sets, Math.max(1, sets)) } : material,
    ),
  }
}

/** A lesson as it takes things, where it runs together with others. */
export function takenTogether(plan: Plan, lesson: string, { way, sets }: Together): Plan {
  return way === 'circuit' ? asStanding(plan, sets[lesson] ?? 1) : plan
}

/**
 * The kits of all lessons as one sum: a thing of the cupboard, or of one name and kind of unit, stands once, is held once against what is free, and is bought
 * once in whole packs.
 * @param school with what other lessons take; what these take is left out of it
 * @example kitTogether([{ lesson: 'a', plan: soakUpPlan() }, { lesson: 'b', plan: soakUpPlan() }], NEW_TOGETHER, NO_SCHOOL)[0]!.parts.length // => 2
 */
export function kitTogether(members: Member[], together: Together, school: School): NeedTogether[] {
  const own = new Set(members.map(({ lesson }) => lesson))
  const outside = { ...school, bookings: school.bookings.filter(({ lesson }) => !own.has(lesson)) }
  const kitchen = kitchenOf(school.customs)
  const rows: (NeedTogether & { material: Material })[] = []
  for (const { lesson, plan: written } of members) {
    const plan = takenTogether(written, lesson, together)
    for (const [place, need] of needsOf(plan, outside).entries()) {
      const material = plan.materials[place]!
      if (need.forClass === 0) continue
      const into = (unit: UnitCode) => turnInto(need.forClass, need.unit, unit, material.density, kitchen)
      const known = rows.find((row) => isSameThing(row.material, material) && into(row.unit) !== undefined)
      if (known) {
        const amount = into(known.unit)!
        known.amount = withoutNoise(known.amount + amount)
        known.parts.push({ lesson, amount })
        continue
      }
      rows.push({
        ...{ material, name: material.name, unit: need.unit, amount: need.forClass },
        ...{ parts: [{ lesson, amount: need.forClass }], supply: supplyOf(plan, material, need.unit, outside) },
        ...{ short: 0, packs: undefined },
      })
    }
  }
  return rows.map(({ material: _material, ...row }) => {
    const short = row.supply.stock === undefined ? 0 : Math.max(0, withoutNoise(row.amount - row.supply.stock))
    return { ...row, short, packs: packsFor(short, row.amount, row.supply) }
  })
}

function isSameThing(one: Material, other: Material): boolean {
  if (one.thing !== null || other.thing !== null) return one.thing === other.thing
  return one.name.trim().toLowerCase() === other.name.trim().toLowerCase() && one.name.trim() !== ''
}
