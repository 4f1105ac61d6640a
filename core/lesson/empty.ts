import { MOST } from './limits'
import { PLAN_VERSION, SHAPES, type Group, type Plan, type Remark, type Watch, type Wonder } from './plan'
import { isTool, usualUse, type Material } from './material'
import { type Arrangement } from './timing'

export const GROUP_NAMES = ['Alder', 'Birch', 'Cedar', 'Dogwood', 'Elm', 'Fir', 'Gorse', 'Hazel', 'Ivy', 'Juniper'] as const
export const MOST_GROUPS = MOST.groups

const USUAL_GROUPS = 7

/** How many groups a class begins with: seven, and never so many that a child is alone. `usualGroups(2) // 1` */
export function usualGroups(children: number): number {
  return children === 0 ? USUAL_GROUPS : Math.min(USUAL_GROUPS, Math.max(1, Math.floor(children / 2)))
}

/**
 * Splits a class into groups as evenly as can be, the larger groups first.
 * @param newId makes the ids
 * @example splitIntoGroups(26, 7, newId).map((group) => group.seats) // => [4, 4, 4, 4, 4, 3, 3]
 */
export function splitIntoGroups(children: number, groups: number, newId: () => string): Group[] {
  const count = Math.max(0, Math.min(groups, MOST_GROUPS))
  return Array.from({ length: count }, (_, place) => ({
    id: newId(),
    name: GROUP_NAMES[place]!,
    shape: SHAPES[place]!,
    seats: Math.floor(children / count) + (place < children % count ? 1 : 0),
    wondering: null,
    away: [],
    sharesWith: null,
    key: '',
  }))
}

/**
 * The class in another number of groups: groups that stay keep their id, name and shape, so that what they wrote stays theirs;
 * the last ones go first, and the seats are split anew.
 * @example withGroups(plan, 8, newId).groups.at(-1)!.name // => 'Hazel'
 */
export function withGroups(plan: Plan, groups: number, newId: () => string): Plan {
  if (plan.each === 'child') return plan
  const fresh = splitIntoGroups(plan.children, groups, newId)
  const names = new Set(plan.groups.slice(0, groups).map((group) => group.name))
  const free = GROUP_NAMES.filter((name) => !names.has(name))
  const resized = fresh.map((group, place): Group => {
    const old = plan.groups[place]
    return old
      ? { ...old, seats: group.seats, away: old.away.filter((seat) => seat <= group.seats) }
      : { ...group, name: free.shift() ?? group.name }
  })
  return { ...plan, groups: resized }
}

/** Something noticed, guessed or wondered, as it is first written down. */
export function newRemark(id: string, text: string, by: string | null = null): Remark {
  return { id, text, kept: false, by, later: false, answers: {} }
}

/** A thing of the kit, one for each group until somebody says otherwise. `newMaterial('t', 'shallow tray').per // 'group'` */
export function newMaterial(id: string, name: string, amount = '1'): Material {
  return {
    id,
    name,
    amount,
    per: 'group',
    perSaid: false,
    condition: null,
    use: isTool(name) ? 'again' : 'up',
    rinse: 0,
    goesRound: null,
    inUse: usualUse(name),
    spare: 0,
    thing: null,
    stock: '',
    place: '',
    pack: '',
    price: '',
    density: null,
    substitutes: [],
    preparation: null,
    toBuy: false,
    cautions: [],
  }
}

export const NOTHING_SAID: Wonder = { hook: '', pictures: [], noticed: [], maybe: [], wondered: [], takenAway: [] }

export const FIRST_WATCH: Watch = { unit: 'min', times: [], named: [], places: [], instruments: 1, among: 'group' }
const FIRST_JOBS = ['starter', 'measurer', 'recorder', 'checker']
const FIRST_ARRANGEMENT: Arrangement = {
  way: 'every-group',
  order: 'mixed',
  orderReason: '',
  each: 2,
  baselineInEvery: false,
  change: 'at-bell',
  walk: 30,
  copies: {},
  extra: [],
  draw: 0,
}

/** A lesson with nothing in it but the class. */
export function emptyPlan(className: string, children: number, newId: () => string): Plan {
  return {
    schemaVersion: PLAN_VERSION,
    begunIn: PLAN_VERSION,
    kind: 'fair-test',
    title: '',
    className,
    children,
    date: '',
    investigation: null,
    notes: '',
    words: 'change-measure',
    frame: 'i-think',
    predictAs: 'order',
    asked: { whose: 'teacher', chosen: null },
    wonder: NOTHING_SAID,
    factors: [],
    changed: null,
    measures: [],
    measured: null,
    alsoMeasured: [],
    mainQuestion: null,
    unmarked: null,
    conditionsAs: 'kinds',
    conditionUnit: 'cm',
    conditions: [],
    seriesFactor: null,
    series: [],
    watch: { ...FIRST_WATCH },
    repeats: 3,
    practice: 1,
    things: 'same',
    challenge: null,
    gapsStay: false,
    each: 'group',
    groups: splitIntoGroups(children, usualGroups(children), newId),
    resetList: [],
    materials: [],
    ownCautions: [],
    cautionsAcknowledged: [],
    cautionsNotHere: {},
    clock: {
      start: '',
      minutes: 60,
      phases: { gather: 4, wonder: 5, plan: 5, predict: 4, fetch: 3, clearAway: 4, results: 6, agree: 5 },
      trial: { setUp: 0, run: 0, read: 0, reset: 0 },
      sideBySide: 1,
      fetchWhilePredicting: false,
      least: {},
      pace: null,
    },
    arrangement: FIRST_ARRANGEMENT,
    jobs: FIRST_JOBS,
    secondReader: false,
    retests: [],
    notDone: [],
    average: 'mean',
    averageTo: 'one-more',
    graph: null,
    age: '7-9',
    criteria: [],
    groupNotes: {},
  }
}

/**
 * How many groups a class makes when they should have a certain size; the nearest number of groups.
 * @example groupsBySize(26, 4) // => 7
 */
export function groupsBySize(children: number, size: number): number {
  return Math.max(1, Math.min(MOST_GROUPS, Math.ceil(children / Math.max(1, size))))
}

/**
 * How many children sit in the largest group.
 * @example largestGroup([{ seats: 4 }, { seats: 3 }]) // => 4
 */
export function largestGroup(groups: { seats: number }[]): number {
  return Math.max(0, ...groups.map(({ seats }) => seats))
}
