import type { Kind } from '../lesson'
import { STARTING, WEEKDAYS } from './moments'
import { WAYS_OF_READING, type KindOfTest } from '../test'
import { BEST_FIRST, SAY_OF_EACH } from './words'

/** The kind of test that a line asks for, and its words for it; undefined where it only follows from there being something to change. */
export interface KindRead {
  kind: Kind
  quote: string
  /** Put in order by weighing or side by side. */
  way: 'balance' | 'race' | undefined
}

const TIMES = String.raw`(?:minutes?|hours?|(?:school )?days?|weeks?|evenings?|nights?|mondays?|tuesdays?|wednesdays?|thursdays?|fridays?|mornings?|afternoons?|lessons?|break|month)`

/** "Which things does the magnet pull", "which of these objects float": of each thing, whether it does. */
export const WHETHER =
  /^\s*which (?:of (?:these|the|our|two|three|four|five|six|seven|eight|\d+) )?(?:things|objects|materials|metals|foods|liquids|powders|toys|fabrics|stones|rocks|coins|papers)\s+(?:(?:does|do|will|can) (?<who>(?:the |a |an |our )?[\p{L}-]+) (?<verb>[\p{L}-]+(?: up)?)|(?<doing>(?:float|sink|stick|dissolve|conduct|close|let|roll|bounce|stretch|rust)\b(?![^:,?]*\b(?:(?!water\b|paper\b|rubber\b|butter\b|other\b|after\b)\p{L}+(?:est|er)|most|least|best|worst|first|last)\b)[^:,?]*))(?=\s*(?:[:,?]|$))/iu

/** How often something is built, which is no part of what it does. */
export const TRIES = /,?\s*\b(?:two|three|four|five|\d|several) (?:tries|goes|attempts|designs|versions|turns each)\b/i

/** One way to say it a line, the surest first. */
const SAID: [Kind, RegExp, KindRead['way']?][] = [
  [
    'order',
    /\btwo (?:of [\p{L} ]{3,20} )?at a time\b|\bbalance (?:two|pairs|them|the|our|these|each)\b|\bbalance scales?\b|\b(?:on|with|using|use) (?:a|the|our) (?:pan |bucket )?balance\b|\bbucket balance\b/iu,
    'balance',
  ],
  [
    'order',
    /^\s*(?:we |let us |let's )?race\b|\brace (?:them|it|two|three|four|five|\d|the|our|these)\b|\bfinish(?:es)? first\b|\b(?:is|comes|gets there|arrives) first\b/i,
    'race',
  ],
  ['order', /\b(?:in|into) order\b.*\b(?:heav|light|weigh)/i, 'balance'],
  ['order', /\b(?:put|line|sort|rank|order)\b.{0,40}\b(?:in order|from \p{L}+est to \p{L}+est|up from)\b/iu],
  ['order', BEST_FIRST],
  ['order', /^\s*(?:order|rank|arrange|line up) (?:these|the|our|two|three|four|five|six|seven|eight|\d+)\b/iu],
  ['improve', TRIES],
  ['improve', /^\s*(?:we |can you |can we |let'?s )?(?:improve|invent|redesign)\b|\bmake it (?:even )?better\b|\bthen improve\b/i],
  [
    'improve',
    /^\s*(?:we |can you |can we |let'?s )?(?:build|design|construct|make)\s+(?:a|an|the)\b.{0,80}\b(?:that|which|so|tall|strong|long|fast|far|best)/i,
  ],
  [
    'improve',
    /\b(?:can|could) (?:we|you|they|(?:my |our |the )?(?:class|children|groups?)|each group)(?: all)? (?:make|build|design) (?:a|an|the) better\b/i,
  ],
  ['over-time', WEEKDAYS],
  [
    'over-time',
    new RegExp(
      String.raw`\b(?:every|each)\s+(?:(?:other|second|\d+|one|two|three|five|ten|fifteen|half)\s+)?${TIMES}\b|\b(?:daily|hourly|weekly|once a (?:day|week)|day by day)\b`,
      'i',
    ),
  ],
  [
    'over-time',
    /\b(?:at|by) (?:\d{1,2}(?:[:.]\d\d)?(?: ?[ap]\.?m\.?)?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)(?:\s*,\s*|\s+and\s+)[\p{L}\d].*o['’]?\s?clock|\bthrough(?:out)? the (?:day|week)\b|\bover the (?:day|week|month)\b|\bfrom (?:nine|8|9|morning)\b.{0,12} to\b/iu,
  ],
  [
    'over-time',
    /\b(?:weigh|mass|weight|measure|how (?:tall|long|heavy|wide))\b[^?.]{0,40}\b(?:dry|wet|soaked|damp|frozen|fresh|raw|full|empty)(?:, (?:dry|wet|soaked|damp|frozen|melted|fresh|dried|raw|cooked|half full))*,? and (?:wrung out|dry|wet|soaked|melted|dried|cooked|empty|full|after (?:a|an|one|two|three|\d+) [\p{L} ]{3,30})\b/iu,
  ],
  ['over-time', STARTING],
  ['over-time', /\bdry\b.{0,8}\bwet\b.{0,12}\bdry again\b|\b\p{L}+,\s*\p{L}+ and \p{L}+ again\b/iu],
  [
    'before-after',
    /\bbefore (?:and|&) after\b|\bbefore\b.{2,60}\b(?:and|&) after\b|\b(?:weigh|measure) (?:it|them) again\b|\bcount\b.{3,60}\bcount (?:it |them )?again\b|\bat the (?:start|beginning) and (?:at )?the end\b|\band again (?:after|when|without|later)\b|\bagain afterwards\b/i,
  ],
  // Two moments, and nothing between them.
  ['before-after', /\b(?:weigh|measure)\b.{2,50}\bin the morning and (?:again )?in the (?:afternoon|evening)\b/i],
  // "What happens to the mass of bread when we toast it".
  [
    'before-after',
    /^\s*what happens to the (?:mass|weight|length|height|size|width|temperature|pulse) of .{2,40}? when (?:we|you|i|it)\b/i,
  ],
  ['describe', WHETHER],
  ['describe', SAY_OF_EACH],
  [
    'describe',
    /^\s*(?:[\p{L}-]+: )?(?:sort|group) .{2,40}? (?:by (?:whether|if|how|what|those|ones|their)\b|into (?:(?:whether|if|how|what|those|ones|their)\b|(?=\p{L}+(?:,| and| or) )))/iu,
  ],
  [
    'describe',
    /^\s*which [\p{L} ]+ (?:is|are) (?!\p{L}+(?:est|er)\b|best\b|better\b)\p{L}+,\s+(?:half |a bit |a little |quite |very |slightly )?\p{L}+(?:,? or) \p{L}+\s*\??\s*$/iu,
  ],
  ['describe', /^\s*(?:sort|group) [\p{L} ]{2,30}: which (?:is|are|feels?|looks?) \p{L}+,/iu],
  ['describe', /^\s*describe\b|\byes or no\b|\(yes\/no\)|\bwhat .{2,40} (?:feels?|looks?|smells?) like\b/i],
  [
    'describe',
    /\b(?:feel|feels|look|looks|smell|smells|makes? [\p{L} ]{2,30}?)\s+\p{L}+,\s+(?:a bit |a little |quite |very |slightly )?\p{L}+.{0,30}\b(?:or|and)\b/iu,
  ],
]

/** @example kindIn('Which of these five stones is heaviest? On a balance, two at a time')?.kind // => 'order' */
export function kindIn(text: string): KindRead | undefined {
  for (const [kind, words, way] of SAID) {
    const match = words.exec(text)
    if (match) return { kind, quote: match[0].replace(/^[\s,]+/, '').trim(), way }
  }
  return undefined
}

/** Is what is found in such a test usually a word. */
export function isInWords({ ways }: Pick<KindOfTest, 'ways'>): boolean {
  return WAYS_OF_READING[ways[0]!].fromWords
}
