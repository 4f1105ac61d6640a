import { CAUTIONS, type Caution } from '../cautionNames'
import { KINDS } from './lexicon'
import { remembered } from '../../chance'
import {
  COLOURS,
  HOLDERS,
  KEPT_IN,
  MADE_OTHER,
  NOT_REAL,
  ONLY_IN_NAME,
  ONLY_WHEN_REAL,
  PICTURED,
  TAKES_AWAY,
  THINGS,
} from './things'

/** A plan is looked through at every key, and hardly any of its texts has changed. */
const MOST_TEXTS = 2000

/** Every name of a thing with its cautions, by its words in the singular. */
const NAMES = namesOf(THINGS, namesOf(KINDS, new Map()))

function namesOf(table: Record<string, string>, before: Map<string, Caution[]>): Map<string, Caution[]> {
  const names = new Map<string, Caution[]>()
  const alone = new Set<string>()
  for (const [codes, written] of Object.entries(table)) {
    const cautions = codes === 'none' ? [] : (codes.split(' ') as Caution[])
    for (const one of written.split(/,\s*/)) {
      const name = singular(one.trim().replace(/^=/, '').replace(/-/g, ' '))
      if (one.startsWith('=')) alone.add(name)
      if (name !== '') names.set(name, [...(names.get(name) ?? []), ...cautions])
    }
  }
  const all = new Map([...before, ...names])
  // A desk lamp is a lamp, too; what a LED or a battery drives is not.
  for (const [name, cautions] of names) {
    if (alone.has(name)) continue
    const [kind, ...rest] = name.split(' ').reverse() as [string, ...string[]]
    if (cautions.length > 0 && rest.length > 0 && !/\b(?:led|battery|toy)\b/.test(name))
      all.set(name, [...cautions, ...(all.get(kind) ?? [])])
  }
  return all
}

/** The last word of a name in the singular. `singular('glass marbles') // 'glass marble'` */
function singular(name: string): string {
  if (!name.endsWith('s')) return name
  return name
    .replace(/(?<=\p{L}{2})ies$/u, 'y')
    .replace(/(?<=\p{L}{2}(?:x|ch|sh|ss|z))es$/u, '')
    .replace(/(?<=\p{L}(?:[^su\s]))s$/u, '')
}

interface Found {
  /** In words of the text. */
  from: number
  to: number
  cautions: Caution[]
}

const ENDS = /^[,;.():/&+–—]$/
/** What follows a thing and tells of it, and names no other. */
const BEHIND =
  /^(?:of|in|on|for|from|with|to|at|by|left|made|cut|filled|that|which|until|per|each|a|an|the|just|freshly|newly|boiled|melted|open|opened|closed|shut|sealed|shaken|empty|clean|washed|broken|strong|small|large|outdoors|outside|inside|pointed|and|or|through|over|under|into|off|per|up|is|are|dropped|standing|kept|stored|lying|growing|floating|\d.*)$/u

/** Names by their first word, the longest first. */
const BY_FIRST = new Map<string, { rest: string[]; cautions: Caution[] }[]>()
for (const [name, cautions] of [...NAMES].sort(([one], [other]) => other.length - one.length)) {
  const [first, ...rest] = name.split(' ') as [string, ...string[]]
  BY_FIRST.set(first, [...(BY_FIRST.get(first) ?? []), { rest, cautions }])
}

/** What the words of a text name, longest names first, and what is behind each taken for what it is. */
function thingsIn(words: string[]): Found[] {
  const found: Found[] = []
  for (let from = 0; from < words.length; from += 1) {
    const first = words[from]!
    const one = singular(first)
    const begun = [
      ...(BY_FIRST.get(first) ?? []),
      ...(one === first ? [] : (BY_FIRST.get(one) ?? []).filter(({ rest }) => rest.length === 0)),
    ]
    const named = begun.find(({ rest }) =>
      rest.every((word, at) => {
        const said = words[from + 1 + at]
        return said === word || (at === rest.length - 1 && said !== undefined && singular(said) === word)
      }),
    )
    if (!named) continue
    found.push({ from, to: from + 1 + named.rest.length, cautions: named.cautions })
    from += named.rest.length
  }
  return found
}

/** Cautions of one thing where it stands: by the word right before it, and by what it is a part of. What stands in another part of the text takes nothing away. */
function whereItStands({ from, to, cautions }: Found, words: string[]): Caution[] {
  const begin = words.slice(0, from).findLastIndex((word) => ENDS.test(word)) + 1
  const end = words.findIndex((word, at) => at >= to && ENDS.test(word))
  const own = words.slice(begin, end < 0 ? undefined : end)
  // "Drinking glass, plastic" says what it is; behind a semicolon begins another thing.
  const behind = words[end] === ',' ? words.slice(end + 1, end + 3) : []
  const before = from > begin ? words[from - 1]! : ''
  if (DEPICTED.test(`${words.slice(begin, from).join(' ')} `)) return []
  let head = to
  while (head < words.length && !ENDS.test(words[head]!) && !BEHIND.test(words[head]!)) head += 1
  const made = head > to ? words[head - 1]! : ''
  if (PICTURED.has(made)) return []
  const stuff = MADE_OF.exec(own.join(' '))?.[1] ?? (behind.length === 1 || ENDS.test(behind[1] ?? '') ? behind[0]! : '')
  const isEmptied = HOLDERS.has(made) && (own.includes('empty') || behind[0] === 'empty')
  const taken = new Set<Caution>([
    ...(NOT_REAL.has(before) ? ONLY_WHEN_REAL : []),
    ...(TAKES_AWAY[before] ?? []),
    ...(TAKES_AWAY[stuff] ?? []),
    ...(DRIVEN.test(own.join(' ')) ? (['mains', 'flame'] as const) : []),
    ...(isEmptied ? (['food-allergy', 'spill'] as const) : []),
    // Pea green paint has no peas in it.
    ...(COLOURS.has(words[to] ?? '') && head > to + 1 ? ONLY_IN_NAME : []),
  ])
  return cautions.filter((caution) => !taken.has(caution) && (!MADE_OTHER.has(made) || KEPT_IN.has(caution)))
}

const MADE_OF = /\bmade (?:of|from) (\p{L}+)/u
const DRIVEN = /\bbattery (?:powered|operated)\b|\bon batteries\b/
const DEPICTED =
  /\b(?:picture|drawing|photo|photograph|poster|map|story|song|model|sketch|diagram)s? (?:card )?of (?:a |an |the |some )?(?:\p{L}+ )?$/u
/** "Latex-free", "free of nuts", "without milk": it is not there. */
const NOT_THERE =
  /(?<!\p{L})\p{L}+[ -]free(?!\p{L})|(?<!\p{L})(?:free (?:of|from)|without|instead of|no|not|never) (?:any |the |a )?\p{L}+|(?<!\p{L})\p{L}+-(?:proof|clear|like|look|effect|resistant|repellent|coloured|colored|shaped|flavoured|scented|patterned|green|blue|red|tight)(?!\p{L})/gu

const HIGH =
  '(?:table|chair|desk|stool|bench|window ?sill|window|stairs?|staircase|stairwell|balcony|gallery|landing|roof|ladder|step ?ladder|wall bars|wall|climbing frame|bunk bed|bunk|tree|stage|scaffold(?:ing)?|ledge|slide|railings?|banisters?|(?:first|second|third|upper|top) (?:floor|storey)|upstairs)'
/** Where somebody can get up to, beside what is high by itself. */
const TO_GET_UP = `(?:${HIGH}|cupboard|worktop|counter|box|crate|platform|bridge)`
/** What is done, whatever it is done with. */
const DONE: [RegExp, Caution[]][] = [
  [/\b(?:just|freshly|newly) (?:boiled|made|brewed|baked|cooked|poured|fried|roasted|ironed)\b/, ['hot']],
  [
    /\b(?:boil|boils|boiled|boiling|hot|steaming|scalding|sizzling|red-hot|molten|simmering)\b(?! (?:colours?|pink|air balloon|seat|dog))/,
    ['hot'],
  ],
  [/\b(?:burn|burns|burning|set (?:\w+ )?alight|light the|ignite\w*|lit)\b(?! (?:up|by|room))/, ['flame']],
  [/\b(?:rot|rots|rotten|rotting|decay\w*|decompos\w*|go(?:es|ne|ing)? (?:off|mouldy|bad)|spoil\w*|ferment\w*)\b/, ['mould']],
  [
    /\b(?:bread|toast|crusts?|fruits?|peels?|apples?|pears?|bananas?|oranges?|tangerines?|satsumas?|clementines?|lemons?|limes?|grapes?|plums?|peach\w*|berr\w+|\w+berr(?:y|ies)|melons?|kiwis?|mango\w*|potato\w*|tomato\w*|carrots?|cucumbers?|lettuces?|onions?|mushrooms?|cheese|vegetables?|food|cakes?|sandwich\w*|meat|fish|milk|yoghurts?|yogurts?|leftovers)\b.*\bfor (?:a |an )?(?:\w+ )?(?:days|weeks?|fortnight|months?)/,
    ['mould'],
  ],
  [
    /\b(?:shak\w+|pump\w*|squeez\w+|squirt\w*|burst\w*|inflat\w+)\b.*\b(?:bottles?|bags?|cans?|jars?|tubes?|tubs?|balloons?)\b/,
    ['eyes'],
  ],
  [/\b(?:closed|sealed|shut|stoppered|corked)\b.*\b(?:shak\w+|pump\w*|pressur\w+|burst\w*|fizz\w*)\b/, ['eyes']],
  [/\b(?:pressurised|pressurized|under pressure)\b/, ['eyes', 'snapping']],
  [/\b(?:shoot|shoots|shooting|fire it|fling\w*|flick\w*|hurl\w*|launch\w*|catapult\w*)\b/, ['eyes', 'snapping']],
  [/\b(?:cr|lr|sr|br)\d{2,4}\b/, ['batteries']],
  [/\bstretch\w* .*\b(?:spring|band|elastic|cord|rubber)\b/, ['snapping']],
  [/\bsharp(?:ened)? (?!pencil|eye|focus|corner|turn|sound|taste)/, ['blade']],
  [
    /\bpowder(?:ed)?\b(?! blue)|\b(?:finely )?ground (?!floor|level|up\b)(?:\p{L}+)|\bblow\w* (?:the |on the |at the |away )?(?:sand|flour|powder|dust)/u,
    ['eyes'],
  ],
  [
    new RegExp(
      `\\b(?:stand\\w*|sit\\w*|climb\\w*|kneel\\w*|lean\\w*|balance|(?:held|hold\\w*|hang\\w*)(?: \\p{L}+)?(?= out of)) (?:up )?(?:on|onto|over|out of|up)(?: to)? (?:a |an |the |your |its )?(?:upstairs |high |open )?(?:top of (?:a |the )?)?${TO_GET_UP}s?\\b`,
      'u',
    ),
    ['climbing'],
  ],
  [
    new RegExp(`\\b(?:from|off|over) (?:a |an |the |one |your )?(?:(?:top|edge|side) of )?(?:a |an |the )?${HIGH}\\b`),
    ['climbing'],
  ],
  [/\b(?:from|at) (?:a |the |great )?(?:height|high up|up high)\b/, ['climbing']],
  [/\b(?:at|into|towards?|through|facing) the (?:bright )?sun\b|\bin (?:the |full |bright )?sun(?:light|shine)?\b/, ['sun']],
  [/\b(?:telescopes?|binoculars|magnif\w+|lens(?:es)?)\b/, ['sun']],
]

const read = remembered((text: string): Caution[] => {
  const there = text.toLowerCase().replace(/[’‘]/g, "'").replace(NOT_THERE, ' , ')
  const words = there.replace(/(\p{L})-(?=\p{L})/gu, '$1 ').match(/[\p{L}\p{N}']+|[,;.():/&+–—]/gu) ?? []
  const found = thingsIn(words).flatMap((one) => whereItStands(one, words))
  for (const [pattern, cautions] of DONE) {
    const at = there.search(pattern)
    if (at >= 0 && !DEPICTED.test(there.slice(0, at))) found.push(...cautions)
  }
  return CAUTIONS.filter((caution) => found.includes(caution))
}, MOST_TEXTS)

/**
 * Cautions that the things in a text call for, and what is done with them, in the order of the list. A thing is what its whole name says: the picture of a stove is not hot, an egg box no
 * food, and what is said not to be there is not.
 * @example cautionsOfThings('thumb tacks') // => ['blade', 'small-parts']
 * @example cautionsOfThings('egg timer') // => []
 */
export function cautionsOfThings(text: string): Caution[] {
  return read(text)
}
