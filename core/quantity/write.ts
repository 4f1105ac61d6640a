import { unitOf, type ResultUnit } from './units'

const THIN_SPACE = '\u202f'

/** A number with a fixed count of digits, thousands set apart by a thin space. `writeNumber(12500.5, 1) // '12 500.5'` */
export function writeNumber(value: number, decimals: number): string {
  const [whole = '', behind] = Math.abs(value).toFixed(decimals).split('.')
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, THIN_SPACE) : whole
  const sign = value < 0 && Number(value.toFixed(decimals)) !== 0 ? '−' : ''
  return sign + grouped + (behind === undefined ? '' : `.${behind}`)
}

/** As few digits as say the value, at most three behind the point. `writeShort(2.50) // '2.5'` */
export function writeShort(value: number): string {
  const digits = Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 10 ? 1 : Math.abs(value) >= 1 ? 2 : 3
  return writeNumber(Number(value.toFixed(digits)), digits)
    .replace(/(\.\d*?)0+$/, '$1')
    .replace(/\.$/, '')
}

/** A number and its unit that never part at the end of a line. `writeQuantity(21, 'mm', 0) // '21 mm'` */
export function writeQuantity(value: number, unit: ResultUnit, decimals: number): string {
  return withUnit(writeNumber(value, decimals), unit)
}

/** Joins written digits and a unit by a thin space that does not break. `withUnit('21', 'mm') // '21 mm'` */
export function withUnit(digits: string, unit: ResultUnit): string {
  const symbol = unitOf(unit).symbol.replaceAll(' ', THIN_SPACE)
  return symbol === '' ? digits : `${digits}${THIN_SPACE}${symbol}`
}
