export type Dimension =
  | 'length'
  | 'mass'
  | 'volume'
  | 'time'
  | 'temperature'
  | 'force'
  | 'sound'
  | 'number'
  | 'order'
  | 'words'
  | 'sorts'
  | 'share'
  | 'rate'
export type KitchenRegion = 'metric' | 'us' | 'uk'

export type UnitCode =
  | 'mm'
  | 'cm'
  | 'm'
  | 'in'
  | 'ft'
  | 'g'
  | 'kg'
  | 'oz'
  | 'lb'
  | 'mL'
  | 'L'
  | 'tsp'
  | 'tbsp'
  | 'cup'
  | 'fl-oz'
  | 'pint'
  | 's'
  | 'min'
  | 'h'
  | 'day'
  | 'degC'
  | 'degF'
  | 'N'
  | 'dB'
  | 'count'
  | 'pieces'
  | 'place'
  | 'words'
  | 'sorts'

/** The unit of a result: what counts may be a share of a hundred, or so much a minute or a day. */
export type ResultUnit = UnitCode | 'of-100' | `${UnitCode}/${'min' | 'day'}`

export interface Unit {
  code: ResultUnit
  symbol: string
  dimension: Dimension
  /** How many of the dimension's base unit (mm, g, mL, s, degC, N, dB, one) make one of this. */
  size: number
  /** Added after scaling, for temperatures only: base = value * size + shift. */
  shift: number
  /** Other ways people write it, in lower case. */
  spellings: string[]
  /** The unit of a bare second number: "5 m 31" is 5 m 31 cm. */
  nextSmaller?: UnitCode
}

function unit(
  code: UnitCode,
  symbol: string,
  dimension: Dimension,
  size: number,
  spellings: string[],
  nextSmaller?: UnitCode,
  shift = 0,
): Unit {
  return { code, symbol, dimension, size, shift, spellings, nextSmaller }
}

const UNITS: Record<UnitCode, Unit> = {
  mm: unit('mm', 'mm', 'length', 1, ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters']),
  cm: unit('cm', 'cm', 'length', 10, ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'], 'mm'),
  m: unit('m', 'm', 'length', 1000, ['m', 'metre', 'metres', 'meter', 'meters'], 'cm'),
  in: unit('in', 'in', 'length', 25.4, ['in', 'inch', 'inches', '"', '″', '”']),
  ft: unit('ft', 'ft', 'length', 304.8, ['ft', 'foot', 'feet', "'", '′', '’'], 'in'),
  g: unit('g', 'g', 'mass', 1, ['g', 'gram', 'grams']),
  kg: unit('kg', 'kg', 'mass', 1000, ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms'], 'g'),
  oz: unit('oz', 'oz', 'mass', 28.349523125, ['oz', 'ounce', 'ounces']),
  lb: unit('lb', 'lb', 'mass', 453.59237, ['lb', 'lbs', 'pound', 'pounds'], 'oz'),
  mL: unit('mL', 'mL', 'volume', 1, ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters']),
  L: unit('L', 'L', 'volume', 1000, ['l', 'litre', 'litres', 'liter', 'liters'], 'mL'),
  tsp: unit('tsp', 'tsp', 'volume', 5, ['tsp', 'teaspoon', 'teaspoons']),
  tbsp: unit('tbsp', 'tbsp', 'volume', 15, ['tbsp', 'tablespoon', 'tablespoons']),
  cup: unit('cup', 'cup', 'volume', 250, ['cup', 'cups']),
  'fl-oz': unit('fl-oz', 'fl oz', 'volume', 29.57353, ['fl-oz', 'fl oz', 'floz', 'fluid ounce', 'fluid ounces']),
  pint: unit('pint', 'pint', 'volume', 568.26125, ['pint', 'pints', 'pt']),
  s: unit('s', 's', 'time', 1, ['s', 'sec', 'secs', 'second', 'seconds']),
  min: unit('min', 'min', 'time', 60, ['min', 'mins', 'minute', 'minutes'], 's'),
  h: unit('h', 'h', 'time', 3600, ['h', 'hr', 'hrs', 'hour', 'hours'], 'min'),
  day: unit('day', 'days', 'time', 86400, ['day', 'days', 'd'], 'h'),
  degC: unit('degC', '°C', 'temperature', 1, ['degc', '°c', '℃', 'c', 'celsius']),
  degF: unit('degF', '°F', 'temperature', 5 / 9, ['degf', '°f', '℉', 'f', 'fahrenheit'], undefined, -160 / 9),
  N: unit('N', 'N', 'force', 1, ['n', 'newton', 'newtons']),
  dB: unit('dB', 'dB', 'sound', 1, ['db', 'decibel', 'decibels']),
  count: unit('count', '', 'number', 1, ['count']),
  pieces: unit('pieces', 'pieces', 'number', 1, ['piece', 'pieces', 'pcs']),
  place: unit('place', 'place', 'order', 1, ['place']),
  words: unit('words', 'words', 'words', 1, ['words']),
  sorts: unit('sorts', 'words', 'sorts', 1, []),
}

// NIST Handbook 44 for the United States; the Weights and Measures Act 1985 for the United Kingdom.
const REGIONAL_SIZES: Record<KitchenRegion, Partial<Record<UnitCode, number>>> = {
  metric: {},
  us: { tsp: 4.92892, tbsp: 14.78676, cup: 236.58824, 'fl-oz': 29.57353, pint: 473.17648 },
  uk: { 'fl-oz': 28.41306, pint: 568.26125 },
}

export const UNIT_CODES = Object.keys(UNITS) as UnitCode[]

/** Is something in this unit an amount: no place in an order, and no word. `isAmount('mm') // true` */
export function isAmount(code: ResultUnit): boolean {
  return !NO_AMOUNTS.includes(code)
}

const NO_AMOUNTS: ResultUnit[] = ['place', 'words', 'sorts']

/** Is something in this unit one of the plan's words. `isWord('place') // false` */
export function isWord(code: ResultUnit): code is 'words' | 'sorts' {
  return code === 'words' || code === 'sorts'
}

/** Units of an amount or a measurement with a number. */
export const NUMBER_UNITS = UNIT_CODES.filter(isAmount)

/** The unit of a code, with the kitchen sizes of a region. `unitOf('cup', 'us').size // 236.58824` */
export function unitOf(code: ResultUnit, region: KitchenRegion = 'metric'): Unit {
  if (code === 'of-100') return OF_100
  if (isRate(code)) return rateUnit(code)
  const found = UNITS[code]
  const size = REGIONAL_SIZES[region][code]
  return size === undefined ? found : { ...found, size }
}

const OF_100: Unit = { code: 'of-100', symbol: '%', dimension: 'share', size: 1, shift: 0, spellings: [] }

/** What a number of a result is read in: a share or so much a day is a bare number. `plainUnit('cm/day') // 'count'` */
export function plainUnit(unit: ResultUnit): UnitCode {
  return unit === 'of-100' || isRate(unit) ? 'count' : unit
}

function isRate(code: ResultUnit): code is Extract<ResultUnit, `${string}/${string}`> {
  return code.includes('/')
}

/** So much a minute or a day: `'3.4 cm a day'`. */
function rateUnit(code: `${UnitCode}/${'min' | 'day'}`): Unit {
  const [of, each] = code.split('/') as [UnitCode, 'min' | 'day']
  const { symbol, size } = UNITS[of]
  return { code, symbol: `${symbol} a ${each}`.trim(), dimension: 'rate', size: size / UNITS[each].size, shift: 0, spellings: [] }
}

/** The unit that a word stands for, whatever its case; undefined when it is none. `unitNamed('Metres') // 'm'` */
export function unitNamed(word: string): UnitCode | undefined {
  const wanted = word.toLowerCase()
  return UNIT_CODES.find((code) => UNITS[code].spellings.includes(wanted))
}

/**
 * The same amount in another unit, or undefined when the two measure different things.
 * @example convert(5.31, 'm', 'cm') // => 531
 */
export function convert(value: number, from: ResultUnit, to: ResultUnit, region: KitchenRegion = 'metric'): number | undefined {
  if (from === to) return value
  const source = unitOf(from, region)
  const target = unitOf(to, region)
  if (source.dimension !== target.dimension) return undefined
  return withoutNoise((value * source.size + source.shift - target.shift) / target.size)
}

/** Takes away the binary noise of a short sum: `withoutNoise(0.1 + 0.2) // 0.3` */
export function withoutNoise(value: number): number {
  // Whole numbers have none; rounding by way of digits takes long, and readings come in thousands. A nought loses its sign, since people would see it.
  return Number.isInteger(value) && Math.abs(value) < 1e13 ? value + 0 : Number(value.toPrecision(13))
}
