import { type Plan } from '../lesson'
import { resultUnit, testOf } from '../test'
import type { Challenge } from '../predictions'
import { list, nameOfGroup } from './names'
import { writeFigure } from './tables'
import { countedOwners } from './owners'

/** What a group is asked: `'What will 150 cm give? How high it bounces back, in cm.'` */
export function challengePrompt(plan: Plan, name: string): string {
  return `What will ${name} give? Guess from what you found: ${testOf(plan).measure?.name ?? 'the result'}.`
}

/** What the line foretold, what was guessed and what was seen, laid beside each other. */
export function challengeSentences(plan: Plan, { name, foretold, rows, seen, nearest, place }: Challenge): string[] {
  const unit = resultUnit(plan)
  const write = (value: number) => writeFigure(plan, value, unit)
  const guessed = rows.filter(({ guess }) => guess !== undefined).length
  const tested = rows.filter((row) => row.seen !== undefined).length
  const line = foretold
    ? `The class’s line says ${write(foretold.value)} for ${name}, give or take ${write(foretold.reach)}${foretold.outside ? ', and nobody tested that far out' : ''}.`
    : ''
  const said = `${countedOwners(plan, guessed)} of ${rows.length} guessed.`
  const came =
    seen === undefined
      ? 'Nobody has tested it yet.'
      : `${tested === 1 ? 'One group tested it' : `${tested} groups tested it, in their middle`}: ${write(seen)}${foretold ? (isWithin(seen, foretold) ? ', as the line predicted' : ', which the line did not predict') : ''}.`
  const where = place
    ? `Among what was tested it comes ${place.seen === 1 ? 'first' : place.seen === place.of ? 'last' : `number ${place.seen} of ${place.of}`}, the most first.`
    : ''
  const best = nearest.length > 0 ? `Nearest: ${list(nearest.map((id) => nameOfGroup(plan, id)))}.` : ''
  return [line, said, came, where, best].filter(Boolean)
}

/** Does what was seen lie where another group's average would 95 times in 100; of one group alone, where its own would. */
function isWithin(seen: number, { value, reach, another }: NonNullable<Challenge['foretold']>): boolean {
  const { low, high } = another ?? { low: value - reach, high: value + reach }
  return seen >= low && seen <= high
}
