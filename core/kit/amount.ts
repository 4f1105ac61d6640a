import type { Material } from '../lesson'
import {
  convert,
  readQuantity,
  unitNamed,
  unitOf,
  withoutNoise,
  type KitchenRegion,
  type ReadErrorCode,
  type UnitCode,
} from '../quantity'

export type AmountErrorCode = ReadErrorCode | 'no-number' | 'negative' | 'too-much' | 'not-a-price'

export type Amount =
  { ok: true; value: number; unit: UnitCode; whole: boolean } | { ok: false; code: AmountErrorCode; position: number }

// "a pinch", "an egg cup of it"
const ONE_OF_IT = /^\s*an?\s+[a-z]/i
const TRAILING_WORDS = /[\s\u00a0\u2009\u202f]*([A-Za-z°℃℉"″”'′’][A-Za-z\s-]*)?$/
/** No kit of a class needs more of one thing than this, in whatever unit: it is a slip of the finger. */
const MOST = 1_000_000

/** What comes in lengths. */
const IN_LENGTHS = /\b(?:string|thread|yarn|wool|ribbon|rope|twine|tape|wire|tube|tubing|cord|elastic|foil|film)s?\s*$/i
// "4 x 30 cm string": so many lengths of it, and no sheet of four by thirty.
const LENGTHS = /^\s*(\d+)\s*[x×]\s*([\d.,]+\s*(?:mm|cm|m|in|ft))(?:\s+(?:of\s+)?(?:\w+\s+)*(\w+))?\s*$/i
const LIQUID = /\b(?:water|milk|juice|vinegar|oil|syrup|tea|coffee|drink|liquid|solution|ink|paint|shampoo)s?$/i
const SHEET =
  /^\s*(?:(\d+)\s*(?:[x×]|(?:sheets?|pieces?|strips?|squares?)(?:\s+of)?)\s*)?([\d.,]+)\s*(mm|cm|m|in)?\s*[x×]\s*([\d.,]+)\s*(mm|cm|m|in)\b[a-z\s]*$/i

/** A piece with two sides, in millimetres, and how many of it. */
interface Sheet {
  count: number
  sides: [number, number]
}

const PAPER = /^\s*(?:(\d+)\s*(?:[x×]\s*)?(?:(?:sheets?|pieces?)\s*)?(?:of\s+)?)?(?:(A[2-6])|(letter|legal))\b[a-z\s]*$/i
/** Sheets that go by a name, in millimetres. */
const PAPER_SIDES: Record<string, [number, number]> = {
  A2: [420, 594],
  A3: [297, 420],
  A4: [210, 297],
  A5: [148, 210],
  A6: [105, 148],
  LETTER: [215.9, 279.4],
  LEGAL: [215.9, 355.6],
}

/** `readSheet('2 x 12 x 18 cm') // { count: 2, sides: [120, 180] }` */
function readSheet(text: string): Sheet | undefined {
  const [, papers, iso, american] = PAPER.exec(text) ?? []
  const named = iso ?? american
  if (named !== undefined) return { count: Number(papers ?? 1), sides: PAPER_SIDES[named.toUpperCase()]! }
  const [, count, first, firstUnit, second, unit] = SHEET.exec(text) ?? []
  if (first === undefined || second === undefined || unit === undefined) return undefined
  const side = (digits: string, written: string) => convert(Number(digits.replace(',', '.')), unitNamed(written)!, 'mm')!
  const sides: [number, number] = [side(first, firstUnit ?? unit), side(second, unit)]
  return sides.every((one) => one > 0 && Number.isFinite(one)) ? { count: Number(count ?? 1), sides } : undefined
}

/**
 * How many pieces of a size can be cut out of a roll or a sheet, all of them lying the same way.
 * @returns undefined where one of the two has no size
 * @example [piecesCut('12 x 18 cm', '45 cm x 10 m'), piecesCut('3 x 18 cm', '5 sheets of A4')] // => [166, 45]
 */
export function piecesCut(piece: string, from: string): number | undefined {
  const [small, large] = [readSheet(piece), readSheet(from)]
  if (!small || !large) return undefined
  const fits = (length: number, part: number) => Math.floor(withoutNoise(length / part))
  const [a, b] = small.sides
  const [wide, long] = large.sides
  return large.count * Math.max(fits(wide, a) * fits(long, b), fits(wide, b) * fits(long, a))
}

/**
 * Reads the amount of one material as people write it. What has no unit, or a word that is none ("2 strips"), is counted in
 * pieces and comes whole; "12 x 4 cm" is one piece of that size, "4 x 30 cm string" so many lengths.
 * @example readAmount('2 tbsp') // => { ok: true, value: 2, unit: 'tbsp', whole: false }
 */
export function readAmount(text: string, kitchen: KitchenRegion = 'metric'): Amount {
  if (ONE_OF_IT.test(text)) return { ok: true, value: 1, unit: 'pieces', whole: true }
  const lengths = lengthsIn(text)
  if (lengths) return timesLength(lengths.count, lengths.each)
  const sheet = readSheet(text)
  if (sheet) return { ok: true, value: sheet.count, unit: 'pieces', whole: true }
  if (text.trim() !== '' && !/[\d½¼¾⅓⅔⅛]/.test(text)) return { ok: false, code: 'no-number', position: 0 }
  if (/^\s*[-−]/.test(text)) return { ok: false, code: 'negative', position: 0 }
  if (/\d[eE][+-]?\d/.test(text)) return { ok: false, code: 'too-much', position: 0 }
  const word = (TRAILING_WORDS.exec(text)?.[1] ?? '').trim()
  const unit = word === '' ? 'pieces' : unitNamed(word.replace(/\s+/g, ' '))
  const countable = unit === undefined || unit === 'pieces' || unit === 'count'
  const digits = countable ? text.replace(TRAILING_WORDS, '') : text
  const read = readQuantity(digits, { unit: countable ? 'pieces' : unit, region: kitchen })
  if (!read.ok) return read
  if (read.value > MOST) return { ok: false, code: 'too-much', position: 0 }
  return { ok: true, value: read.value, unit: read.unit, whole: countable }
}

/** So many lengths of something that comes in lengths. `lengthsIn('4 x 30 cm string') // { count: 4, each: '30 cm' }` */
function lengthsIn(text: string, of = ''): { count: number; each: string } | undefined {
  const [, count, each, word = of] = LENGTHS.exec(text) ?? []
  return count !== undefined && each !== undefined && IN_LENGTHS.test(word) ? { count: Number(count), each } : undefined
}

/** Is a thing of that name poured. `isLiquid('tap water') // true` */
export function isLiquid(name: string): boolean {
  return LIQUID.test(name.trim())
}

/**
 * Reads the amount of a thing by what the thing is: "3 x 25 cm" of string are lengths and no sheet, ounces of water are fluid ounces,
 * "12 cups" of paper cups are twelve.
 * @example readAmountOf({ name: 'water', amount: '8 oz' }) // => { ok: true, value: 8, unit: 'fl-oz', whole: false }
 */
export function readAmountOf({ name, amount }: Pick<Material, 'name' | 'amount'>, kitchen: KitchenRegion = 'metric'): Amount {
  const lengths = lengthsIn(amount, name)
  const read = lengths ? timesLength(lengths.count, lengths.each) : readAmount(amount, kitchen)
  if (!read.ok) return read
  if (read.unit === 'oz' && isLiquid(name)) return { ...read, unit: 'fl-oz' }
  return read.unit === 'cup' && /\bcups?\s*$/i.test(name) ? { ...read, unit: 'pieces', whole: true } : read
}

/**
 * Several lengths or sheets of something, of which nobody has said whether they are a group's for all its trials or for each.
 * @example isInDoubt({ ...plan.materials[0]!, name: 'string', amount: '3 x 25 cm', per: 'group', perSaid: false }) // => true
 */
export function isInDoubt({ name, amount, per, perSaid }: Material): boolean {
  const several = lengthsIn(amount, name)?.count ?? readSheet(amount)?.count ?? 1
  return !perSaid && per === 'group' && several > 1
}

function timesLength(count: number, length: string): Amount {
  const read = readQuantity(length, { unit: unitNamed(/[a-z]+$/i.exec(length.trim())![0])! })
  if (!read.ok) return read
  const value = withoutNoise(count * read.value)
  return value > MOST ? { ok: false, code: 'too-much', position: 0 } : { ok: true, value, unit: read.unit, whole: false }
}

/**
 * Reads the price of a pack, with or without a sign for the money.
 * @example readPrice('£2,50') // => { ok: true, value: 2.5 }
 */
export function readPrice(text: string): { ok: true; value: number } | { ok: false; code: AmountErrorCode; position: number } {
  const match = /^\s*[£$€]?\s*(\d{1,6})(?:[.,](\d{1,2}))?\s*[£$€]?\s*$/.exec(text)
  if (!match) return { ok: false, code: 'not-a-price', position: 0 }
  return { ok: true, value: Number(`${match[1]}.${match[2] ?? '0'}`) }
}

/**
 * Reads a bare number of the cupboard, such as a stock or a pack, with a point or a comma; undefined where it is none.
 * @example readCount('1 250,5') // => 1250.5
 */
export function readCount(text: string): number | undefined {
  const digits = text.replace(/\s/g, '').replace(',', '.')
  const value = /^\d*\.?\d+$/.test(digits) ? Number(digits) : NaN
  return value <= MOST ? value : undefined
}

/**
 * An amount in another unit. Volume becomes mass, and mass volume, only with a density.
 * @param density grams in one millilitre
 * @returns undefined where the two measure different things
 * @example turnInto(100, 'mL', 'g', 0.85) // => 85
 */
export function turnInto(
  value: number,
  from: UnitCode,
  to: UnitCode,
  density: number | null,
  kitchen: KitchenRegion = 'metric',
): number | undefined {
  if (countsPieces(from) && countsPieces(to)) return value
  const direct = convert(value, from, to, kitchen)
  if (direct !== undefined) return direct
  const kinds = [unitOf(from).dimension, unitOf(to).dimension].join()
  if (!density) return undefined
  if (kinds === 'volume,mass') return convert(withoutNoise(convert(value, from, 'mL', kitchen)! * density), 'g', to)
  if (kinds === 'mass,volume') return convert(withoutNoise(convert(value, from, 'g')! / density), 'mL', to, kitchen)
  return undefined
}

function countsPieces(unit: UnitCode): boolean {
  return unit === 'pieces' || unit === 'count'
}

/**
 * The same amount in the unit that somebody would measure it with: spoons up to four, then millilitres, in the United States cups;
 * litres and kilograms from a thousand on. An amount that is in such a unit already stays as it is.
 * @example sensible(21, 'tbsp') // => { value: 315, unit: 'mL' }
 */
export function sensible(value: number, unit: UnitCode, kitchen: KitchenRegion = 'metric'): { value: number; unit: UnitCode } {
  const into = (to: UnitCode) => ({ value: convert(value, unit, to, kitchen)!, unit: to })
  if (unit === 'tsp' && value >= 3) return sensible(withoutNoise(value / 3), 'tbsp', kitchen)
  if (unit === 'tbsp' && value > 4 && kitchen === 'us') return { value: withoutNoise(value / 16), unit: 'cup' }
  if (unit === 'tbsp' && value > 4) return sensible(convert(value, 'tbsp', 'mL')!, 'mL')
  if (unit === 'cup' && value >= 4 && kitchen !== 'us') return into('L')
  if (unit === 'mL' && value >= 1000) return into('L')
  if (unit === 'g' && value >= 1000) return into('kg')
  if (unit === 'mm' && value >= 1000) return into('m')
  if (unit === 'cm' && value >= 100) return into('m')
  return { value, unit }
}
