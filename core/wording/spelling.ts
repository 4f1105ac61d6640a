import type { Customs } from '../kit'
import type { Report } from '../reports'

/** British words of ours and what they are in the United States; each also with its endings. */
const AMERICAN: [british: string, american: string][] = [
  ['aluminium', 'aluminum'],
  ['centred', 'centered'],
  ['centre', 'center'],
  ['cling film', 'plastic wrap'],
  ['colour', 'color'],
  ['favourite', 'favorite'],
  ['grey', 'gray'],
  ['half term', 'midterm break'],
  ['judgement', 'judgment'],
  ['kitchen roll', 'paper towel'],
  ['kitchen towel', 'paper towel'],
  ['litre', 'liter'],
  ['metre', 'meter'],
  ['mould', 'mold'],
  ['neighbour', 'neighbor'],
  ['practise', 'practice'],
  ['practising', 'practicing'],
  ['torch', 'flashlight'],
  ['washing-up liquid', 'dish soap'],
]
const BRITISH = new RegExp(`(?<![a-z])(centi|milli|kilo)?(${AMERICAN.map(([british]) => british).join('|')})(e?s)?`, 'gi')

/**
 * A text of ours in the school's English. What teacher and children wrote is not put through it.
 * @example spelled('Kitchen roll in coloured water', 'american') // => 'Paper towel in colored water'
 */
export function spelled(text: string, english: Customs['english']): string {
  if (english === 'british') return text
  return text.replace(BRITISH, (written, prefix: string | undefined, word: string, ending: string | undefined) => {
    const [british, american] = AMERICAN.find(([one]) => one === word.toLowerCase())!
    const plural =
      ending === 'es' && british.endsWith('e') === american.endsWith('e') && !american.endsWith('ch') ? 's' : (ending ?? '')
    const whole = `${prefix?.toLowerCase() ?? ''}${american}${plural}`
    return /^[A-Z]/.test(written) ? whole[0]!.toUpperCase() + whole.slice(1) : whole
  })
}

/** The same for every text in a value, however deep it stands; what it is called stays. */
export function spelledThrough<T>(value: T, english: Customs['english']): T {
  if (typeof value === 'string') return spelled(value, english) as T
  if (Array.isArray(value)) return value.map((one: unknown) => spelledThrough(one, english)) as T
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([name, one]) => [name, NAMES.has(name) ? one : spelledThrough(one, english)]),
  ) as T
}

/** A report with its headings, which are ours, in the school's English. */
export function spelledHeadings(report: Report, english: Customs['english']): Report {
  const blocks = report.blocks.map((block) => (block.kind === 'heading' ? { ...block, text: spelled(block.text, english) } : block))
  return { ...report, blocks }
}

/** What is no text but a code or a reference. */
const NAMES = new Set([
  'cautions',
  'cautionsAcknowledged',
  'cautionsNotHere',
  'id',
  'condition',
  'material',
  'thing',
  'unit',
  'kind',
  'picture',
  'shape',
])
