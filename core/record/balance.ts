import type { Plan } from '../lesson'
import type { Place } from './grid'

/** One weighing of two things on a balance: which pan went down. */
export interface Weighing {
  left: string
  right: string
  down: 'left' | 'right' | 'same'
}

export interface BalanceOrder {
  /** The heaviest first, equal ones together; undefined until the order is settled. */
  order: string[][] | undefined
  /** The two to weigh next; undefined when settled, or while a contradiction has to be weighed again. */
  next: [string, string] | undefined
  /** How many more weighings it takes at least, if the answers split evenly. */
  least: number
  /** The fewest weighings that contradict each other, to be weighed again; empty when none do. */
  loop: Weighing[]
}

/** Up to so many things all orders that are still possible are counted. */
const MOST_COUNTED = 9

/**
 * What weighings two at a time say about the order of things, and which two to weigh next so that the fewest weighings settle
 * it: the pair that splits the orders which are still possible most evenly. What follows from earlier answers is not asked; of
 * two answers about the same pair the later one holds. With more than nine things the pair whose places seem nearest is asked.
 * Orders are counted as paths through the sets of things that can come first.
 * @param things ids, each once
 * @param weighings in the order they were done
 * @example balanceOrder(['a', 'b', 'c'], []).next // => ['a', 'b']
 */
export function balanceOrder(things: string[], weighings: Weighing[]): BalanceOrder {
  const standing = lastOfEachPair(things, weighings)
  const loop = smallestLoop(standing)
  if (loop.length > 0) return { order: undefined, next: undefined, least: 0, loop }
  const classes = equalOnes(things, standing)
  const lighter = lighterThan(classes, standing)
  const size = classes.length
  const heavierThan = lighter.map((_, thing) => lighter.flatMap((below, other) => (below[thing] ? [other] : [])))
  const open = pairs(size).filter(([a, b]) => !lighter[a]![b] && !lighter[b]![a])
  if (open.length === 0) {
    const order = [...classes.keys()].sort((a, b) => heavierThan[a]!.length - heavierThan[b]!.length)
    return { order: order.map((place) => classes[place]!), next: undefined, least: 0, loop: [] }
  }
  const { total, first } = size <= MOST_COUNTED ? countOrders(size, heavierThan) : guessOrders(lighter)
  const evenness = ([a, b]: [number, number]) => Math.min(first(a, b), first(b, a))
  const [a, b] = open.reduce((best, pair) => (evenness(pair) > evenness(best) ? pair : best))
  return { order: undefined, next: [classes[a]![0]!, classes[b]![0]!], least: Math.max(1, Math.ceil(Math.log2(total))), loop: [] }
}

/**
 * Which of a pair lies on the left: sides change from group to group and from round to round, so that a balance that leans names nobody.
 * @param group place of the group in the class, from 0
 * @example onSides(['a', 'b'], 1, 2) // => ['b', 'a']
 */
export function onSides([one, other]: [string, string], group: number, round: number): [left: string, right: string] {
  return (group + round) % 2 === 0 ? [one, other] : [other, one]
}

/** The two that a group weighs next, as they lie on the pans in this round. */
export function sidesAt(
  { groups }: Pick<Plan, 'groups'>,
  { group, repeat }: Pick<Place, 'group' | 'repeat'>,
  pair: [string, string] | undefined,
): [left: string, right: string] | undefined {
  return (
    pair &&
    onSides(
      pair,
      Math.max(
        0,
        groups.findIndex(({ id }) => id === group),
      ),
      repeat,
    )
  )
}

function lastOfEachPair(things: string[], weighings: Weighing[]): Weighing[] {
  const known = new Set(things)
  const last = new Map<string, Weighing>()
  for (const weighing of weighings) {
    const { left, right } = weighing
    if (left === right || !known.has(left) || !known.has(right)) continue
    const pair = left < right ? `${left}\n${right}` : `${right}\n${left}`
    last.delete(pair)
    last.set(pair, weighing)
  }
  return [...last.values()]
}

/** The shortest way round from something heavier, down the answers, back to itself. */
function smallestLoop(weighings: Weighing[]): Weighing[] {
  let smallest: Weighing[] = []
  for (const weighing of weighings) {
    const [heavy, light] = ends(weighing) ?? []
    if (heavy === undefined || light === undefined) continue
    const back = wayDown(weighings, light, heavy)
    if (back && (smallest.length === 0 || back.length + 1 < smallest.length)) smallest = [weighing, ...back]
  }
  return smallest
}

/** The shortest chain of answers by which `from` is at least as heavy as `to`. */
function wayDown(weighings: Weighing[], from: string, to: string): Weighing[] | undefined {
  const ways = new Map<string, Weighing[]>([[from, []]])
  for (const [here, way] of ways) {
    if (here === to) return way
    for (const weighing of weighings) {
      const { left, right, down } = weighing
      const there = here === left && down !== 'right' ? right : here === right && down !== 'left' ? left : undefined
      if (there !== undefined && !ways.has(there)) ways.set(there, [...way, weighing])
    }
  }
  return undefined
}

function ends({ left, right, down }: Weighing): [heavy: string, light: string] | undefined {
  return down === 'same' ? undefined : down === 'left' ? [left, right] : [right, left]
}

/** Things in classes of equal weight, each class at the place of its first thing. */
function equalOnes(things: string[], weighings: Weighing[]): string[][] {
  const classOf = new Map(things.map((thing): [string, string[]] => [thing, [thing]]))
  for (const { left, right, down } of weighings) {
    const [one, other] = [classOf.get(left)!, classOf.get(right)!]
    if (down !== 'same' || one === other) continue
    const both = things.filter((thing) => one.includes(thing) || other.includes(thing))
    for (const thing of both) classOf.set(thing, both)
  }
  return [...new Set(things.map((thing) => classOf.get(thing)!))]
}

/** `lighterThan(…)[a][b]`: it is known that b is lighter than a, be it by way of others. */
function lighterThan(classes: string[][], weighings: Weighing[]): boolean[][] {
  const place = new Map(classes.flatMap((members, at) => members.map((thing) => [thing, at] as const)))
  const lighter = classes.map(() => new Array<boolean>(classes.length).fill(false))
  for (const weighing of weighings) {
    const [heavy, light] = ends(weighing) ?? []
    if (heavy !== undefined && light !== undefined) lighter[place.get(heavy)!]![place.get(light)!] = true
  }
  for (const middle of classes.keys())
    for (const a of classes.keys())
      if (lighter[a]![middle]) for (const b of classes.keys()) if (lighter[middle]![b]) lighter[a]![b] = true
  return lighter
}

interface Orders {
  total: number
  /** In how many of them a comes before b. */
  first(a: number, b: number): number
}

/**
 * All orders, heaviest first, that the known relations leave. A set of things that can stand first is reached in so many ways and
 * left in so many; an order is a path from the empty set to the full one.
 */
function countOrders(size: number, heavierThan: number[][]): Orders {
  const needed = heavierThan.map((heavier) => heavier.reduce((set, thing) => set | (1 << thing), 0))
  const full = (1 << size) - 1
  const reached = new Float64Array(full + 1)
  const left = new Float64Array(full + 1)
  const canFollow = (set: number, thing: number) => (set & (1 << thing)) === 0 && (needed[thing]! & ~set) === 0
  reached[0] = 1
  for (let set = 0; set < full; set += 1) {
    if (reached[set] === 0) continue
    for (let thing = 0; thing < size; thing += 1) if (canFollow(set, thing)) reached[set | (1 << thing)]! += reached[set]!
  }
  left[full] = 1
  const before = new Float64Array(size * size)
  for (let set = full - 1; set >= 0; set -= 1) {
    if (reached[set] === 0) continue
    for (let thing = 0; thing < size; thing += 1) {
      if (!canFollow(set, thing)) continue
      const after = left[set | (1 << thing)]!
      left[set]! += after
      const orders = reached[set]! * after
      for (let other = 0; other < size; other += 1) {
        if (other !== thing && (set & (1 << other)) === 0) before[thing * size + other]! += orders
      }
    }
  }
  return { total: left[0]!, first: (a, b) => before[a * size + b]! }
}

/** Where too many orders are possible to count: how far down each thing seems to stand, from what is known to be around it. */
function guessOrders(lighter: boolean[][]): Orders {
  const size = lighter.length
  const seems = lighter.map((below, thing) => {
    const above = lighter.filter((others) => others[thing]).length
    const under = below.filter(Boolean).length
    return (above + 1) / (above + under + 2)
  })
  let total = 1
  for (let thing = 2; thing <= size; thing += 1) total *= thing
  return { total, first: (a, b) => 1 - Math.max(0, seems[a]! - seems[b]!) }
}

function pairs(size: number): [number, number][] {
  return Array.from({ length: size }, (_, a) =>
    Array.from({ length: size - a - 1 }, (_, b): [number, number] => [a, a + 1 + b]),
  ).flat()
}

/**
 * The place of each thing in a settled order, 1 for the heaviest; equal ones share the middle of theirs.
 * @example placesOf([['b'], ['a', 'c']]) // => new Map([['b', 1], ['a', 2.5], ['c', 2.5]])
 */
export function placesOf(order: string[][]): Map<string, number> {
  let before = 0
  return new Map(
    order.flatMap((together) => {
      const place = before + (together.length + 1) / 2
      before += together.length
      return together.map((thing): [string, number] => [thing, place])
    }),
  )
}
