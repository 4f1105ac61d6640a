import type { Material, Plan } from '../lesson'
import type { KitchenRegion, UnitCode } from '../quantity'
import { piecesCut, readAmountOf, readPrice, turnInto, type AmountErrorCode } from './amount'
import { kitchenOf } from './customs'
import { freeOf, takenBefore, type Booking, type School, type Thing } from './cupboard'

export type SupplyField = 'stock' | 'pack' | 'price'

/** Why a figure of the supply does not count. */
export interface SupplyProblem {
  field: SupplyField
  code: AmountErrorCode | 'other-unit' | 'density-missing'
}

/** What is there of a material and what a pack of it holds, in the unit the plan needs it in. */
export interface Supply {
  thing: Thing | undefined
  /** Free for this lesson; undefined when not counted. */
  stock: number | undefined
  /** What other lessons take first. */
  taken: Booking[]
  pack: number | undefined
  price: number | undefined
  place: string
  problems: SupplyProblem[]
}

/** From the cupboard where the material is a thing of it, else from what stands in the plan. */
export function supplyOf(plan: Plan, material: Material, unit: UnitCode, school: School): Supply {
  const thing = material.thing === null ? undefined : school.things.find(({ id }) => id === material.thing)
  return thing ? fromCupboard(plan, material, unit, thing, school) : fromPlan(material, unit, kitchenOf(school.customs))
}

function fromPlan(material: Material, unit: UnitCode, kitchen: KitchenRegion): Supply {
  const problems: SupplyProblem[] = []
  const amount = (field: 'stock' | 'pack'): number | undefined => {
    const text = material[field]
    if (text.trim() === '') return undefined
    const cut = piecesCut(material.amount, text)
    if (cut !== undefined) return cut
    const read = readAmountOf({ name: material.name, amount: text }, kitchen)
    if (!read.ok) return void problems.push({ field, code: read.code })
    // A bare number is in the unit of the amount: "500" beside "20 mL" is 500 mL.
    if (read.unit === 'pieces' && /^\s*[\d.,\s]+$/.test(text)) return read.value
    return turned(field, read.value, read.unit)
  }
  const turned = (field: SupplyField, value: number, from: UnitCode): number | undefined => {
    const inUnit = turnInto(value, from, unit, material.density, kitchen)
    if (inUnit === undefined)
      problems.push({ field, code: turnInto(value, from, unit, 1) === undefined ? 'other-unit' : 'density-missing' })
    return inUnit
  }
  const price = material.price.trim() === '' ? undefined : readPrice(material.price)
  if (price && !price.ok) problems.push({ field: 'price', code: price.code })
  const [stock, pack] = [amount('stock'), amount('pack')]
  return {
    thing: undefined,
    stock,
    taken: [],
    pack: pack === 0 ? undefined : pack,
    price: price?.ok ? price.value : undefined,
    place: material.place,
    problems,
  }
}

function fromCupboard(plan: Plan, material: Material, unit: UnitCode, thing: Thing, school: School): Supply {
  const turned = (value: number) => turnInto(value, thing.unit, unit, material.density, kitchenOf(school.customs))
  const stock = turned(freeOf(thing, plan, school))
  const code = turnInto(1, thing.unit, unit, 1) === undefined ? 'other-unit' : 'density-missing'
  return {
    thing,
    stock,
    taken: takenBefore(thing, plan, school),
    pack: thing.pack === null ? undefined : turned(thing.pack),
    price: thing.price ?? undefined,
    place: thing.place,
    problems: stock === undefined ? [{ field: 'stock', code }] : [],
  }
}
