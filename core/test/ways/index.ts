import type { Measure, Method, NumberMethod, Plan, Way } from '../../lesson'
import { balance } from './balance'
import { number } from './number'
import { race } from './race'
import { sorts } from './sorts'
import type { ResolvedMethod, WayOfReading } from './way'
import { words } from './words'

export type { Device, EntryErrorCode, EntryOptions, EntryResult, GraphOfWay, ResolvedMethod, WayOfReading } from './way'
export { DASHED, LESS, RANGE } from './number'
export { unread } from './unread'
export { FIRST_WORDS } from './words'

export const WAYS_OF_READING: Record<Way, WayOfReading> = { number, words, sorts, race, balance }

/**
 * The way in which a method is read.
 * @example wayOf({ way: 'balance' }).weighsTwo // => true
 */
export function wayOf({ way }: { way: Way }): WayOfReading {
  return WAYS_OF_READING[way]
}

/** What a way that knows nothing of it stands at. */
const NOTHING: Omit<ResolvedMethod, 'way'> = {
  tool: '',
  unit: 'count',
  words: [],
  wordPictures: {},
  resolution: 1,
  readingWobble: 0,
  timingWobble: 0,
  atOnce: 1,
  trialWobble: null,
  expectedLow: null,
  expectedHigh: null,
  expected: {},
  expectedFrom: 'guess',
  warmUp: [],
  differenceThatMatters: 0,
  eachIs: 'shown',
  weighsEmpty: false,
  empties: {},
  counts: null,
  countsPlace: null,
  countsUntil: null,
  known: null,
  knownName: '',
  knownWeekly: null,
  best: null,
  bestNumber: null,
  bySize: false,
  mostPossible: {},
}

/** What every way stores. */
const OF_EVERY_WAY = [
  'way',
  'tool',
  'trialWobble',
  'expectedLow',
  'expectedHigh',
  'expected',
  'expectedFrom',
  'counts',
  'countsPlace',
  'countsUntil',
  'best',
  'bySize',
] as const satisfies (keyof ResolvedMethod)[]

/** What is expected of results, in their unit or among their words. */
const EXPECTING: readonly (keyof ResolvedMethod)[] = ['trialWobble', 'expectedLow', 'expectedHigh', 'expected', 'expectedFrom']

/**
 * A method as everybody asks it.
 * @example resolved(inWords.measures[0]!.method).unit // => 'words'
 */
export function resolved(method: Method | ResolvedMethod): ResolvedMethod {
  const { unit, isAmount } = wayOf(method)
  // Nothing but a number is near to a number.
  const best = method.best === 'nearest' && !isAmount ? null : method.best
  return { ...NOTHING, ...method, best, ...(unit === undefined ? {} : { unit }) }
}

/** A method as it is stored: only what its way of reading knows. */
export function stored(method: ResolvedMethod): Method {
  const parts = [...OF_EVERY_WAY, ...wayOf(method).parts]
  return Object.fromEntries(parts.map((part) => [part, method[part]])) as unknown as Method
}

/**
 * The method read in another way: what every way stores goes on, and of what only this one knows nothing is said yet.
 * @example readBy(resolved(soakUpPlan().measures[0]!.method), 'words').words // => FIRST_WORDS
 */
export function readBy(method: ResolvedMethod, way: Way): ResolvedMethod {
  if (way === method.way) return method
  const { begun, unit, fromWords } = WAYS_OF_READING[way]
  // What is expected in words says nothing of numbers, and the other way round.
  const carries = fromWords === wayOf(method).fromWords ? OF_EVERY_WAY : OF_EVERY_WAY.filter((part) => !EXPECTING.includes(part))
  const goesOn = Object.fromEntries(carries.map((part) => [part, method[part]]))
  return { ...NOTHING, ...begun, ...goesOn, ...(unit === undefined ? {} : { unit }), way }
}

/**
 * A card with its method changed. A way that the change leaves is kept with the card, and what was said of the new one before comes back wherever the change says
 * nothing of it.
 * @example withMethodOn(soakUpPlan().measures[0]!, (method) => readBy(method, 'words')).otherWays[0]!.way // => 'number'
 */
export function withMethodOn(card: Measure, change: (method: ResolvedMethod) => ResolvedMethod): Measure {
  const before = resolved(card.method)
  const changed = change(before)
  if (changed.way === before.way) return { ...card, method: stored(changed) }
  const plain = readBy(before, changed.way)
  const saidOfIt = card.otherWays.find(({ way }) => way === changed.way)
  const said = saidOfIt && resolved(saidOfIt)
  const comesBack = said
    ? [...wayOf(said).parts, ...forgotten(before, changed)].filter((part) => changed[part] === plain[part])
    : []
  const back = Object.fromEntries(comesBack.map((part) => [part, said![part]]))
  const others = card.otherWays.filter(({ way }) => way !== changed.way && way !== before.way)
  return { ...card, method: stored({ ...changed, ...back }), otherWays: [...others, card.method] }
}

/** What one way does not tell the other. */
function forgotten(before: ResolvedMethod, changed: ResolvedMethod): readonly (keyof ResolvedMethod)[] {
  return wayOf(before).fromWords === wayOf(changed).fromWords ? [] : EXPECTING
}

/** The plan with the method of the card in the Measure tray changed; the given plan is left as it is. */
export function withMethod(plan: Plan, change: (method: ResolvedMethod) => ResolvedMethod): Plan {
  return withMethodOf(plan, plan.measured, change)
}

/** The plan with the method of one of its cards changed. */
export function withMethodOf(plan: Plan, measure: string | null, change: (method: ResolvedMethod) => ResolvedMethod): Plan {
  return { ...plan, measures: plan.measures.map((card) => (card.id === measure ? withMethodOn(card, change) : card)) }
}

/**
 * A measure card with a centimetre ruler's method, to be edited.
 * @example newMeasure('m', 'height').method.unit // => 'cm'
 */
export function newMeasure(id: string, name: string): Measure & { method: NumberMethod } {
  const method = stored({ ...NOTHING, ...number.begun, way: 'number' }) as NumberMethod
  return { id, name, method, otherWays: [] }
}
