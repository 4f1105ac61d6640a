import { activeConditions, conditionValue, type Plan } from '../../lesson'
import { convert, isAmount, type Quality } from '../../quantity'
import { countsOf, kindOf, resultUnit, testOf } from '../../test'
import type { FigureMention, Span, Stretch } from './stretch'
import { isAbout } from './plainly'

const OTHER_SIZES: [RegExp, Quality][] = [
  [/^ (?:thick|wide|broad)\b/, 'width'],
  [/^ deep\b/, 'depth'],
  [/^ heavy\b/, 'weight'],
  [/^ (?:warm|hot|cold)\b/, 'warmth'],
]

/** "61 mm thick", where it was read how high water climbs. */
export function isOfOtherSize({ text, from }: Stretch, figure: Span, plan: Plan): boolean {
  const after = text.slice(figure.to - from)
  const size = OTHER_SIZES.find(([pattern]) => pattern.test(after))
  return size !== undefined && !isAbout(testOf(plan).measure?.name ?? '', size[1])
}

/** A time, a width or another number that the plan itself has, or of another dimension than what was measured. */
export function isOfPlan(figure: FigureMention, sentence: Stretch, plan: Plan): boolean {
  const { method } = testOf(plan)
  const unit = resultUnit(plan)
  if (!method || !isAmount(unit)) return true
  if (figure.unitSaid && convert(figure.value, figure.unit, unit) === undefined) return true
  // Where lengths change and lengths are measured, the unit tells which of them is meant.
  if (plan.conditionsAs === 'numbers' && figure.unit === plan.conditionUnit && figure.unit !== unit) return true
  // "Not within 30 min" says how long anybody watched.
  if (/\bwithin\s*$/.test(sentence.text.slice(0, figure.from - sentence.from))) return true
  const times = kindOf(plan).watches && countsOf(plan) !== 'until' ? plan.watch.times.map(String) : []
  return times.includes(String(figure.value)) || isWritten(figure, plan)
}

/** Is it a number that the plan knows: one that was tested, a time at which was read, one that is written there. */
export function isKnownOfPlan(figure: FigureMention, plan: Plan): boolean {
  if (isWritten(figure, plan) || plan.watch.times.includes(figure.value)) return true
  const value = figure.unitSaid && isAmount(figure.unit) ? convert(figure.value, figure.unit, plan.conditionUnit) : figure.value
  return plan.conditionsAs === 'numbers' && activeConditions(plan).some((one) => conditionValue(plan, one) === value)
}

/** Does the plan itself have this number: in the name of a card, or in how it is kept the same. */
function isWritten({ value }: FigureMention, plan: Plan): boolean {
  const written = [
    testOf(plan).measure?.name,
    ...plan.factors.flatMap(({ name, how, exceptions }) => [name, how, ...Object.values(exceptions)]),
  ]
  return written
    .join(' ')
    .split(/[^\d.,]+/)
    .includes(String(value))
}
