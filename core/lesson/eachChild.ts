import { withCondition } from './conditions'
import { splitIntoGroups } from './empty'
import { MOST } from './limits'
import { SHAPES, type Group, type Plan } from './plan'

/** Nothing in it is easily read as something else. */
const LETTERS = 'ABCDEFHKLMNPRTUVWXY'
const DIGITS = '23456789'

/** Does each child have a record of its own? */
export function isEachChild({ each }: Pick<Plan, 'each'>): boolean {
  return each === 'child'
}

/**
 * The class with a record for each child: a record is a group of one seat whose name is the child's code, so that nobody reads from
 * it where a child sits. A plan with nothing to compare gets the one thing that everybody measures.
 * @param random between 0 and 1, for the codes
 * @example withEachChild(soakUpPlan(), newId, () => 0).groups.length // => 26
 */
export function withEachChild(plan: Plan, newId: () => string, random: () => number): Plan {
  const compared = plan.conditions.length > 0 ? plan : withCondition(plan, newId(), 'what each of us measured')
  return withRecords({ ...compared, each: 'child', groups: [] }, plan.children, newId, random)
}

/** The class in groups again. */
export function withoutEachChild(plan: Plan, groups: number, newId: () => string): Plan {
  return { ...plan, each: 'group', groups: splitIntoGroups(plan.children, groups, newId), retests: [] }
}

/** As many records as there are children; those that stay keep their code, and the last seats go first. */
export function withRecords(plan: Plan, children: number, newId: () => string, random: () => number): Plan {
  const count = Math.max(1, Math.min(MOST.children, children))
  const groups = plan.groups.slice(0, count)
  const taken = new Set(groups.map(({ name }) => name))
  while (groups.length < count) {
    const name = freeCode(taken, random)
    taken.add(name)
    groups.push(childAt(newId(), name, groups.length))
  }
  return { ...plan, children: count, groups }
}

function childAt(id: string, name: string, place: number): Group {
  return { id, name, shape: SHAPES[place % SHAPES.length]!, seats: 1, wondering: null, away: [] }
}

/** A letter and two digits that nobody has yet, from wherever the dice begin. */
function freeCode(taken: Set<string>, random: () => number): string {
  const all = LETTERS.length * DIGITS.length * DIGITS.length
  const begin = Math.floor(random() * all)
  for (let step = 0; step < all; step += 1) {
    const code = codeAt((begin + step) % all)
    if (!taken.has(code)) return code
  }
  throw new RangeError('There are no more codes.')
}

function codeAt(number: number): string {
  const [first, second] = [Math.floor(number / DIGITS.length) % DIGITS.length, number % DIGITS.length]
  return `${LETTERS[Math.floor(number / DIGITS.length / DIGITS.length)]!}${DIGITS[first]!}${DIGITS[second]!}`
}

/**
 * The record that a child's code opens, however it was typed.
 * @example recordByCode({ groups: [{ id: 'c1', name: 'K37' }] }, ' k 37') // => 'c1'
 */
export function recordByCode({ groups }: { groups: Pick<Group, 'id' | 'name'>[] }, typed: string): string | undefined {
  const code = typed.replaceAll(/[\s-]/g, '').toUpperCase()
  return groups.find(({ name }) => name.toUpperCase() === code)?.id
}

/** At which seat a child sits, counted from 1. */
export function seatOf({ groups }: Pick<Plan, 'groups'>, record: string): number {
  return groups.findIndex(({ id }) => id === record) + 1
}
