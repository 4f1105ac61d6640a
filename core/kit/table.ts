import { unreachable } from '../unreachable'
import { newMaterial, usualUse, type Material, type Plan } from '../lesson'

/** Columns of the materials list that are typed or pasted. */
export const COLUMNS = ['name', 'amount', 'per', 'use', 'spare', 'stock', 'pack', 'price', 'place', 'rinse'] as const
export type Column = (typeof COLUMNS)[number]

const MOST_MATERIALS = 100
const LONGEST = 200

const PER: [Material['per'], RegExp][] = [
  ['class', /\bclass\b/],
  ['group', /\b(group|team|table|tray)\b/],
  ['child', /\b(child|pupil|head)\b/],
  ['condition', /\b(condition|kind)\b/],
  ['trial', /\b(trial|time|go|repeat)\b/],
]

/**
 * A material with what was typed or pasted into one of its cells. Amounts are kept as they are written; words that stand for a
 * choice have to be one of them.
 * @returns undefined where the cell cannot be that
 * @example withWritten(plan.materials[0]!, 'spare', '10 %')!.spare // => 0.1
 */
export function withWritten(material: Material, column: Column, text: string): Material | undefined {
  const written = text.trim().slice(0, LONGEST)
  switch (column) {
    case 'name': {
      const unsaid = material.inUse.join() === usualUse(material.name).join()
      return { ...material, name: written, inUse: unsaid ? usualUse(written) : material.inUse }
    }
    case 'amount':
    case 'stock':
    case 'pack':
    case 'price':
    case 'place':
      return { ...material, [column]: written }
    case 'per': {
      const per = PER.find(([, words]) => words.test(written.toLowerCase()))?.[0]
      return per && { ...material, per, perSaid: true }
    }
    case 'use':
      if (/again|back|reus/i.test(written)) return { ...material, use: 'again' }
      return /up|once|gone/i.test(written) ? { ...material, use: 'up' } : undefined
    case 'spare': {
      const share = numberIn(written)
      return share === undefined || share > 500 ? undefined : { ...material, spare: share / 100 }
    }
    case 'rinse': {
      const minutes = numberIn(written)
      return minutes === undefined || minutes > 600 ? undefined : { ...material, rinse: minutes }
    }
    default:
      return unreachable(column)
  }
}

function numberIn(text: string): number | undefined {
  if (text === '') return 0
  const match = /^(\d+(?:[.,]\d+)?)\s*(%|min|minutes)?$/.exec(text)
  return match ? Number(match[1]!.replace(',', '.')) : undefined
}

export interface PastedTable {
  plan: Plan
  /** Cells that could not be what was pasted: row of the list, column, the text. */
  left: { row: number; column: Column; text: string }[]
}

/**
 * The plan with a block of cells pasted into its materials list at one place; rows beyond the last become new materials.
 * @param newId makes the ids of new materials
 */
export function pasteMaterials(
  plan: Plan,
  block: string[][],
  at: { row: number; column: Column },
  newId: () => string,
): PastedTable {
  const materials = [...plan.materials]
  const left: PastedTable['left'] = []
  const first = COLUMNS.indexOf(at.column)
  for (const [down, cells] of block.entries()) {
    const row = at.row + down
    if (row >= MOST_MATERIALS) break
    let material = materials[row] ?? newMaterial(newId(), '')
    for (const [across, text] of cells.entries()) {
      const column = COLUMNS[first + across]
      if (!column) break
      const changed = withWritten(material, column, text)
      if (changed) material = changed
      else left.push({ row, column, text })
    }
    materials[row] = material
  }
  return { plan: { ...plan, materials }, left }
}
