import type { Grade } from '../evidence'

/** How sure the class can be, in its own few words. */
export const GRADE_NAMES: Record<Grade, string> = {
  clear: 'Clear',
  leaning: 'Leaning',
  'cannot-tell': "Can't tell yet",
  same: 'The same, as far as we can show',
  'nothing-yet': 'Nothing to compare yet',
  'one-condition': 'One thing, nothing to compare',
  'not-fair': 'Not a fair comparison',
}
