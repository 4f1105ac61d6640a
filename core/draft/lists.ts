import { COMPARING, NUMBER_WORDS, numberOf, unitNamed, unitOf, type UnitCode } from '../quantity'
import { ARTICLE, isPlural, MADE_INTO, MADE_OF, PREPOSITIONS, QUALITY_OF, SAY_OF_EACH, SOME_AMOUNT, VERBS } from './words'
import { UNIT_SAID } from './unitSaid'

/** What a line counts up: the conditions, as they were written. */
export interface Listed {
  items: string[]
  as: 'kinds' | 'numbers'
  unit: UnitCode | undefined
  /** What all of them are: "layers of card" behind 1, 2 and 4, "spoon" behind wooden, metal and plastic; empty where nothing is shared. */
  of: string
  /** What stands right before the first: "on", "with", "wrapped in". */
  before: string
  /** The line without them, and what stood there. */
  rest: string
  quote: string
}

const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?|${NUMBER_WORDS.join('|')})`
const UNIT = String.raw`(?:\s?(?:°\s?[CF]|(?!and\b|or\b|then\b|versus\b|vs\b)[a-zµ]+\b|°|"))`
const NUMBERS = new RegExp(
  String.raw`(?<before>\b\p{L}+ )?(?<list>\b${NUMBER}(?:${UNIT})?(?:\s*(?:,|/)\s*(?:and |or )?${NUMBER}(?:${UNIT})?|\s+(?:and|or|then|versus|vs\.?)\s+${NUMBER}(?:${UNIT})?)+)(?<of>(?: (?!and\b|or\b|for\b|in\b|on\b|do\b|does\b|with\b)[\p{L}-]+(?: of [\p{L}-]+)?)?)`,
  'giu',
)
const ONE_NUMBER = new RegExp(String.raw`(?<value>${NUMBER})(?:\s?(?<unit>°\s?[CF]|[a-zµ]+|°|"))?`, 'giu')
const NO_UNIT = /^(?:and|or|then|versus|vs|in|on|for|times?|with|at|to|of|tries|goes|attempts)$/i
const CLOCK_TIMES = /^\s*(?:o'?clock|o’clock|a\.?m\b|p\.?m\b)/i

/** Numbers in a row, with their unit or with what they count; undefined where there are no two. */
export function numbersIn(text: string): Listed | undefined {
  for (const match of text.matchAll(NUMBERS)) {
    const { before = '', list } = match.groups!
    const after = text.slice(match.index + before.length + list!.length)
    if (CLOCK_TIMES.test(after) || /\bo['’]clock/i.test(list!)) continue
    const read = [...list!.matchAll(ONE_NUMBER)].map(({ groups }) => ({ value: groups!.value!, unit: groups!.unit ?? '' }))
    const words = read.map(({ unit }) => (NO_UNIT.test(unit) ? '' : unit))
    // "HB, 2B and 4B" are names.
    if (new RegExp(String.raw`\d(?!(?:mm|cm|m|km|g|kg|s|ml|l|n|c|f|in|ft)\b)\p{L}{1,2}\b`, 'iu').test(list!)) continue
    const units = words.map((word) => (word === '°' ? undefined : unitNamed(word)))
    const last = smallest(units)
    // "1, 2 or 3 pumps": what stands behind the last one is no unit, and counts.
    const counted = words.at(-1) !== '' && units.at(-1) === undefined && words.at(-1) !== '°' ? words.at(-1)! : ''
    const named = last !== undefined && last !== 'pieces'
    const behind = counted === '' ? '' : (/^ of [\p{L}-]+/iu.exec(after)?.[0] ?? secondWord(counted, after))
    const follows = named || counted !== '' ? '' : (match.groups!.of ?? '').trim()
    const of = counted !== '' ? counted + behind : words.at(-1) === '°' ? 'degrees' : follows
    if (read.length < 2 || /^(?:tries|goes|attempts|times|weeks?|groups?)\b/i.test(of)) continue
    const items = read.map(({ value }, place) => {
      const unit = units[place] ?? units.at(-1) ?? last
      return named ? `${inDigits(value)} ${unitOf(unit!).symbol || unit!}` : inDigits(value)
    })
    // What is there twice was not understood.
    if (new Set(items).size < items.length) continue
    const quote = list! + (follows === '' ? behind : ` ${follows}`)
    const rest = text.replace(before + quote, before)
    return { items, as: 'numbers', unit: named ? last : undefined, of, before: before.trim().toLowerCase(), rest, quote }
  }
  return undefined
}

/** "3 paper clips": the plural that stands behind what would be one alone. */
function secondWord(counted: string, after: string): string {
  const next = /^ (?<noun>[\p{L}-]+)/u.exec(after)
  const noun = next?.groups!.noun!.toLowerCase()
  return noun && isPlural(noun) && !isPlural(counted) && !VERBS.has(noun) && !PREPOSITIONS.has(noun) ? next![0] : ''
}

/** Centimetres, where some are in metres. */
function smallest(units: (UnitCode | undefined)[]): UnitCode | undefined {
  const [last, ...others] = units.filter((unit) => unit !== undefined).reverse()
  return others.reduce<UnitCode | undefined>(
    (least, unit) =>
      least && unitOf(unit).dimension === unitOf(least).dimension && unitOf(unit).size < unitOf(least).size ? unit : least,
    last,
  )
}

function inDigits(value: string): string {
  return NUMBER_WORDS.includes(value.toLowerCase()) ? String(numberOf(value.toLowerCase())) : value
}

const SEPARATOR = /\s*,\s*(?:and\s+|or\s+|then\s+)?|\s+(?:and|or|versus|vs\.?|against|compared (?:to|with))\s+/i
/** What comes behind a list and belongs to the sentence. */
const TIME_PHRASE =
  /\s+(?:for|every|each|over|during|after|until|once|twice|per) (?:\d|\p{L}).*$|\s+(?:in|within) (?:\d+|one|a|the) (?:seconds?|minutes?|hours?|days?|weeks?|sun)\b.*$/iu
const MOST_WORDS = 6

const TIME_NOUN = /^(?:\S+ )?(?:seconds?|minutes?|hours?|days?|weeks?|months?|lessons?)$/i

/** "… bend most? soft medium hard": nothing but qualities behind the question, and no commas. */
const ONLY_QUALITIES = /(?<=^|[?:.])\s*(?<row>\p{L}+(?:\s+\p{L}+){1,5})(?=\s*[.?]?\s*$)/u

const IF_CLAUSE = /^\s*(?:if|when) [^,]{3,60},\s*(?=(?:do|does|will|would|is|are|can|how|which|what)\b)/i

/** Kinds in a row: "stick, paste or tape", "on the sill, on the shelf and in the cupboard"; undefined where the line counts nothing up. */
export function kindsIn(text: string): Listed | undefined {
  const row = ONLY_QUALITIES.exec(text)?.groups!.row
  const qualities = row?.split(/\s+/) ?? []
  if (row && qualities.every(isQuality))
    return { items: qualities, as: 'kinds', unit: undefined, of: '', before: '', rest: text.replace(row, ''), quote: row }
  // "if we use thicker socks, do our feet stay warmer": a clause, and what is asked.
  const parts = text
    .replace(IF_CLAUSE, '')
    .replace(new RegExp(`^.*${SAY_OF_EACH.source}`, 'iu'), '')
    .split(SEPARATOR)
    .map((part) => part.trim())
  // "a cloth over a jar and pour muddy water through": what is done goes on behind the list.
  while (parts.length > 2 && isSentence(parts.at(-1)!)) parts.pop()
  // "with the left hand and the right hand, caught ruler in cm": and what it is read with.
  while (parts.length > 2 && (TOOL.test(parts.at(-1)!) || UNIT_BEHIND.test(parts.at(-1)!))) parts.pop()
  // "Cut an apple and leave it with lemon, with salt water": and what is done before it.
  while (parts.length > 2 && isSentence(parts[1]!)) parts.shift()
  // "honey, oil, milk, down a tray": where it is done is none of them.
  const begins = (part: string) => PREPOSITIONS.has(part.split(' ')[0]!.toLowerCase())
  const placed = parts[0]!.split(' ').some((word) => PREPOSITIONS.has(word.toLowerCase()))
  while (parts.length > 2 && !placed && begins(parts.at(-1)!) && !parts.slice(1, -1).some(begins)) parts.pop()
  if (parts.length < 2 || parts.some((part) => part === '')) return undefined
  const joined = /\s(?:or|versus|vs\.?)\s|,/i.test(text)
  // The end of the first part and the beginning of the last one are the list's, the rest is the sentence around it.
  const first = tailOf(parts[0]!)
  const middle = parts.slice(1, -1)
  // "the timer, wrapped in newspaper, a scarf": the list begins behind the comma.
  const next = parts[1]!.split(' ')[0]!.toLowerCase()
  if (first.before === '' && !QUALITY_OF.has(first.item.toLowerCase()) && (PREPOSITIONS.has(next) || next === 'wrapped')) {
    first.item = ''
    first.before = next === 'wrapped' ? 'wrapped in' : next
  }
  // "Which rolls farthest on the mat, the hoop, the bead or the ball": where it is done is none of them.
  const whichDoes = /^(?:which|what|who) (?<doing>\p{L}+)\b/iu.exec(parts[0]!)?.groups?.doing
  if (whichDoes && isVerb(whichDoes) && first.before !== '' && parts.length > 2 && /^(?:the|a|an)$/.test(next)) {
    first.item = ''
    first.before = ''
  }
  // "to cross the hall, walking, skipping, hopping": what is done, and the ways of it.
  const ways = parts.slice(1).filter((part) => /^\p{L}+ing$/u.test(part))
  if (ways.length >= 2 && ways.length === parts.length - 1 && !/ing$/.test(first.item)) first.item = ''
  // "most water when squeezed, sea, kitchen or bath".
  if (/\bwhen \p{L}+ed$/u.test(parts[0]!)) first.item = ''
  if (TIME_NOUN.test(first.item)) first.item = ''
  const last = headOf(parts.at(-1)!, middle.length > 0 ? middle : [first.item], first.before)
  const own = [...(first.item === '' ? [] : [first.item]), ...middle, last.item]
  if (own.length < 2) return undefined
  // "Hit it softly, normally or hard".
  const bare = inOneCase(own.map((item) => withoutBefore(item, first.before).replace(/^(?:it|them) (?=\p{L}+$)/iu, '')))
  if (bare.some((item) => item === '' || item.split(' ').length > MOST_WORDS + 2)) return undefined
  if (middle.some(isSentence)) return undefined
  // Two things joined by "and" are a list only where both are said alike.
  if (!joined && own.length === 2 && !saidAlike(own, first.before)) return undefined
  if (bare.some((item) => TOOL.test(item))) return undefined
  // "Half a metre, one metre, one and a half": numbers that could not be read as such.
  if (bare.some((item) => /^(?:half|one|a quarter)\b/i.test(item) && unitNamed(item.split(' ').at(-1)!.toLowerCase())))
    return undefined
  // "last in the wind, big bubbles or small bubbles": what stands before the comma is none of them.
  if (first.item !== '' && bare.length > 2 && !isQuality(bare[0]!)) {
    const others = sharedNoun(bare.slice(1))
    const another = own[0]!.startsWith('the ') && own.slice(1).every((item) => /^an? /i.test(item))
    const isOneOfThem = bare[0]!.toLowerCase().split(' ').includes(others.of.toLowerCase())
    if (others.of !== '' && !isOneOfThem && (another || others.items.every(isQuality)))
      return {
        items: others.items,
        as: 'kinds',
        unit: undefined,
        of: others.of,
        before: '',
        rest: text.slice(0, text.indexOf(parts[1]!)).replace(/[\s,]+$/, ''),
        quote: text.slice(text.indexOf(parts[1]!)),
      }
  }
  const { items, of } = amountsIn(own) ?? sharedNoun(bare)
  const quote = text.slice(text.indexOf(first.item === '' ? parts[1]! : first.item), text.lastIndexOf(last.item) + last.item.length)
  const rest = text.replace(quote, of).replace(/\s*,\s*$/, '')
  return { items, as: 'kinds', unit: undefined, of, before: first.before, rest, quote }
}

/** The end of what stands before the first comma: behind its last verb or little word. */
function tailOf(part: string): { item: string; before: string } {
  const words = part.split(/\s+/)
  const begins = words[0]!.toLowerCase()
  if (
    words.length <= 3 &&
    !isVerb(begins) &&
    !PREPOSITIONS.has(begins) &&
    !words.some((word) => /^(?:wh|how|is\b|are\b)/i.test(word)) &&
    !words.slice(1).some((word) => PREPOSITIONS.has(word.toLowerCase()))
  )
    return { item: part, before: '' }
  if (words.length <= 4 && !words.some((word) => isVerb(word) || PREPOSITIONS.has(word.toLowerCase()) || /^(?:wh|how)/i.test(word)))
    return { item: part, before: '' }
  let from = words.length
  while (from > 0 && words.length - from < MOST_WORDS) {
    const word = words[from - 1]!.toLowerCase()
    if (word === 'of' && /^(?:lots?|plenty)$/i.test(words[from - 2] ?? '')) {
      from -= 1
      continue
    }
    if (PREPOSITIONS.has(word) || word === 'is' || word === 'are') break
    const isCut = MADE_INTO.test(words[from - 2] ?? '')
    if (word === 'of' && from < words.length && !isCut && words.slice(from).every(isQuality)) break
    // The last word before a comma is a thing: "by candle light, torch light".
    if (isVerb(word) && from < words.length && !nounAfterArticle(words, from - 1)) break
    if (
      /^(?:which|what|how|longer|faster|further|farther|slower|quicker|better|best|most|longest|highest|furthest|first|last)$/.test(
        word,
      )
    )
      break
    from -= 1
  }
  const item = words.slice(from).join(' ')
  // "paints the longest line, thin or thick", "which is sweetest, red or green": it is what they are compared by.
  const compares = /^(?:longest|highest|most|best|furthest|tallest|biggest|largest|heaviest|loudest)$/i.test(words[from - 1] ?? '')
  if (
    from === 0 ||
    (compares && item !== '' && !ARTICLE.test(`${item} `)) ||
    /^\p{L}+est$/u.test(item) ||
    (/est$/.test(item) && COMPARING.has(words.at(-1)!.toLowerCase()))
  )
    return { item: '', before: '' }
  const before = words[from - 1]!.toLowerCase()
  const kept = PREPOSITIONS.has(before) ? before : ''
  return {
    item,
    before:
      kept === 'than' || kept === 'to' ? '' : kept === 'in' && words[from - 2]?.toLowerCase() === 'wrapped' ? 'wrapped in' : kept,
  }
}

/** "Small, medium and large": a capital that only begins the sentence. */
function inOneCase(items: string[]): string[] {
  const [first = '', ...rest] = items
  return rest.every((item) => /^\p{Ll}/u.test(item))
    ? [first.replace(/^\p{Lu}(?=\p{Ll})/u, (letter) => letter.toLowerCase()), ...rest]
    : items
}

const UNIT_BEHIND = new RegExp(`${UNIT_SAID.source}$`, 'i')
const TOOL = /\b(?:balance|scales?|our hands|stop ?watch(?:es)?|rulers?|by hand)$/i

/** A word that says a quality, or what it is made of. */
function isQuality(word: string): boolean {
  return QUALITY_OF.has(word.toLowerCase()) || MADE_OF.has(word.toLowerCase())
}

/** A word for what something is like. */
function isPlain(item: string): boolean {
  return !item.includes(' ') && (isQuality(item) || /(?:y|ed|en)$/.test(item))
}

/** "measured every day": no thing. */
function isSentence(item: string): boolean {
  const [first = '', ...rest] = item.split(' ')
  return rest.length > 0 && ((isVerb(first) && !isQuality(first)) || /^(?:how|whether|if|what)$/i.test(rest[0]!))
}

function isVerb(word: string): boolean {
  return VERBS.has(word.toLowerCase())
}

/** "the light", "a fold", "window sill": what follows an article or says what it is made of is no verb. */
function nounAfterArticle(words: string[], place: number): boolean {
  const previous = words[place - 1]?.toLowerCase() ?? ''
  return /^(?:the|a|an|no|our|my|some|of|writing|one)$/.test(previous) || isQuality(previous)
}

/** The beginning of the last part: up to a verb, or to a little word where the others have none. */
function headOf(part: string, others: string[], before: string): { item: string } {
  if (/^not at all$/i.test(part)) return { item: part }
  const text = part.replace(TIME_PHRASE, '')
  const words = text.split(/\s+/)
  const othersHave = others.some((item) =>
    withoutBefore(item, before)
      .split(' ')
      .some((word, place) => place > 0 && PREPOSITIONS.has(word.toLowerCase())),
  )
  let to = 0
  while (to < words.length) {
    const word = words[to]!.toLowerCase()
    if (to > 0 && isVerb(word) && !nounAfterArticle(words, to)) break
    if (to > 0 && /^(?:better|best|worse|worst|faster|quicker)$/.test(word)) break
    if (
      to > 1 &&
      PREPOSITIONS.has(word) &&
      word !== before &&
      !othersHave &&
      !/^(?:wrapped|covered|filled)$/.test(words[to - 1]!.toLowerCase())
    )
      break
    if (to === 1 && PREPOSITIONS.has(word) && !othersHave && !PREPOSITIONS.has(words[0]!.toLowerCase())) break
    to += 1
  }
  return { item: words.slice(0, to).join(' ') }
}

function withoutBefore(item: string, before: string): string {
  const bare = item.replace(/^(?:and|or|then)\s+/i, '')
  const [first = '', ...rest] = bare.split(' ')
  const prepositional =
    PREPOSITIONS.has(first.toLowerCase()) && rest.length > 0 && (before !== '' || /^(?:in|on|under|at|with|from)$/i.test(first))
  const unwrapped = (prepositional && !/^(?:without)$/i.test(first) ? rest.join(' ') : bare).replace(
    /^(?:wrapped|covered) in /i,
    '',
  )
  return SOME_AMOUNT.test(unwrapped.split(' ').slice(0, 2).join(' ')) ? unwrapped : unwrapped.replace(ARTICLE, '')
}

const STATE_PAIRS =
  /^(?:covered uncovered|indoors outdoors|outdoors indoors|inside outside|outside inside|wet dry|dry wet|light dark|dark light|hot cold|warm cold|cold warm|cold hot|open closed|clean dirty|rough smooth|smooth rough|big small|small big|old new|new old|left right|right left|black white|white black|long short|short long|thick thin|thin thick|full empty|empty full|soft hard|hard soft|fast slow|slow fast|high low|low high|fresh old|sunny shady)$/i

function saidAlike(items: string[], before: string): boolean {
  const firstWords = items.map((item) => item.split(' ')[0]!.toLowerCase())
  if (before !== '' && firstWords.slice(1).every((word) => PREPOSITIONS.has(word))) return true
  const bare = items.map((item) => withoutBefore(item, before).toLowerCase())
  return STATE_PAIRS.test(bare.map((item) => item.split(' ')[0]!).join(' '))
}

/** "Lots of light, some light and no light": what differs is how much; undefined where it is something else. */
function amountsIn(items: string[]): { items: string[]; of: string } | undefined {
  const read = items.map((item) => /^(?:(?:and|or|then) )?(?<much>.+?)(?: of)? (?<thing>\p{L}+)$/iu.exec(item)?.groups)
  const [things, much] = [read.map((one) => one?.thing?.toLowerCase()), read.map((one) => one?.much?.toLowerCase() ?? '')]
  const [thing] = things
  if (thing === undefined || things.some((one) => one !== thing) || !much.every((words) => SOME_AMOUNT.test(words)))
    return undefined
  return { items: much.map((words) => (words === 'no' ? 'none' : words)), of: `amount of ${thing}` }
}

/** "soapy or plain water", "a little, some or a lot of soap", "wooden spoon, metal spoon": what they are, and what they differ in. */
function sharedNoun(items: string[]): { items: string[]; of: string } {
  // "The cheap one, the thick one or the recycled one".
  if (items.every((item) => / ones?$/i.test(item))) return { items: items.map((item) => item.replace(/ ones?$/i, '')), of: '' }
  const last = items.at(-1)!
  const amount = /^(.+?) of (?:the )?(.+)$/i.exec(last)
  const others = items.slice(0, -1)
  if (amount && SOME_AMOUNT.test(amount[1]!) && others.every((item) => SOME_AMOUNT.test(item.replace(/ of .*$/i, ''))))
    return { items: [...others.map((item) => item.replace(/ of .*$/i, '')), amount[1]!], of: `amount of ${amount[2]!}` }
  const [made = '', ...material] = items[0]!.split(' of ')
  if (MADE_INTO.test(made) && material.length === 1 && others.slice(1).every((item) => !item.includes(' of ')))
    return { items: [material[0]!, ...items.slice(1)], of: made.toLowerCase() }
  const words = last.split(' ')
  const noun = words.at(-1)!
  if (words.length === 2 && /^no$/i.test(words[0]!) && others.every(isPlain)) return { items: [...others, last], of: noun }
  if (words.length === 2 && others.every(isPlain)) return { items: [...others, words[0]!], of: noun }
  if (words.length === 3 && words[0]!.toLowerCase() === 'no') return { items, of: '' }
  if (
    words.length > 1 &&
    others.every((item) => item.split(' ').length > 1 && item.split(' ').at(-1)!.toLowerCase() === noun.toLowerCase())
  )
    return { items, of: noun }
  // "brown sugar, white sugar or a sugar cube"
  const common = items[0]!
    .toLowerCase()
    .split(' ')
    .find((word) => word.length > 3 && items.every((item) => item.toLowerCase().split(' ').includes(word)))
  return { items, of: items.length > 1 && items[0]!.includes(' ') ? (common ?? '') : '' }
}
