import { unreachable } from '../unreachable'
import type { ColumnMatch, ImportCell } from '../formats'
import type { Plan } from '../lesson'
import { conditionWithLetter, momentWords, nameOfGroup, writeReading } from './names'

export const ROLE_WORDS: Record<ColumnMatch['role'], string> = {
  group: 'the group',
  condition: 'the condition',
  repeat: 'which repeat',
  moment: 'when it was read',
  value: 'the result',
  unit: 'the unit',
  reason: 'a note or reason',
  skip: 'nothing for us',
}

/** What a cell becomes. `'Alder, B tissue, repeat 1: 61 mm'` */
export function importedWords(plan: Plan, { reading }: ImportCell): string {
  if (!reading) return ''
  const { group, condition, repeat, moment, value, unit, status, reason } = reading
  const place = [nameOfGroup(plan, group), conditionWithLetter(plan, condition), `repeat ${repeat}`, momentWords(plan, moment)]
  return `${place.filter(Boolean).join(', ')}: ${writeReading(plan, value, unit)}${status === 'set-aside' ? `, set aside: ${reason}` : ''}`
}

/** Why a cell is passed over, and what would help. */
export function skipWords({ skip }: ImportCell): string {
  if (!skip) return ''
  const { code, detail } = skip
  switch (code) {
    case 'no-value':
      return 'no result in this row'
    case 'no-group':
      return 'no group: say which column names it, or whose the table is'
    case 'unknown-group':
      return `no group is called “${detail}”`
    case 'no-condition':
      return 'no condition: say which column names it'
    case 'unknown-condition':
      return `no condition is called “${detail}”`
    case 'bad-repeat':
      return `“${detail}” is not a repeat from 1 to 20`
    case 'no-moment':
      return 'no time of reading: say which column names it'
    case 'unknown-moment':
      return `the plan has no reading at “${detail}”`
    case 'unknown-unit':
      return `the unit in “${detail}” is not known`
    case 'wrong-kind-of-unit':
      return `“${detail}” measures something else than the plan does`
    case 'bad-value':
      return `“${detail}” cannot be read as a result`
    case 'place-taken':
      return `another reading stands there: ${detail}`
    case 'there-already':
      return 'it is there already'
    default:
      return unreachable(code)
  }
}
