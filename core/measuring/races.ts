import { fLeaving, drawNormal, seededRandom } from '../chance'

export interface RaceChance {
  bestIsBest: number
  rightOrder: number
}

const DRAWS = 2000
const FEWEST_DRAWS = 200
/** Comparing everybody with everybody in 2000 classes of six is quick enough for every edit; larger fields get fewer classes. */
const QUICK_FIELD = 6
const SEED = 60

const random = seededRandom(SEED)
const drawn: number[] = []

/** The nth number of one fixed stream of normal draws: drawn once, since every question reads the same ones. */
function normalAt(place: number): number {
  while (drawn.length <= place) drawn.push(drawNormal(random))
  return drawn[place]!
}

/**
 * The chances when every repeat only says who came first, second and so on, and places are added up: for 1 to `most` races.
 * Seeded simulation of 2000 classes (fewer for more than six conditions); a shared first counts as half.
 * @param means expected results, one per condition, same unit as `sd`; the smallest comes first
 * @param sd    wobble of one of them in one race
 * @throws RangeError with fewer than two conditions
 * @example chancesByRaces([0.62, 0.7, 0.78], 0.05, 3)[2].bestIsBest // => 0.95
 */
export function chancesByRaces(means: number[], sd: number, most: number): RaceChance[] {
  if (means.length < 2) throw new RangeError('needs-two-conditions')
  const key = JSON.stringify([means, sd, most])
  const known = answered.get(key)
  if (known) return known
  const answer = race(means, sd, most)
  if (answered.size >= MOST_ANSWERED) answered.clear()
  answered.set(key, answer)
  return answer
}

// The Second look asks on every edit of the plan, and hardly ever anything new.
const MOST_ANSWERED = 50
const answered = new Map<string, RaceChance[]>()

function race(means: number[], sd: number, most: number): RaceChance[] {
  const ascending = [...means].sort((a, b) => a - b)
  const draws = Math.max(FEWEST_DRAWS, Math.round(DRAWS * Math.min(1, (QUICK_FIELD / ascending.length) ** 2)))
  let next = 0
  // Race by race over all classes, so that the first races are the same ones however many follow.
  const classes = Array.from({ length: draws }, () => new Float64Array(ascending.length))
  const results = new Float64Array(ascending.length)
  return Array.from({ length: most }, () => {
    let [best, right] = [0, 0]
    for (const beaten of classes) {
      ascending.forEach((mean, one) => (results[one] = mean + sd * normalAt(next + one)))
      next += results.length
      for (let one = 0; one < results.length; one += 1) {
        for (let other = 0; other < results.length; other += 1) if (results[other]! < results[one]!) beaten[one]! += 1
      }
      best += shareOfFirst(beaten)
      if (beaten.every((sum, place) => place === 0 || beaten[place - 1]! < sum)) right += 1
    }
    return { bestIsBest: best / draws, rightOrder: right / draws }
  })
}

/** 1 when the first has the lowest sum alone, a share of it when it shares that sum, else 0. */
function shareOfFirst(sums: Float64Array): number {
  let ties = 1
  for (let other = 1; other < sums.length; other += 1) {
    if (sums[other]! < sums[0]!) return 0
    if (sums[other] === sums[0]) ties += 1
  }
  return 1 / ties
}

const CLEAR_DRAWS = 300
const CLEAR_BELOW = 0.05
const clearAnswered = new Map<string, number[]>()

/**
 * The chances that Friedman's test calls the class's finishing orders clear after 1 to `most` races of each group: a group adds up the places of its races, a group
 * alone goes by its races. Simulated classes; the test by its F form (Iman and Davenport, 1980), and never where so few orders could not reach it.
 * @param means expected results, same unit as `sd`; the smallest comes first
 * @example racesComeOutClear({ means: [1, 2, 3], sd: 0.1, groups: 7, most: 3, sameThing: false })[2] // => 1
 */
export function racesComeOutClear(ask: {
  means: number[]
  sd: number
  groups: number
  most: number
  sameThing: boolean
}): number[] {
  const { means, sd, groups, most, sameThing } = ask
  const key = JSON.stringify(ask)
  const known = clearAnswered.get(key)
  if (known) return known
  const answer = groups > 1 ? clearOfGroups(means, sd, groups, most) : clearOfOneGroup(means, sd, sameThing ? 0 : most)
  while (answer.length < most) answer.push(0)
  if (clearAnswered.size >= MOST_ANSWERED) clearAnswered.clear()
  clearAnswered.set(key, answer)
  return answer
}

/** Each further race adds to the sums of its group, so that one simulated class answers for every number of races. */
function clearOfGroups(means: number[], sd: number, groups: number, most: number): number[] {
  const clear = new Array<number>(most).fill(0)
  if (!canBeClear(means.length, groups)) return clear
  let next = 0
  for (let draw = 0; draw < CLEAR_DRAWS; draw += 1) {
    const sums = Array.from({ length: groups }, () => new Float64Array(means.length))
    for (let run = 0; run < most; run += 1) {
      for (const own of sums) next = addRace(own, means, sd, next)
      if (isClear(sums)) clear[run]! += 1 / CLEAR_DRAWS
    }
  }
  return clear
}

function clearOfOneGroup(means: number[], sd: number, most: number): number[] {
  const clear = new Array<number>(most).fill(0)
  let next = 0
  for (let draw = 0; draw < CLEAR_DRAWS && most > 0; draw += 1) {
    const races: Float64Array[] = []
    for (let run = 0; run < most; run += 1) {
      races.push(new Float64Array(means.length))
      next = addRace(races[run]!, means, sd, next)
      if (canBeClear(means.length, run + 1) && isClear(races)) clear[run]! += 1 / CLEAR_DRAWS
    }
  }
  return clear
}

/** All orders alike come up by luck in (1 / k!)^(b - 1). */
function canBeClear(conditions: number, blocks: number): boolean {
  let orders = 1
  for (let thing = 2; thing <= conditions; thing += 1) orders *= thing
  return blocks > 1 && orders ** (blocks - 1) * CLEAR_BELOW >= 1
}

const raced: Float64Array[] = []

function addRace(sums: Float64Array, means: number[], sd: number, next: number): number {
  const results = (raced[means.length] ??= new Float64Array(means.length))
  for (let one = 0; one < means.length; one += 1) results[one] = means[one]! + sd * normalAt(next + one)
  for (let one = 0; one < means.length; one += 1) sums[one]! += rankIn(results, one)
  return next + means.length
}

function isClear(blocks: Float64Array[]): boolean {
  const size = blocks[0]!.length
  const columns = new Float64Array(size)
  let within = 0
  for (const sums of blocks) {
    for (let one = 0; one < size; one += 1) {
      const centred = rankIn(sums, one) - (size + 1) / 2
      columns[one]! += centred
      within += centred ** 2
    }
  }
  if (within === 0) return false
  let squares = 0
  for (const column of columns) squares += column ** 2
  const statistic = ((size - 1) * squares) / within
  const left = blocks.length * (size - 1) - statistic
  const critical = fLeaving(CLEAR_BELOW, size - 1, (size - 1) * (blocks.length - 1))
  return left <= 1e-9 || ((blocks.length - 1) * statistic) / left >= critical
}

/** 1 for the smallest, ties averaged. */
function rankIn(values: Float64Array, place: number): number {
  let rank = 1
  const own = values[place]!
  for (let other = 0; other < values.length; other += 1) {
    if (other === place) continue
    if (values[other]! < own) rank += 1
    else if (values[other] === own) rank += 0.5
  }
  return rank
}
