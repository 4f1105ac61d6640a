import { sentenceCase } from './sentenceCase'
import type { Age, Plan } from '../lesson'
import { gettingReady, kitchenOf, needsOf, type School, type Stocked } from '../kit'
import { trueOrder } from '../rehearsal'
import { resultUnit, testOf, type Teaching } from '../test'
import { measuredWords, spanWords } from './kit'
import { list, nameOfCondition } from './names'
import { writeFigure } from './tables'

const MOST_NAMES = 4

/** What investigations are about, as a teacher says it. */
export const TOPIC_WORDS = {
  materials: 'Materials',
  movement: 'Forces and movement',
  'light-and-sound': 'Light and sound',
  electricity: 'Electricity and magnets',
  'living-things': 'Living things',
  ourselves: 'Ourselves',
  'hot-and-cold': 'Hot and cold',
  earth: 'Earth and sky',
} as const

export const AGE_WORDS: Record<Age, string> = { '5-7': '5 to 7 years', '7-9': '7 to 9 years', '9-11': '9 to 11 years' }

/** How a class falls for an unfair set-up. `'The width of the strip: 4 cm for kitchen roll, 2 cm, cut on the guillotine for the others.'` */
export function temptingWords(plan: Plan, tempting: NonNullable<Teaching['tempting']>): string {
  const factor = plan.factors.find(({ id }) => id === tempting.factor)
  if (!factor) return tempting.why
  const other = Object.entries(tempting.exceptions).map(([id, value]) => `${value} for ${nameOfCondition(plan, id)}`)
  const said =
    other.length > 0 ? `${list(other)}, but “${factor.how || 'the same'}” for the others` : 'not the same before and after'
  return `${sentenceCase(factor.name)}: ${said}.`
}

/** Ages on a card: `agesWords(['5-7', '7-9']) // '5 to 9 years'` */
export function agesWords(ages: Age[]): string {
  const years = ages.flatMap((age) => age.split('-').map(Number))
  return `${Math.min(...years)} to ${Math.max(...years)} years`
}

/**
 * What a lesson needs, and what the cupboard lacks of it; it lacks nothing where it lists none of it.
 * `{ needs: '30 cm ruler and water', lacks: 'Too few in the cupboard: 30 cm ruler.' }`
 */
export function stockWords(needs: { name: string; stocked: Stocked }[]): { needs: string; lacks: string } {
  const named = (state?: Stocked) => namesOf(needs.filter(({ stocked }) => state === undefined || stocked === state))
  if (needs.every(({ stocked }) => stocked === 'not-listed')) return { needs: named(), lacks: '' }
  const [tooFew, unlisted] = [named('too-few'), named('not-listed')]
  const lacks = [tooFew && `Too few in the cupboard: ${tooFew}.`, unlisted && `Not in the cupboard: ${unlisted}.`].filter(Boolean)
  return { needs: named(), lacks: lacks.length === 0 ? 'The cupboard has all of it.' : lacks.join(' ') }
}

/** The first few, and how many more. */
function namesOf(things: { name: string }[]): string {
  // What is said behind a comma is for whoever packs it.
  const names = [...new Set(things.map(({ name }) => name.split(',')[0]!))]
  return list(names.length > MOST_NAMES ? [...names.slice(0, MOST_NAMES - 1), `${names.length - MOST_NAMES + 1} more`] : names)
}

/** Everything that a class of this size needs, a line each. `'Strips of card, 2 x 12 cm: 31'` */
export function neededLines(plan: Plan, school: School): string[] {
  const names = new Map(plan.materials.map(({ id, name }) => [id, name]))
  return needsOf(plan, school).map(
    ({ material, forClass, unit }) =>
      `${sentenceCase(names.get(material) ?? '')}: ${measuredWords(forClass, unit, kitchenOf(school.customs))}`,
  )
}

/** What getting ready takes, and how long before. `'About 25 min, and begun 2 days before.'` */
export function readyWords(plan: Plan): string {
  const steps = gettingReady(plan).filter(({ kind }) => kind !== 'shop')
  const minutes = steps.reduce((sum, step) => sum + step.minutes, 0)
  const before = Math.max(0, ...steps.map(({ hours }) => hours))
  const begun = before === 0 ? '' : `, and begun ${before < 20 ? 'the evening' : daysWords(before)} before`
  return `About ${spanWords(Math.round(minutes))}${begun}.`
}

const daysWords = (hours: number) => (hours < 30 ? 'a day' : `${Math.ceil(hours / 24)} days`)

/** What is likely to come out, a line each, and where that is known from; undefined where nobody can say. `{ title: 'What a class is likely to find', lines: ['Kitchen roll: 62 mm'] }` */
export function expectedWords(plan: Plan): ExpectedWords | undefined {
  const truth = trueOrder(plan)
  if (!truth) return undefined
  const { way, words } = testOf(plan)
  const written = (value: number) =>
    way.fromWords ? `“${words[Math.round(value) - 1]}”` : writeFigure(plan, value, resultUnit(plan))
  const lines = way.isPlace
    ? [`In this order: ${list(truth.order.map((id) => nameOfCondition(plan, id)))}`]
    : [...truth.results].map(([id, value]) => `${sentenceCase(nameOfCondition(plan, id))}: ${written(value)}`)
  return truth.from === 'bench'
    ? { title: 'What a class is likely to find', note: 'By a small model of this set-up: yours will differ.', lines }
    : { title: 'What its plan expects', note: 'A guess of whoever kept it.', lines }
}

export interface ExpectedWords {
  title: string
  note: string
  lines: string[]
}
