import { arrangementOf, conditionsEach } from '../arrangement'
import { sensible, type CivilMoment, type MovedBecause, type Need, type Step } from '../kit'
import { activeConditions, type Material, type Plan, type PreparationKind, type TrialPart } from '../lesson'
import { unitOf, withUnit, writeShort, type KitchenRegion, type UnitCode } from '../quantity'
import { kindOf } from '../test'
import { counted, lessonName, list } from './names'
import { dayWords } from './days'
import { countedOwners } from './owners'

export const PER_WORDS: Record<Material['per'], string> = {
  class: 'for the class',
  group: 'each group',
  child: 'each child',
  condition: 'each condition',
  trial: 'each trial',
}

/** For what an amount is; where each child measures for itself, what a group has a child has. */
export function perWords({ each }: Pick<Plan, 'each'>): Partial<Record<Material['per'], string>> {
  const { child, group, ...others } = PER_WORDS
  return each === 'child' ? { ...others, group: child } : { ...PER_WORDS, group }
}

export const USE_WORDS: Record<Material['use'], string> = { up: 'used up', again: 'used again' }

/** The steps of a trial as ticks at a thing that goes round. */
export const TRIAL_PART_WORDS: Record<TrialPart, string> = { setUp: 'set up', run: 'running', read: 'read', reset: 'reset' }

export const PREPARATION_WORDS: Record<PreparationKind, string> = {
  soak: 'Soak',
  freeze: 'Freeze',
  cut: 'Cut',
  boil: 'Boil and cool',
  grow: 'Grow',
  other: 'Get ready',
}

/** An amount of a material; what is counted in pieces goes without a unit. `amountWords(12, 'cup') // '12\u202fcups'` */
export function amountWords(value: number, unit: UnitCode): string {
  if (unit === 'pieces' || unit === 'count') return writeShort(value)
  return withUnit(writeShort(value), unit) + (value > 1 && (unit === 'cup' || unit === 'pint') ? 's' : '')
}

/**
 * An amount as somebody would measure it, with the unit it was written in behind it where the two differ.
 * @example measuredWords(21, 'tbsp') // => '315\u202fmL (21\u202ftbsp)'
 */
export function measuredWords(value: number, unit: UnitCode, kitchen: KitchenRegion = 'metric'): string {
  const handy = sensible(value, unit, kitchen)
  const written = amountWords(value, unit)
  if (handy.unit === unit) return written
  const sameFamily = [unit, handy.unit].every((code) => ['mL', 'L', 'g', 'kg', 'mm', 'cm', 'm'].includes(code))
  return amountWords(handy.value, handy.unit) + (sameFamily ? '' : ` (${written})`)
}

const MOST_TITLES = 3

/** Lessons for which what came into the cupboard counts from now on. `reachedWords([{ title: 'Swing time' }]) // 'Counted for Swing time from now on.'` */
export function reachedWords(reached: { title: string }[]): string {
  const titles = reached.slice(0, MOST_TITLES).map(({ title }) => lessonName(title))
  const more = reached.length - titles.length
  return `Counted for ${list([...titles, ...(more > 0 ? [`${more} more`] : [])])} from now on.`
}

/** What a spoon or a cup is taken for. `spoonWords(['tbsp']) // '1 tbsp is 15 mL.'`; empty without any. */
export function spoonWords(units: UnitCode[], kitchen: KitchenRegion = 'metric'): string {
  const spoons = (['tsp', 'tbsp', 'cup', 'fl-oz', 'pint'] as UnitCode[]).filter((unit) => units.includes(unit))
  if (spoons.length === 0) return ''
  const size = (unit: UnitCode) => writeShort(unitOf(unit, kitchen).size)
  return `${list(spoons.map((unit) => `1 ${unitOf(unit).symbol} is ${withUnit(size(unit), 'mL')}`))}.`
}

/** The multiplication behind the kit. `'4 conditions × (3 repeats + 1 practice) × 7 groups = 112 trials'` */
export function trialSum(plan: Plan): string {
  const way = arrangementOf(plan)
  if (kindOf(plan).allAtOnce) return raceSum(plan)
  const conditions = way === 'share-out' ? conditionsEach(plan) : activeConditions(plan).length
  const [each, groups] = [plan.repeats + plan.practice, way === 'together' ? 1 : plan.groups.length]
  const repeats =
    plan.practice === 0 ? counted(plan.repeats, 'repeat') : `(${counted(plan.repeats, 'repeat')} + ${plan.practice} practice)`
  const of = way === 'share-out' ? ` of ${activeConditions(plan).length}` : ''
  const by = way === 'together' ? 'one apparatus' : countedOwners(plan, groups)
  return `${counted(conditions, 'condition')}${of} × ${repeats} × ${by} = ${counted(conditions * each * groups, 'trial')}`
}

/** A race runs all its conditions at once and is one trial. `'(3 repeats + 1 practice) × 7 groups = 28 trials'` */
function raceSum(plan: Plan): string {
  const groups = arrangementOf(plan) === 'together' ? 1 : plan.groups.length
  const repeats =
    plan.practice === 0 ? counted(plan.repeats, 'repeat') : `(${counted(plan.repeats, 'repeat')} + ${plan.practice} practice)`
  const by = groups === 1 && arrangementOf(plan) === 'together' ? 'one apparatus' : countedOwners(plan, groups)
  return `${repeats} × ${by} = ${counted((plan.repeats + plan.practice) * groups, 'trial')}`
}

/** How one need was worked out. `'1 × 28 trials = 28, and 3 spare'` */
export function needSum(need: Need, material: Material, plan: Pick<Plan, 'each'>): string {
  const { amount, times, spare, unit, atOnce } = need
  if (!amount.ok) return ''
  const what: Record<Material['per'], [string, string?]> = {
    class: ['class', 'class'],
    group: ['group'],
    child: ['child', 'children'],
    condition: ['condition'],
    trial: ['trial'],
  }
  if (material.use === 'again' && material.goesRound !== null)
    return `${counted(material.goesRound, 'goes', 'go')} round between the groups`
  const again = atOnce ? `${atOnce.used} in use and ${atOnce.drying} drying at a time` : 'in use at a time'
  const [one, many] = what[material.per]
  const counts = need.forAll
    ? `${writeShort(times)} for the class, which everybody looks at,`
    : need.comesAgain
      ? `${countedOwners(plan, times)}, the same one in each trial,`
      : material.use === 'again' && material.per === 'trial'
        ? `${writeShort(times)} ${again}`
        : counted(times, one, many)
  const sum = `${amountWords(amount.value, unit)} × ${counts} = ${amountWords(amount.value * times, unit)}`
  return spare > 0 ? `${sum}, and ${amountWords(spare, unit)} spare` : sum
}

/** One step of getting ready. `'Cut 31 strips of card'` */
export function stepWords(step: Step, plan: Plan, needs: Need[], kitchen: KitchenRegion = 'metric'): string {
  if (step.kind === 'pack') return `Pack ${counted(plan.groups.length, 'tray')}`
  if (step.kind === 'shop') {
    const bought = plan.materials.filter(({ toBuy }) => toBuy).map(({ name }) => name || 'a thing without a name')
    return `Buy ${list(bought)}`
  }
  const material = plan.materials.find(({ id }) => id === step.material)
  const need = needs.find((one) => one.material === step.material)
  const amount = need ? measuredWords(need.forClass, need.unit, kitchen) : ''
  const said = material?.preparation?.words.trim()
  return `${PREPARATION_WORDS[step.kind]}: ${amount} ${material?.name || 'a thing without a name'}${said ? `, ${said}` : ''}`
}

const MOVED_WORDS: Record<MovedBecause, string> = {
  night: 'it would fall in the night',
  'day-off': 'there is no school that day',
  clash: 'something else is being done then',
}

/** Why a step is earlier than it would have to be. `'moved earlier, since it would fall in the night'`; empty when it is not. */
export function movedWords(moved: MovedBecause[]): string {
  return moved.length === 0 ? '' : `moved earlier, since ${list(moved.map((why) => MOVED_WORDS[why]))}`
}

/** `'Thu 12 Mar, 10:05'` */
export function civilWords({ day, time }: CivilMoment): string {
  return `${dayWords(day)}, ${time}`
}

/** How long something stands, or takes. `spanWords(90) // '1 h 30 min'` */
export function spanWords(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), Math.round(minutes % 60)]
  if (hours >= 48) return [`${Math.floor(hours / 24)} days`, hours % 24 > 0 ? `${hours % 24} h` : ''].filter(Boolean).join(' ')
  return [hours > 0 ? `${hours} h` : '', rest > 0 || hours === 0 ? `${rest} min` : ''].filter(Boolean).join(' ')
}
