import { oncePerPair, tLeaving } from '../chance'
import { type Plan, type Reading } from '../lesson'
import { readQuantity } from '../quantity'
import { kindOf, testOf } from '../test'
import { countedReadings } from './readings'
import { ODD_SDS } from './slips'

/** With fewer fellows the teacher's expectation counts as one. */
export const FELLOWS_ENOUGH = 3
/** So many residuals are needed before anything is called odd. */
const RESIDUALS_TO_BE_ODD = 5
const READINGS_FOR_A_LEVEL = 3
const MAD_TO_SD = 1.4826

/** Which fellows are meant: those of a reading, or of a number about to become one. */
interface Place {
  id?: string | undefined
  group: string
  condition: string
  moment: string
}

/** What groups have of the same condition, moment and place, with each group's own level taken out. */
export interface Fellowship {
  counted: Reading[]
  byId: Map<string, Reading>
  /** By condition and moment, their values ascending. */
  byKey: Map<string, Reading[]>
  /** Values less their group's level, ascending, by condition and moment. */
  values: Map<string, number[]>
  levels: Map<string, number>
  /** Robust sd of what is left, over all and by condition and moment; undefined where there are too few. */
  pooledSd: number | undefined
  ownSd: Map<string, number>
  /** So much further something has to lie before it is odd, since few residuals tell the wobble; 1 where many do. */
  doubt: number
  middleOfAll: number | undefined
  empty: number | undefined
  /** Somebody wrote inches. */
  inches: boolean
}

export const fellowship = oncePerPair((plan: Plan, readings: Reading[]): Fellowship => {
  const counted = countedReadings(plan, readings)
  const byKey = new Map<string, Reading[]>()
  for (const reading of counted) addTo(byKey, keyOf(reading), reading)
  for (const own of byKey.values()) own.sort((a, b) => a.value - b.value)
  // What a group's later tries do says nothing of its first one.
  const levels = kindOf(plan).improves ? new Map<string, number>() : levelsOf(byKey)
  const values = new Map(
    [...byKey].map(([key, own]) => [key, own.map(({ group, value }) => value - (levels.get(group) ?? 0)).sort((a, b) => a - b)]),
  )
  const several = [...values].filter(([, own]) => own.length >= FELLOWS_ENOUGH)
  const left = several.flatMap(([, own]) => residualsOf(own))
  // Middles and levels were taken from the same readings: what is left looks a little too near to them.
  const spent = several.length + levels.size
  const widened = Math.sqrt(left.length / Math.max(1, left.length - spent))
  const robust = (residuals: number[]) => MAD_TO_SD * middleOf([...residuals].sort((a, b) => a - b))! * widened
  return {
    counted,
    byId: new Map(counted.map((reading) => [reading.id, reading])),
    byKey,
    values,
    levels,
    pooledSd: left.length >= RESIDUALS_TO_BE_ODD ? robust(left) : undefined,
    ownSd: new Map(
      several.flatMap(([key, own]) => (own.length >= RESIDUALS_TO_BE_ODD ? [[key, robust(residualsOf(own))] as const] : [])),
    ),
    doubt: doubtOf(left.length - spent),
    middleOfAll: middleOf(valuesOf(counted).sort((a, b) => a - b)),
    empty: emptyOf(plan, counted),
    inches: counted.some(({ entered }) => /\d\s*(?:in\b|inch|")/i.test(entered)),
  }
})

/** What lies beyond 3.5 sds, and what a middle of absolute residuals knows beside an sd of as many. */
const BEYOND = 0.000465
const MAD_EFFICIENCY = 0.37
const doubts = new Map<number, number>()

/** So much further something has to lie before it is odd where few residuals tell the wobble: as Student's t does beyond the normal at 3.5 sds. */
function doubtOf(residuals: number): number {
  const known = doubts.get(residuals)
  if (known !== undefined) return known
  const doubt = Math.max(1, tLeaving(BEYOND, Math.max(1, MAD_EFFICIENCY * residuals)) / ODD_SDS)
  doubts.set(residuals, doubt)
  return doubt
}

function residualsOf(ascending: number[]): number[] {
  const middle = middleOf(ascending)!
  return ascending.map((value) => Math.abs(value - middle))
}

/** How far a group with three readings or more lies above the others, in the middle of all its readings; each condition's come ascending. */
function levelsOf(byKey: Map<string, Reading[]>): Map<string, number> {
  const away = new Map<string, number[]>()
  for (const own of byKey.values()) {
    const middles = new Map<string, number | undefined>()
    for (const { group, value } of own) {
      if (!middles.has(group)) middles.set(group, middleOf(valuesOf(own.filter((one) => one.group !== group))))
      const middle = middles.get(group)
      if (middle !== undefined) addTo(away, group, value - middle)
    }
  }
  return new Map(
    [...away].flatMap(([group, distances]) =>
      distances.length < READINGS_FOR_A_LEVEL ? [] : [[group, middleOf(distances.sort((a, b) => a - b))!] as const],
    ),
  )
}

/** What most readings began from, where they were taken from empty to full: "23 to 85". */
function emptyOf(plan: Plan, counted: Reading[]): number | undefined {
  const { method } = testOf(plan)
  // A start less what is left begins full.
  if (!method || method.eachIs === 'used') return undefined
  const { unit } = method
  const starts = counted.flatMap(({ entered }) => {
    const start = / to /i.test(entered) ? entered.split(/ to /i)[0]! : ''
    const read = start !== '' ? readQuantity(start, { unit }) : undefined
    return read?.ok ? [read.value] : []
  })
  const middle = middleOf(starts.sort((a, b) => a - b))
  return middle === undefined || middle <= 0 ? undefined : middle
}

/** Values of the same condition and moment, this one left out, at this group's own level. */
export function fellowsOf({ values, levels, byId }: Fellowship, entry: Place): number[] {
  const own = values.get(keyOf(entry)) ?? []
  const level = levels.get(entry.group) ?? 0
  const itself = entry.id === undefined ? undefined : byId.get(entry.id)
  const without = itself && keyOf(itself) === keyOf(entry) ? leaveOut(own, itself.value - level) : own
  return without.map((value) => value + level)
}

/** The same as they were written, ascending. */
export function rawFellowsOf({ byKey }: Fellowship, entry: Place): number[] {
  return valuesOf((byKey.get(keyOf(entry)) ?? []).filter(({ id }) => id !== entry.id))
}

function leaveOut(ascending: number[], value: number): number[] {
  const place = ascending.indexOf(value)
  return place < 0 ? ascending : [...ascending.slice(0, place), ...ascending.slice(place + 1)]
}

function valuesOf(readings: Reading[]): number[] {
  return readings.map(({ value }) => value)
}

function addTo<Value>(lists: Map<string, Value[]>, key: string, value: Value): void {
  const own = lists.get(key)
  if (own) own.push(value)
  else lists.set(key, [value])
}

/** What is compared with each other: the same condition at the same moment. */
export function keyOf({ condition, moment }: { condition: string; moment: string }): string {
  return `${condition}/${moment}`
}

/** The middle of numbers that ascend; undefined where there are none. */
export function middleOf(ascending: number[]): number | undefined {
  const half = Math.floor(ascending.length / 2)
  if (ascending.length === 0) return undefined
  return ascending.length % 2 === 1 ? ascending[half]! : (ascending[half - 1]! + ascending[half]!) / 2
}
