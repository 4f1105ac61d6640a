import type { Customs } from '../kit'
import { convert } from '../quantity'
import type { Report } from '../reports'
import { inAmericanUnits, type StartingPoint } from '../test'

/** The British words that are ours, by their stem, and what they are in the United States. */
const AMERICAN: Record<string, string> = {
  colour: 'color',
  grey: 'gray',
  'kitchen roll': 'paper towel',
  'kitchen towel': 'paper towel',
  litre: 'liter',
  metre: 'meter',
  mould: 'mold',
  neighbour: 'neighbor',
  practis: 'practic',
}
const BRITISH = new RegExp(`(?<![a-z])((?:centi|milli|kilo)?)(${Object.keys(AMERICAN).join('|')})`, 'gi')

const CELSIUS = /(\d+(?:\.\d+)?)([\s\u00a0\u202f]*)°C/g

/**
 * A text of ours in the school's English, warmth in its degrees. What teacher and children wrote is not put through it.
 * @example spelled('Kitchen roll in coloured water', 'american') // => 'Paper towel in colored water'
 */
export function spelled(text: string, english: Customs['english']): string {
  if (english === 'british') return text
  const warm = text.replace(
    CELSIUS,
    (_, digits: string, space: string) => `${Math.round(convert(Number(digits), 'degC', 'degF')!)}${space}°F`,
  )
  return warm.replace(BRITISH, (_, prefix: string, word: string) => {
    const american = AMERICAN[word.toLowerCase()]!
    return prefix + (/^[A-Z]/.test(word) ? american[0]!.toUpperCase() + american.slice(1) : american)
  })
}

/** A lesson of ours as the school writes and measures. */
export function inSchoolsWay(body: StartingPoint, english: Customs['english']): StartingPoint {
  return english === 'british' ? body : spelledThrough(inAmericanUnits(body), english)
}

/** The same for every text in something of ours, however deep it stands. */
function spelledThrough<T>(value: T, english: Customs['english']): T {
  if (typeof value === 'string') return spelled(value, english) as T
  if (Array.isArray(value)) return value.map((one: unknown) => spelledThrough(one, english)) as T
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, spelledThrough(one, english)])) as T
}

/** A report with its headings, which are ours, in the school's English. */
export function spelledHeadings(report: Report, english: Customs['english']): Report {
  const blocks = report.blocks.map((block) => (block.kind === 'heading' ? { ...block, text: spelled(block.text, english) } : block))
  return { ...report, blocks }
}
