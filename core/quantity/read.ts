import { convert, unitNamed, UNIT_CODES, unitOf, withoutNoise, type KitchenRegion, type ResultUnit, type UnitCode } from './units'

export type ReadErrorCode =
  | 'empty'
  | 'too-long'
  | 'not-a-number'
  | 'unknown-unit'
  | 'unit-missing'
  | 'wrong-kind-of-unit'
  | 'units-out-of-order'
  | 'part-too-big'
  | 'comma-unclear'
  | 'divided-by-nothing'

export type ReadResult =
  { ok: true; value: number; unit: UnitCode; writtenUnit: UnitCode | null } | { ok: false; code: ReadErrorCode; position: number }

export interface ReadOptions {
  /** The unit the answer is wanted in, and the unit of a bare number. */
  unit: UnitCode
  region?: KitchenRegion
}

interface Part {
  value: number
  unit: UnitCode | null
  position: number
}

const LONGEST = 60
const VULGAR: Record<string, number> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
}
const SPACE = '[ \\t\\u00a0\\u2009\\u202f]'
const GLYPH = `[${Object.keys(VULGAR).join('')}]`
const CLOCK = new RegExp(`^(\\d{1,3}):(\\d{2})(?::(\\d{2}))?([.,]\\d{1,3})?$`)
const AMOUNT = new RegExp(
  `^(?:(\\d+)${SPACE}*/${SPACE}*(\\d+)` + // 3/8
    `|(\\d+)${SPACE}+(\\d+)${SPACE}*/${SPACE}*(\\d+)` + // 17 3/8
    `|(\\d*)${SPACE}*(${GLYPH})` + // 1½
    `|(\\d{1,3}(?:${SPACE}\\d{3})+(?:[.,]\\d+)?)(?!\\d)` + // 1 250
    `|(\\d*[.,]\\d+|\\d+))`, // 12.5
)
const UNIT_WORD = new RegExp(`^(?:fl${SPACE}+oz|fluid${SPACE}+ounces?|[a-zA-Z°℃℉-]+|["″”'′’])`)
/** Units that are written and not measured in: so many of another one. */
const WRITTEN_ONLY: Record<string, { unit: UnitCode; times: number }> = {
  cl: { unit: 'mL', times: 10 },
  dl: { unit: 'mL', times: 100 },
  dm: { unit: 'cm', times: 10 },
}
const DEGREES = ['°', 'deg', 'degree', 'degrees']
/** Digits of other scripts, ten in a row from each of these on: Arabic-Indic, its eastern form, full width. */
const OTHER_DIGITS = [0x0660, 0x06f0, 0xff10]
const OTHER_SIGNS: Record<string, string> = { '．': '.', '，': ',', '：': ':', '／': '/', '＋': '+', '－': '-', '٫': '.' }

/**
 * Reads a number with its unit the way people write it: `12`, `12.5 cm`, `12,5`, `5 m 31`, `1 m 5 cm 3 mm`, `17 3/8 in`,
 * `½ cup`, `5 ft 4 in`, `5'4"`, `1:05`, `1 min 5 s`, `-2 °C`, `2L`, `1 250 g`, `5°`, `+5`, `5.`, `12 cm.`, `2m30`, `12 drops`, `50 cl`. Anything
 * else is an error with the place.
 * @returns the value in the wanted unit; `writtenUnit` is null when none was written
 * @example readQuantity('5 m 31', { unit: 'cm' }) // => { ok: true, value: 531, unit: 'cm', writtenUnit: 'm' }
 */
export function readQuantity(written: string, { unit, region = 'metric' }: ReadOptions): ReadResult {
  if (written.length > LONGEST) return problem('too-long', LONGEST)
  const text = inPlainDigits(written)
  const start = text.search(/\S/)
  if (start < 0) return problem('empty', 0)
  const sign = /^[-−–]/.test(text.slice(start)) ? -1 : 1
  const from = sign < 0 || text[start] === '+' ? start + 1 : start

  const clock = CLOCK.exec(text.slice(from).trim())
  const parts = clock ? clockParts(clock, from) : readParts(text, from, unit)
  if (!Array.isArray(parts)) return parts
  return total(parts, sign, unit, region)
}

/** What people read on scales that are divided otherwise. */
const OTHER_SCALES: UnitCode[] = ['in', 'ft', 'oz', 'lb', 'cup', 'tsp', 'tbsp', 'pint', 'fl-oz', 'degF']

/**
 * The number that stood on the scale, where that was one of the other system: nobody read 20 °C on a thermometer in °F.
 * @param entered as it was typed
 * @param reading what was made of it
 * @returns undefined where it was read in the unit itself, or a sister of it, or was corrected since
 * @example asItWasRead('68 F', { value: 20, unit: 'degC' }) // => { value: 68, unit: 'degF' }
 */
export function asItWasRead(
  entered: string,
  reading: { value: number; unit: ResultUnit },
  region: KitchenRegion = 'metric',
): { value: number; unit: UnitCode } | undefined {
  const { value } = reading
  const unit = UNIT_CODES.find((code) => code === reading.unit)
  if (unit === undefined) return undefined
  const read = readQuantity(entered, { unit, region })
  if (!read.ok || read.writtenUnit === null || Math.abs(read.value - value) > 1e-9) return undefined
  if (OTHER_SCALES.includes(read.writtenUnit) === OTHER_SCALES.includes(unit)) return undefined
  return { value: withoutNoise(convert(value, unit, read.writtenUnit, region)!), unit: read.writtenUnit }
}

function clockParts(match: RegExpExecArray, position: number): Part[] | ReadResult {
  const [, first = '', second = '', third, fraction = ''] = match
  const units: UnitCode[] = third === undefined ? ['min', 's'] : ['h', 'min', 's']
  const numbers = third === undefined ? [first, second] : [first, second, third]
  const values = numbers.map(Number)
  if (values.slice(1).some((value) => value >= 60)) return problem('part-too-big', position + first.length + 1)
  values[values.length - 1]! += Number(`0${fraction.replace(',', '.')}`)
  return values.map((value, index) => ({ value, unit: units[index]!, position }))
}

/** Every letter stays in its place, so that a place in a message is right. */
function inPlainDigits(text: string): string {
  return [...text]
    .map((letter) => {
      const code = letter.codePointAt(0)!
      const zero = OTHER_DIGITS.find((first) => code >= first && code < first + 10)
      return zero === undefined ? (OTHER_SIGNS[letter] ?? letter) : String(code - zero)
    })
    .join('')
}

function readParts(text: string, from: number, wanted: UnitCode): Part[] | ReadResult {
  const parts: Part[] = []
  let at = from
  while (at < text.length) {
    at = skipSpace(text, at)
    if (at >= text.length) break
    const amount = readAmount(text, at)
    if ('code' in amount) return problem(amount.code, amount.position)
    const position = at
    at = skipSpace(text, at + amount.length)
    const word = UNIT_WORD.exec(text.slice(at))?.[0]
    const { unit, times } = word === undefined ? { unit: null, times: 1 } : writtenUnit(word.replace(/\s+/g, ' '), wanted)
    if (unit === undefined) return problem('unknown-unit', at)
    parts.push({ value: amount.value * times, unit, position })
    at += word?.length ?? 0
    // A full stop at the very end ends the sentence and not the number.
    if (/^\.\s*$/.test(text.slice(at))) break
    if (unit === null && at < text.length) return problem('not-a-number', at)
  }
  return parts.length === 0 ? problem('not-a-number', from) : parts
}

/** What a word behind a number stands for: m is minutes where time is measured, and whatever is counted is a count. */
function writtenUnit(word: string, wanted: UnitCode): { unit: UnitCode | undefined; times: number } {
  const lower = word.toLowerCase()
  const { dimension } = unitOf(wanted)
  if (dimension === 'time' && lower === 'm') return { unit: 'min', times: 1 }
  if (DEGREES.includes(lower)) return { unit: dimension === 'temperature' ? wanted : 'degC', times: 1 }
  const only = WRITTEN_ONLY[lower]
  if (only) return only
  const named = unitNamed(word)
  return { unit: named ?? (dimension === 'number' && /^[a-z]{3,}$/.test(lower) ? wanted : undefined), times: 1 }
}

function readAmount(text: string, at: number): { value: number; length: number } | { code: ReadErrorCode; position: number } {
  const match = AMOUNT.exec(text.slice(at))
  if (!match) return { code: 'not-a-number', position: at }
  const [all, top, bottom, whole, mixedTop, mixedBottom, before, glyph, grouped, plain] = match
  const length = all.length
  if (bottom !== undefined) return fraction(0, Number(top), Number(bottom), at, length)
  if (mixedBottom !== undefined) return fraction(Number(whole), Number(mixedTop), Number(mixedBottom), at, length)
  if (glyph !== undefined) return { value: Number(before || 0) + VULGAR[glyph]!, length }
  if (grouped !== undefined) return { value: Number(grouped.replace(/\s/g, '').replace(',', '.')), length }
  // "1,250" may be one and a quarter or twelve hundred and fifty: ask, never guess.
  if (/^[1-9]\d{0,2},\d{3}$/.test(plain!)) return { code: 'comma-unclear', position: at + plain!.indexOf(',') }
  return { value: Number(plain!.replace(',', '.')), length }
}

function fraction(whole: number, top: number, bottom: number, position: number, length: number) {
  if (bottom === 0) return { code: 'divided-by-nothing' as const, position }
  return { value: whole + top / bottom, length }
}

function total(parts: Part[], sign: number, wanted: UnitCode, region: KitchenRegion): ReadResult {
  const first = parts[0]!
  let sum = 0
  let previous: UnitCode = first.unit ?? wanted
  for (const [index, part] of parts.entries()) {
    let unit = index === 0 ? previous : part.unit
    if (index > 0) {
      if (first.unit === null) return problem('unit-missing', part.position)
      const bareUnit = unitOf(previous, region).nextSmaller
      if (unit === null && bareUnit === undefined) return problem('unit-missing', part.position)
      const smaller = (unit ?? bareUnit)!
      const before = unitOf(previous, region)
      const now = unitOf(smaller, region)
      if (now.dimension !== before.dimension || now.dimension === 'temperature') {
        return problem('wrong-kind-of-unit', part.position)
      }
      if (now.size >= before.size) return problem('units-out-of-order', part.position)
      if (part.unit === null && part.value >= withoutNoise(before.size / now.size)) {
        return problem('part-too-big', part.position)
      }
      unit = smaller
    }
    const value = convert(index === 0 ? sign * part.value : part.value, unit!, wanted, region)
    if (value === undefined) return problem('wrong-kind-of-unit', part.position)
    sum = index === 0 ? value : sum + sign * value
    previous = unit!
  }
  const value = withoutNoise(sum)
  if (!Number.isFinite(value) || Math.abs(value) > 1e12) return problem('part-too-big', first.position)
  return { ok: true, value: value === 0 ? 0 : value, unit: wanted, writtenUnit: first.unit }
}

function skipSpace(text: string, at: number): number {
  while (at < text.length && /\s/.test(text[at]!)) at += 1
  return at
}

function problem(code: ReadErrorCode, position: number): ReadResult & { ok: false } {
  return { ok: false, code, position }
}
