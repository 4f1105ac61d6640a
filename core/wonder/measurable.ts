import { COMPARING } from '../quantity'

const MEASURABLE =
  /\b(how (?:far|high|tall|long|fast|many|much|heavy|hot|cold|warm|loud|big|wide|deep|often|strong|quickly|soon|easily)|as (?:many|much|far|high|long|fast|warm|hot|cold|loud|big|strong|heavy|well|quickly|soon) as|times?|seconds?|minutes?|centimetres?|temperature|speed|weigh\w*|mass|height|length|distance|count|grows?|growing|(?:change|affect|for) the (?:sound|speed|size|colour|temperature|bounce|time))\b/i
const RANKED = /\b(first|last|every|all|easier|easiest|more easily)\b/i
const WHEN = /^\s*when\b/i
const OPINION =
  /\b(pretty|prettier|prettiest|beautiful|nice|nicer|nicest|fun|funny|cool|cute|happy|sad|like it|feel (?:happy|sad|pain))\b/i
const CAUSE = /^\s*(?:why|how come|who|where)\b/i

/** What a wondering would look at, in its own words: something that can be measured, or only put in order, or a matter of taste. */
export type Looked = { code: 'measured' | 'ranked' | 'opinion'; word: string } | undefined

/** @example measurableIn('Does a longer string swing slower?') // => { code: 'ranked', word: 'slower' } */
export function measurableIn(text: string): Looked {
  const opinion = OPINION.exec(text)?.[0]
  if (opinion) return { code: 'opinion', word: opinion.toLowerCase() }
  if (CAUSE.test(text)) return undefined
  const measured = MEASURABLE.exec(text)?.[0] ?? WHEN.exec(text)?.[0].trim()
  if (measured) return { code: 'measured', word: measured.toLowerCase() }
  const compared = text
    .match(/\p{L}+/gu)
    ?.filter((word) => COMPARING.has(word.toLowerCase()))
    .at(-1)
  const ranked = compared ?? RANKED.exec(text)?.[0]
  return ranked ? { code: 'ranked', word: ranked.toLowerCase() } : undefined
}

const SUBJECT = String.raw`(?<subject>it|this|they|(?:the|a|an|our|its) [\p{L}]+)`
const ASKED_DOES = new RegExp(
  String.raw`\b(?<how>how (?:many|much) .{2,30}?|how \p{L}+) (?:does|do|did) ${SUBJECT} (?<verb>\p{L}+)(?<rest>[^?]*)`,
  'iu',
)
const ASKED_CAN = new RegExp(
  String.raw`\b(?<how>how (?:many|much) .{2,30}?|how \p{L}+) (?<can>can|could|will|would|is|are) ${SUBJECT}(?<rest>[^?]*)`,
  'iu',
)
const ALREADY = /\b(how (?:far|high|tall|long|fast|many|much|heavy|hot|cold|warm|loud|big|wide|deep|soon)\b[^?]{3,60})/iu

/**
 * What a wondering would measure, as a card that fits behind "change"; empty where its words name nothing.
 * @example measureCardOf('How many clips can the magnet lift?') // => 'how many clips the magnet can lift'
 * @example measureCardOf('How far does it roll?') // => 'how far it rolls'
 */
export function measureCardOf(text: string): string {
  const does = ASKED_DOES.exec(text)?.groups
  if (does) return `${lower(does.how!)} ${does.subject} ${said(does.subject!, does.verb!)}${does.rest!.trimEnd()}`
  const can = ASKED_CAN.exec(text)?.groups
  if (can) return `${lower(can.how!)} ${can.subject} ${can.can!.toLowerCase()}${can.rest!.trimEnd()}`
  const already = ALREADY.exec(text)?.[1]
  return already ? lower(already.trim()) : ''
}

const lower = (text: string) => text.slice(0, 1).toLowerCase() + text.slice(1)

function said(subject: string, verb: string): string {
  if (/^they$/i.test(subject)) return verb
  return /(?:s|sh|ch|x|o)$/.test(verb) ? `${verb}es` : `${verb}s`
}
