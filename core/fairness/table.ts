import {
  activeConditions,
  changedFactor,
  keptFactors,
  newFactor,
  seriesFactor,
  type Condition,
  type Factor,
  type Plan,
} from '../lesson'
import { seriesIn, withConditionInEach, withLevelLabel } from '../test'
import type { FairComparison } from './compare'
import { settingOf } from './settings'

/**
 * What the table holds for a factor and a condition. The changed factor's value is the condition's own name, unless the table says
 * it apart from the name: "Pot 3" with "no lid".
 */
export function cellOf(plan: Plan, factor: Factor, condition: Condition): string {
  return factor.id === plan.changed && !isSpelledOut(plan, factor) ? condition.label : settingOf(factor, condition.id)
}

/** Does the table say what the changed factor is for each condition, beside the condition's name. */
function isSpelledOut(plan: Plan, factor: Factor): boolean {
  return activeConditions(plan).some(({ id }) => id in factor.exceptions)
}

/** The plan with one cell of the table written: the same as for all, or an exception. */
export function withCell(plan: Plan, factorId: string, condition: string, text: string): Plan {
  const value = text.trim().slice(0, 200)
  return {
    ...plan,
    factors: plan.factors.map((factor) => {
      if (factor.id !== factorId) return factor
      const others = Object.entries(factor.exceptions).filter(([id]) => id !== condition)
      const same = value === '' || value === factor.how.trim()
      return { ...factor, exceptions: Object.fromEntries(same ? others : [...others, [condition, value]]) }
    }),
  }
}

/**
 * The plan with a block from a spreadsheet in its table of conditions (rows) by factors (columns). A heading row is known by the
 * name of a factor in it, or by an empty table; names it has that the plan does not become factors. Rows and columns beyond the
 * table become conditions and factors.
 * @param at     where the block's first cell goes: condition by place, factor by place, -1 for the column of names
 * @param newId  makes the ids
 * @example pasteTable(plan, [['felt'], ['lint']], { row: 0, column: -1 }, newId).conditions.map(({ label }) => label)
 *   // => ['felt', 'lint', 'writing paper', 'card']
 */
export function pasteTable(plan: Plan, block: string[][], at: { row: number; column: number }, newId: () => string): Plan {
  const heading = headingOf(plan, block, at)
  const rows = heading ? block.slice(1) : block
  const width = Math.max(0, ...block.map((row) => row.length))
  let next = plan
  // What each column of the block is about: null for the conditions' names.
  const columns: (string | null)[] = []
  for (let place = 0; place < width; place += 1) {
    const column = at.column + place
    const name = heading?.[place]?.trim() ?? ''
    if (column === -1) {
      columns.push(null)
      continue
    }
    const known = name === '' ? tableFactors(next)[column] : next.factors.find((factor) => same(factor.name, name))
    if (known) columns.push(known.id)
    else {
      const factor = newFactor(newId(), name || `Column ${place + 1}`)
      next = { ...next, factors: [...next.factors, factor], changed: next.changed ?? factor.id }
      columns.push(factor.id)
    }
  }
  rows.forEach((cells, down) => {
    if (cells.every((cell) => cell.trim() === '')) return
    let condition = activeConditions(next)[at.row + down]
    if (!condition && seriesIn(next).length > 0) {
      // Of several series a row more is one in each.
      const before = new Set(next.conditions.map(({ id }) => id))
      next = withConditionInEach(next, cells[columns.indexOf(null)]?.trim().slice(0, 200) ?? '', newId)
      condition = next.conditions.find(({ id }) => !before.has(id))!
    }
    if (!condition) {
      condition = { id: newId(), label: '', baseline: false, leftOut: false }
      next = { ...next, conditions: [...next.conditions, condition] }
    }
    const { id } = condition
    cells.forEach((cell, place) => {
      const text = cell.trim()
      const factor = columns[place]
      if (factor === null && text !== '') {
        next = withLevelLabel(next, id, text.slice(0, 200))
      } else if (typeof factor === 'string') next = withCell(next, factor, id, text)
    })
  })
  return next
}

function headingOf(plan: Plan, block: string[][], at: { row: number; column: number }): string[] | undefined {
  const [first] = block
  if (!first || block.length < 2) return undefined
  const names = plan.factors.some((factor) => first.some((cell) => same(factor.name, cell)))
  const blank = at.column === -1 && activeConditions(plan).length === 0 && first.length > 1
  return names || blank ? first : undefined
}

/** The factors of the table from left to right: the changed one only where it is spelled out beside the names. */
export function tableFactors(plan: Plan): Factor[] {
  const changed = changedFactor(plan)
  if (!changed) return plan.factors
  const second = seriesFactor(plan)
  const others = [...(second ? [second] : []), ...keptFactors(plan)]
  return isSpelledOut(plan, changed) ? [changed, ...others] : others
}

/**
 * The plan narrowed to one of the fair comparisons hidden in it: its factor is the one to change, everything that is not in it is
 * left out and can come back.
 */
export function takeComparison(plan: Plan, { factor, conditions }: FairComparison): Plan {
  return {
    ...chooseChange(plan, factor),
    conditions: plan.conditions.map((condition) => ({ ...condition, leftOut: !conditions.includes(condition.id) })),
  }
}

/**
 * The plan with another factor to change. Where the table already says what the new factor is for each condition, the old one's
 * values (the conditions' names) are written into the table too, so that nothing is forgotten.
 * @example chooseChange(plan, 'width').changed // => 'width'
 */
export function chooseChange(plan: Plan, factorId: string): Plan {
  const old = changedFactor(plan)
  const chosen = plan.factors.find((factor) => factor.id === factorId)
  const factors = old?.id === factorId ? plan.factors : plan.factors.map(alone)
  if (!chosen || !old || old.id === factorId || isSpelledOut(plan, old) || !isSpelledOut(plan, chosen)) {
    return { ...plan, ...numberedBy(plan, chosen?.name ?? ''), changed: factorId, factors }
  }
  const exceptions = Object.fromEntries(plan.conditions.map(({ id, label }) => [id, label.trim().slice(0, 200) || '?']))
  return {
    ...plan,
    changed: factorId,
    factors: factors.map((factor) => (factor.id === old.id ? { ...factor, how: '', exceptions } : factor)),
  }
}

/** What came with the old one has to be kept the same beside the new one. */
function alone(factor: Factor): Factor {
  return { ...factor, comesWith: false }
}

/** "The number of layers" is counted, as long as nobody has said what it is changed to. */
function numberedBy({ conditions }: Plan, name: string): Partial<Plan> {
  const counted = conditions.length === 0 && /\bnumber of\b|\bhow many\b/i.test(name)
  return counted ? { conditionsAs: 'numbers', conditionUnit: 'count' } : {}
}

function same(a: string, b: string): boolean {
  return a.trim() !== '' && a.trim().toLowerCase() === b.trim().toLowerCase()
}
