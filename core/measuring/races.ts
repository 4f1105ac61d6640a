import { drawNormal, seededRandom } from '../benches'
import { fLeaving } from '../chance'

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
 * @example chancesByRaces([0.62, 0.7, 0.78], 0.05, 3)[2].bestIsBest // 0.95
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
const clearAnswered = new Map<string, number>()

/**
 * The chance that Friedman's test calls the class's finishing orders clear: each group adds up the places of its races, a group alone goes by its
 * races. Simulated classes; the test by its F form (Iman and Davenport, 1980), and never where so few orders could not reach it.
 * @param means expected results, same unit as `sd`; the smallest comes first
 * @example racesComeOutClear({ means: [1, 2, 3], sd: 0.1, groups: 7, repeats: 3, sameThing: false }) // 1
 */
export function racesComeOutClear(ask: {
  means: number[]
  sd: number
  groups: number
  repeats: number
  sameThing: boolean
}): number {
  const { means, sd, groups, repeats, sameThing } = ask
  const key = JSON.stringify(ask)
  const known = clearAnswered.get(key)
  if (known !== undefined) return known
  const size = means.length
  const [blocks, races] = groups > 1 ? [groups, repeats] : [repeats, 1]
  let orders = 1
  for (let thing = 2; thing <= size; thing += 1) orders *= thing
  const beyondReach = blocks < 2 || orders ** (blocks - 1) * CLEAR_BELOW < 1 || (groups === 1 && sameThing)
  const answer = beyondReach ? 0 : shareOfClear(means, sd, blocks, races)
  if (clearAnswered.size >= MOST_ANSWERED) clearAnswered.clear()
  clearAnswered.set(key, answer)
  return answer
}

function shareOfClear(means: number[], sd: number, blocks: number, races: number): number {
  const size = means.length
  const critical = fLeaving(CLEAR_BELOW, size - 1, (size - 1) * (blocks - 1))
  const results = new Float64Array(size)
  let [next, clear] = [0, 0]
  for (let draw = 0; draw < CLEAR_DRAWS; draw += 1) {
    const columns = new Float64Array(size)
    let within = 0
    for (let block = 0; block < blocks; block += 1) {
      const sums = new Float64Array(size)
      for (let run = 0; run < races; run += 1) {
        for (let one = 0; one < size; one += 1) results[one] = means[one]! + sd * normalAt(next++)
        for (let one = 0; one < size; one += 1) sums[one]! += rankIn(results, one)
      }
      for (let one = 0; one < size; one += 1) {
        const centred = rankIn(sums, one) - (size + 1) / 2
        columns[one]! += centred
        within += centred ** 2
      }
    }
    const squares = columns.reduce((sum, column) => sum + column ** 2, 0)
    const statistic = within === 0 ? 0 : ((size - 1) * squares) / within
    const left = blocks * (size - 1) - statistic
    if (left <= 1e-9 || ((blocks - 1) * statistic) / left >= critical) clear += 1
  }
  return clear / CLEAR_DRAWS
}

/** 1 for the smallest, ties averaged. */
function rankIn(values: Float64Array, place: number): number {
  let rank = 1
  for (let other = 0; other < values.length; other += 1) {
    if (other === place) continue
    if (values[other]! < values[place]!) rank += 1
    else if (values[other] === values[place]) rank += 0.5
  }
  return rank
}
