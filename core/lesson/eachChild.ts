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

/** Do the groups of a lesson ask their own questions in it. `asksItsOwn(soakUpPlan()) // false` */
export function asksItsOwn({ asked, each }: Pick<Plan, 'asked' | 'each'>): boolean {
  return asked.whose === 'groups' && each === 'group'
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
  return { ...plan, each: 'group', groups: splitIntoGroups(plan.children, groups, newId), retests: [], notDone: [] }
}

/** As many records as there are children; those that stay keep their code, and the last seats go first. */
export function withRecords(plan: Plan, children: number, newId: () => string, random: () => number): Plan {
  const count = Math.max(1, Math.min(MOST.children, children))
  const groups = plan.groups.slice(0, count)
  const taken = new Set(groups.map(({ name }) => name))
  while (groups.length < count) {
    const name = freeCode(taken, random)
    taken.add(name)
    groups.push(childAt(newId(), name, freshKey(random), groups.length))
  }
  return { ...plan, children: count, groups }
}

function childAt(id: string, name: string, key: string, place: number): Group {
  return { id, name, shape: SHAPES[place % SHAPES.length]!, seats: 1, wondering: null, away: [], sharesWith: null, key }
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

const KEY_LENGTH = 4

/** What nobody guesses from what stands on the board: four letters and digits, one in half a million. */
function freshKey(random: () => number): string {
  const signs = LETTERS + DIGITS
  return Array.from({ length: KEY_LENGTH }, () => signs[Math.floor(random() * signs.length)]!).join('')
}

/**
 * What a child types to open its own record: its code, which stands in tables and on the board, and its key, which stands on its strip only. A lesson begun before
 * there were keys has the code alone.
 * @example codeOf({ name: 'K37', key: 'R4TP' }) // => 'K37 R4TP'
 */
export function codeOf({ name, key }: Pick<Group, 'name' | 'key'>): string {
  return key === '' ? name : `${name} ${key}`
}

/**
 * The record that a child's whole code opens, however it was typed.
 * @example recordByCode({ groups: [{ id: 'c1', name: 'K37', key: 'R4TP' }] }, ' k37-r4tp') // => 'c1'
 */
export function recordByCode({ groups }: { groups: Pick<Group, 'id' | 'name' | 'key'>[] }, typed: string): string | undefined {
  const plain = (code: string) => code.replaceAll(/[\s-]/g, '').toUpperCase()
  const code = plain(typed)
  return code === '' ? undefined : groups.find((group) => plain(codeOf(group)) === code)?.id
}

/** Was it begun before children's codes had keys. */
export function hasOldCodes(plan: Pick<Plan, 'each' | 'groups'>): boolean {
  return isEachChild(plan) && plan.groups.some(({ key }) => key === '')
}

/** The plan with another key for every child: strips printed before open nothing any more. */
export function withFreshKeys(plan: Plan, random: () => number): Plan {
  return { ...plan, groups: plan.groups.map((group) => ({ ...group, key: freshKey(random) })) }
}

/** At which seat a child sits, counted from 1. */
export function seatOf({ groups }: Pick<Plan, 'groups'>, record: string): number {
  return groups.findIndex(({ id }) => id === record) + 1
}

/**
 * Whose thing a record's readings are of: its own, or that of the child whose thing it shares.
 * @example ownerOf({ each: 'child', groups: [{ id: 'c1', sharesWith: null }, { id: 'c2', sharesWith: 'c1' }] }, 'c2') // => 'c1'
 */
export function ownerOf(plan: { each: Plan['each']; groups: Pick<Group, 'id' | 'sharesWith'>[] }, record: string): string {
  if (!isEachChild(plan)) return record
  const passed = new Set<string>()
  let owner = record
  for (let next: string | null = record; next !== null && !passed.has(next);) {
    const found = plan.groups.find(({ id }) => id === next)
    if (!found) break
    passed.add((owner = found.id))
    next = found.sharesWith
  }
  return owner
}

/**
 * How many things the children have among them, where some share one.
 * @example ownersIn(soakUpPlan()).length // => 7
 */
export function ownersIn(plan: Plan): string[] {
  return [...new Set(plan.groups.map(({ id }) => ownerOf(plan, id)))]
}

/** Do some children share a thing. `sharesThings(soakUpPlan()) // false` */
export function sharesThings(plan: Plan): boolean {
  return ownersIn(plan).length < plan.groups.length
}

/**
 * The plan with so many children to a thing, as they sit; with one each has its own.
 * @example ownersIn(withSharedThings({ ...soakUpPlan(), each: 'child' }, 4)).length // => 2
 */
export function withSharedThings(plan: Plan, children: number): Plan {
  const first = (place: number) => plan.groups[place - (place % Math.max(1, children))]!.id
  return {
    ...plan,
    groups: plan.groups.map((one, place) => ({ ...one, sharesWith: first(place) === one.id ? null : first(place) })),
  }
}

/** The plan with one child sharing the thing of another, and with it those who shared its own; null gives it one of its own. */
export function withShared(plan: Plan, record: string, other: string | null): Plan {
  const owner = other === null ? null : ownerOf(plan, other)
  const joins = (one: Group) => one.id === record || (owner !== null && one.sharesWith === record)
  return {
    ...plan,
    groups: plan.groups.map((one) => (joins(one) ? { ...one, sharesWith: owner === one.id ? null : owner } : one)),
  }
}
