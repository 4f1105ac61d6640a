import { createHash } from 'node:crypto'
import { relative } from 'node:path'

const DRAWN = 120
const SEED = 32

/** The ids of a seeded sample: a mutant is drawn for where it stands and what it puts there, so that an edit elsewhere draws no other ones. */
export function drawn(mutants) {
  const lots = mutants.map((mutant) => ({ id: mutant.id, lot: lotOf(mutant) })).sort((a, b) => (a.lot < b.lot ? -1 : 1))
  return new Set(lots.slice(0, DRAWN).map(({ id }) => id))
}

function lotOf({ fileName, location: { start, end }, mutatorName, replacement }) {
  const place = [relative(process.cwd(), fileName), start.line, start.column, end.line, end.column]
  return createHash('sha256')
    .update([SEED, ...place, mutatorName, replacement].join('|'))
    .digest('hex')
}
