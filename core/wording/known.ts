import type { AgainstKnown } from '../evidence'
import { type Plan } from '../lesson'
import { resultUnit, testOf } from '../test'
import { convert, plainUnit, withUnit, writeShort, type UnitCode } from '../quantity'
import { GRADE_NAMES } from './grades'
import { counted, list, nameOfCondition, writeAverage } from './names'

/** What the known value is called. `knownName(soakUpPlan()) // 'the known value'` */
export function knownName(plan: Plan): string {
  return testOf(plan).method?.knownName.trim() || 'the known value'
}

/** How far each condition is from the known value, and what that adds up to over a week and a class. */
export function knownSentences(plan: Plan, against: AgainstKnown | undefined): string[] {
  if (!against) return []
  const unit = resultUnit(plan)
  const each = against.rows.map(({ condition, mean, grade }) => {
    const name = nameOfCondition(plan, condition)
    if (grade === 'same') return `${name} the same as far as we can show`
    return `${name} ${writeAverage(plan, Math.abs(mean), unit)} ${mean < 0 ? 'less' : 'more'} (${GRADE_NAMES[grade].toLowerCase()})`
  })
  const line = `Against ${withUnit(writeShort(against.value), unit)} (${knownName(plan)})`
  const { children } = plan
  const times = counted(testOf(plan).method?.knownWeekly ?? 0, 'time')
  return [
    ...(each.length === 0 ? [] : [`${line}: ${list(each)}.`]),
    ...against.savings
      .filter(({ child }) => Math.abs(child) > 0)
      .map(({ condition, child, class: whole }) => {
        const more = child < 0 ? ' more' : ''
        const alone = `${child < 0 ? 'takes' : 'saves'} one child ${inLargeUnit(Math.abs(child), plainUnit(unit))}${more} a week`
        const together =
          children > 1
            ? `, and our ${counted(children, 'child', 'children')} ${inLargeUnit(Math.abs(whole), plainUnit(unit))}${more}`
            : ''
        return `At ${times} a week, ${nameOfCondition(plan, condition)} ${alone}${together}.`
      }),
  ]
}

const LARGER: Partial<Record<UnitCode, UnitCode>> = { mL: 'L', g: 'kg', mm: 'm', cm: 'm', s: 'min', min: 'h' }
const MUCH: Partial<Record<UnitCode, number>> = { s: 120, min: 120 }

/** An amount in litres, kilograms, metres or minutes once it is large. `inLargeUnit(11800, 'mL') // '11.8\u202fL'` */
function inLargeUnit(value: number, unit: UnitCode): string {
  const larger = LARGER[unit]
  const turned = larger && value >= (MUCH[unit] ?? 1000) ? convert(value, unit, larger) : undefined
  return turned === undefined ? withUnit(writeShort(value), unit) : withUnit(writeShort(turned), larger!)
}
