import type { Material, Plan } from '../lesson'
import { withoutNoise, type KitchenRegion } from '../quantity'
import { readAmountOf } from './amount'
import { inUnitOf, type Thing } from './cupboard'
import type { Need } from './needs'

/** What came back of one material of a lesson, in the material's own unit. */
export interface CountedBack {
  material: string
  taken: number
  back: number
  broken: number
}

/** How the stock of a thing changes, in the thing's unit. */
export interface StockChange {
  thing: string
  change: number
  broken: number
}

/** What most likely comes back of a material: all that is used again but what broke, the spares of what is used up. */
export function likelyBack({ forClass, spare }: Need, use: Material['use'], broken: number): number {
  return use === 'again' ? Math.max(0, withoutNoise(forClass - broken)) : spare
}

/**
 * How many of a thing that is used again neither came back nor broke: somebody has to say what became of them.
 * @returns undefined where none is missing; else what stands in the table once they are lost, or once they are found
 * @example missingOf('again', { taken: 7, back: 5, broken: 1 }) // => { count: 1, lost: 2, found: 6 }
 */
export function missingOf(
  use: Material['use'],
  { taken, back, broken }: Omit<CountedBack, 'material'>,
): { count: number; lost: number; found: number } | undefined {
  const count = use === 'again' ? withoutNoise(taken - back - broken) : 0
  return count > 0 ? { count, lost: withoutNoise(broken + count), found: withoutNoise(back + count) } : undefined
}

/**
 * By how much counting back changes the stock of a thing. What is used again went out and came back but for what broke; of what
 * is used up the rest came back.
 */
function stockChange({ use, taken, back, broken }: { use: Material['use']; taken: number; back: number; broken: number }) {
  return withoutNoise(use === 'again' ? -Math.max(broken, taken - back) : back - taken - broken)
}

/**
 * What counting back after a lesson does to the stocks. A material that is measured in another way than its thing is left alone;
 * two materials that are the same thing are added up.
 * @example stockChanges(
 *   { ...plan, materials: [{ ...plan.materials[0]!, thing: 'thermometers', use: 'again' }] },
 *   [thermometers],
 *   [{ material: plan.materials[0]!.id, taken: 7, back: 6, broken: 1 }],
 * ) // => [{ thing: 'thermometers', change: -1, broken: 1 }]
 */
export function stockChanges(plan: Plan, things: Thing[], rows: CountedBack[], kitchen: KitchenRegion = 'metric'): StockChange[] {
  const sums = new Map<string, StockChange>()
  for (const row of rows) {
    const material = plan.materials.find(({ id }) => id === row.material)
    const thing = things.find(({ id }) => id === material?.thing)
    if (!material || !thing) continue
    const amount = readAmountOf(material, kitchen)
    const turned = (value: number) =>
      amount.ok ? inUnitOf(thing, value, { unit: amount.unit, density: material.density, kitchen }) : undefined
    const [taken, back, broken] = [turned(row.taken), turned(row.back), turned(row.broken)]
    if (taken === undefined || back === undefined || broken === undefined) continue
    const before = sums.get(thing.id) ?? { thing: thing.id, change: 0, broken: 0 }
    const change = withoutNoise(before.change + stockChange({ use: material.use, taken, back, broken }))
    sums.set(thing.id, { thing: thing.id, change, broken: withoutNoise(before.broken + broken) })
  }
  return [...sums.values()]
}
