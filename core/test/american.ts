import { convert, unitOf } from '../quantity'
import type { Measure, NumberMethod } from '../lesson'
import type { StartingPoint } from './startingPoint'

/** So much water and more is measured in cups. */
const FROM_ML = 100
const QUARTERS = ['', ' 1/4', ' 1/2', ' 3/4']

/**
 * A lesson of ours as a school in the United States measures: degrees Fahrenheit wherever children read a thermometer, and cups, to a quarter, of what is
 * poured for the kit. What a cylinder measures stays in millilitres, which is what it shows.
 * @example inAmericanUnits(INVESTIGATIONS['sugar-vanish']!).plan.conditions.map(({ label }) => label) // => ['50', '68', '86', '104']
 */
export function inAmericanUnits(body: StartingPoint): StartingPoint {
  const { plan } = body
  const isWarmth = plan.conditionsAs === 'numbers' && plan.conditionUnit === 'degC'
  return {
    ...body,
    plan: {
      ...plan,
      conditionUnit: isWarmth ? 'degF' : plan.conditionUnit,
      conditions: plan.conditions.map((one) => (isWarmth ? { ...one, label: fahrenheitText(one.label) } : one)),
      measures: plan.measures.map(inFahrenheit),
      materials: plan.materials.map((one) => ({ ...one, amount: inCups(one.amount) })),
    },
  }
}

function inFahrenheit(measure: Measure): Measure {
  const { method } = measure
  return method.way === 'number' && method.unit === 'degC' ? { ...measure, method: fahrenheit(method) } : measure
}

/** A change has no zero of its own. */
function fahrenheit(method: NumberMethod): NumberMethod {
  const point = method.eachIs === 'shown' ? degrees : by
  const some = (value: number | null, turn: (value: number) => number) => (value === null ? null : rounded(turn(value)))
  return {
    ...method,
    unit: 'degF',
    // Thermometers have a mark a degree, or two.
    resolution: rounded(by(method.resolution)) > 0.5 ? 1 : 0.5,
    readingWobble: some(method.readingWobble, by),
    trialWobble: some(method.trialWobble, by),
    differenceThatMatters: rounded(by(method.differenceThatMatters)),
    expectedLow: some(method.expectedLow, point),
    expectedHigh: some(method.expectedHigh, point),
    expected: Object.fromEntries(Object.entries(method.expected).map(([id, value]) => [id, rounded(point(value))])),
    known: some(method.known, point),
    bestNumber: some(method.bestNumber, point),
    countsUntil: some(method.countsUntil, point),
    mostPossible: Object.fromEntries(Object.entries(method.mostPossible).map(([id, value]) => [id, rounded(point(value))])),
  }
}

function fahrenheitText(text: string): string {
  const value = Number(text)
  return Number.isFinite(value) && text.trim() !== '' ? String(Math.round(degrees(value))) : text
}

/** `inCups('300 mL') // '1 1/4 cups'` */
function inCups(amount: string): string {
  const millilitres = Number(/^(\d+)\s*mL$/.exec(amount.trim())?.[1])
  if (!(millilitres >= FROM_ML)) return amount
  const quarters = Math.round(convert(millilitres, 'mL', 'cup', 'us')! * 4)
  const [whole, part] = [Math.floor(quarters / 4), QUARTERS[quarters % 4]!]
  return `${`${whole === 0 ? '' : whole}${part}`.trim()} ${quarters > 4 ? 'cups' : 'cup'}`
}

const degrees = (celsius: number) => convert(celsius, 'degC', 'degF')!
const by = (difference: number) => (difference * unitOf('degC').size) / unitOf('degF').size
const rounded = (value: number) => Math.round(value * 100) / 100
