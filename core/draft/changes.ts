import { COMPARING } from '../quantity'
import { amounts, numbered } from './changeNumbers'
import { endsNoun, qualityCard, qualityOf, said, type ChangeRead } from './changeRead'
import type { Listed } from './lists'
import {
  ARTICLE,
  isPlural,
  MADE_INTO,
  MADE_OF,
  plainVerb,
  PREPOSITIONS,
  QUALITY_OF,
  READ_OF_A_THING,
  singular,
  VERBS,
} from './words'

const CHANGES = '(?:change|changes|affect|affects|alter|alters|influence|influences|matter|matters|make (?:a|any) difference)'
const ASKED: RegExp[] = [
  new RegExp(String.raw`\bhow (?:does|do|will|would|can)\s+(?<thing>.{2,70}?)\s+${CHANGES}\b`, 'iu'),
  new RegExp(String.raw`\b(?:does|do|will|would|can)\s+(?<thing>(?!it\b).{2,70}?)\s+${CHANGES}\b`, 'iu'),
  new RegExp(
    String.raw`\b(?:test|find out|see|investigate|show|check|explore|look at|measure) how (?<thing>the .{2,60}?) ${CHANGES}\b`,
    'iu',
  ),
  /\b(?:does|would|will) it (?:matter|make (?:a|any) difference) (?<thing>(?:how|which|what|where|if|whether) .{2,50}?)(?= for\b| to\b|[?.,]|$)/iu,
]
const WHICH = /\b(?:which|what)\s+(?:(?:kinds?|sorts?|types?) of\s+)?(?<rest>\p{L}.+)/iu
const MEASURED_OF = new RegExp(String.raw`^(?:${READ_OF_A_THING}) (?:does|do|is|are|has|have|of)\b`, 'i')
const THE_BEST =
  /\b(?:what (?:is|are)|find|find out|test|choose) the best (?<thing>[\p{L}-]+(?: [\p{L}-]+)?)(?= for\b| to\b|[?.]|$)/iu
const DIFFERENT =
  /\bdifferent (?<how>sized |coloured |shaped )?(?:(?:kinds?|sorts?|types?|sizes?|colours?|shapes?) of )?(?<thing>[\p{L}-]+)/iu
const DIFFERS_IN: Record<string, string> = { sized: 'size', coloured: 'colour', shaped: 'shape' }
const THREE_KINDS = /\b(?:two|three|four|five|six|\d) (?:different )?(?:kinds|sorts|types|brands) of (?<thing>[\p{L}-]+)/iu
const NEEDS =
  /\b(?:do|does)\s+.{2,30}?\s+(?:need|like|prefer)\s+(?<thing>[\p{L}-]+(?: [\p{L}-]+)?)(?=\s*(?:[?.,]|$| to\b| in\b| or\b))/iu
const WITHOUT = /\b(?:with (?:and|or) without|without)\s+(?<thing>(?:a |an |the )?[\p{L}-]+)/iu
const IF_WE =
  /\b(?:if|when)\s+(?:we|you|i)\s+(?<verb>use|used|have|had|take|push|pull|add|stretch|blow|press|throw|drop|make|put)\s+(?<rest>[^?.,]{2,50})/iu

/** What a line changes; undefined where it does not say. */
export function changeIn(text: string, listed: Listed | undefined, measure: string, whole = text): ChangeRead | undefined {
  return (
    asked(text) ??
    amounts(listed) ??
    best(text) ??
    comparing(text) ??
    numbered(text, listed, whole) ??
    which(text) ??
    ifWe(text) ??
    compared(text) ??
    placedIn(text) ??
    doingIn(text) ??
    where(text) ??
    other(text) ??
    announced(whole, listed) ??
    fromConditions(text, listed, measure)
  )
}

/** "does the number of swings change with the weight", "how does it depend on the length". */
const CHANGES_WITH =
  /\b(?:does|do|will|how does|how do) (?<measure>.{2,60}?) (?:change|vary|depend)s? (?:with|on) (?<thing>(?:the |a |its )?[^?.,:(]{2,40})/iu

/** What a line says to depend on what. */
export function dependsIn(text: string): { measure: string; thing: string } | undefined {
  const found = CHANGES_WITH.exec(text)?.groups
  return found ? { measure: found.measure!.trim(), thing: found.thing!.trim() } : undefined
}

function asked(text: string): ChangeRead | undefined {
  const depends = dependsIn(text)
  if (depends) return said(asCard(depends.thing), depends.thing)
  for (const way of ASKED) {
    const thing = way.exec(text)?.groups?.thing?.trim()
    if (!thing || /^(?:we|you|it)\b/i.test(thing)) continue
    return said(asCard(thing), thing)
  }
  return undefined
}

/** "the length of the string" and "how full the bottle is" stand as they are; "stirring" and "string length" too. */
function asCard(thing: string): string {
  const small = thing.replace(/^[A-Z](?=[a-z])/, (letter) => letter.toLowerCase())
  if (/^(?:how|what|which|where|whether|if)\b/i.test(small)) return small.replace(/^if\b/i, 'whether')
  const clean = small
    .replace(/\s*\([^)]*\)\s*/g, ' ')
    .replace(/\s*,.*$/, '')
    .trim()
  const quality = qualityCard(clean)
  if (quality) return quality
  return /^(?:the|a|an|our|its|my)\b|\p{L}+ing\b/iu.test(clean) ? clean : `the ${clean}`
}

const BEST_SIZE =
  /\bwhat (?:is|are) the best (?<quality>length|thickness|height|weight|size|angle|temperature|amount|number|width|depth|shape|colour) (?:of|for) (?:the |a |an )?(?<thing>[\p{L}-]+)/iu

function best(text: string): ChangeRead | undefined {
  const { quality, thing: of } = BEST_SIZE.exec(text)?.groups ?? {}
  if (quality && of)
    return said(
      `the ${quality.toLowerCase()} of ${/^(?:amount|number)$/i.test(quality) || isPlural(of) ? '' : 'the '}${of}`,
      `${quality} of ${of}`,
    )
  const thing = THE_BEST.exec(text)?.groups?.thing
  return thing ? said(`the kind of ${singular(thing)}`, thing) : undefined
}

const PLACE_WORD = /^(?:places?|rooms?|corners?|spots?|areas?)$/i

/** "which bubble mix lasts longest", "which of these five stones is heaviest", "which surface is hardest …". */
function which(text: string): ChangeRead | undefined {
  const rest = WHICH.exec(text)?.groups?.rest
  if (
    !rest ||
    MEASURED_OF.test(rest) ||
    /^(?:is|are|of us|one|ones|happens|if|does|do|time|was|can|will|would|colou?r|keeps?|goes|gets|comes|makes|lasts)\b/i.test(rest)
  )
    return undefined
  const among = /^of (?:(?:these|those|the|our|two|three|four|five|six|seven|eight|\d+)\s+)+(?<things>[\p{L}-]+)/iu.exec(rest)
    ?.groups?.things
  if (among) return said(`the ${singular(among)}`, among)
  const words = rest.replace(/[,?.!:;].*$/, '').split(/\s+/)
  if (isOnlyVerb(words)) return undefined
  // A noun is at least one word, and ends before a verb or a little word.
  let to = 1
  while (to < Math.min(4, words.length) && !endsNoun(words[to]!)) to += 1
  if (to === words.length && words.length > 3) to = 1
  const noun = words.slice(0, to).join(' ')
  if (PLACE_WORD.test(words[to - 1]!)) return said(`the ${singular(noun)}`, noun)
  return said(`the kind of ${isPlural(noun) ? singular(noun) : noun}`, noun)
}

/** "which drinks highest", "which melts first": what it does, and nothing that they are. */
function isOnlyVerb([first = '', second = '', ...more]: string[]): boolean {
  const doing = VERBS.has(first.toLowerCase()) && plainVerb(first) !== first.toLowerCase()
  const how = COMPARING.has(second.toLowerCase()) || /^(?:first|last|best|worst|the)$/i.test(second)
  return doing && how && !more.some((word) => VERBS.has(word.toLowerCase()))
}

const COMPARE = new RegExp(
  String.raw`\bcompare (?:(?:the|our|some|different|two|three|four|five|six|\d+) )+(?:(?:kinds|sorts|types|brands) of )?(?<things>[\p{L}-]+(?: [\p{L}-]+)??)(?=\s*(?:[:.,;?]|$))`,
  'iu',
)

/** "compare three washing-up liquids: which foam stays longest": they are what differs, whatever is looked at. */
function comparing(text: string): ChangeRead | undefined {
  const things = COMPARE.exec(text)?.groups?.things
  return things && isPlural(things) ? said(`the kind of ${singular(things)}`, things) : undefined
}

const HOW_WE_DO: Record<string, string> = {
  harder: 'hard',
  softer: 'hard',
  faster: 'fast',
  slower: 'fast',
  higher: 'high',
  further: 'far',
  longer: 'long',
  more: 'much',
  less: 'much',
}

/** "if we use a bigger gear", "if we push it harder". */
function ifWe(text: string): ChangeRead | undefined {
  const match = IF_WE.exec(text)
  if (!match) return undefined
  const { verb, rest } = match.groups as { verb: string; rest: string }
  const phrase = rest.split(/\s+(?:does|do|will|would|is|are|can)\s+/i)[0]!.trim()
  if (/^(?:it|them)\b(?!.*\b\p{L}+er$)/iu.test(phrase)) return undefined
  const several = /^(?:two|three|four|five|six|\d+) (?<things>[\p{L}-]+(?: of [\p{L}-]+)?)$/iu.exec(phrase)?.groups?.things
  if (several) return said(`the number of ${several}`, phrase)
  const quality = qualityCard(phrase)
  if (quality) return said(quality, phrase)
  const how = /^(?<thing>.+?\s+)?(?<word>\p{L}+)$/iu.exec(phrase)?.groups
  const adverb = HOW_WE_DO[how?.word?.toLowerCase() ?? '']
  if (adverb) return said(`how ${adverb} we ${plainVerb(verb)} ${how!.thing ?? ''}`, match[0])
  return said(`the ${phrase.replace(ARTICLE, '')}`, phrase)
}

/** "does a longer string …", "do taller people …", "does thinned syrup …", "will a cut apple …". */
function compared(text: string): ChangeRead | undefined {
  const match =
    /^\s*(?:is|are|does|do|will|would|can|could)\s+(?<phrase>.+)/iu.exec(text) ??
    /\b(?:test|see|know|find out|check|whether) (?:if |whether )?(?<phrase>(?:a|an|the) \p{L}+er .+)/iu.exec(text)
  if (!match) return undefined
  const words = match
    .groups!.phrase!.replace(/[,?.!]/g, ' ')
    .split(/\s+/)
    .filter(Boolean)
  const from = /^(?:a|an|the|our)$/i.test(words[0] ?? '') ? 1 : 0
  let to = from + 1
  while (to < words.length && to < from + 4 && !endsNoun(words[to]!)) to += 1
  const noun = words.slice(from + 1, to).join(' ')
  const quality = qualityOf(words[from] ?? '')
  if (!quality || noun === '' || /^ones?$/i.test(noun)) return undefined
  return said(
    quality === 'amount'
      ? `the amount of ${noun}`
      : quality === 'thickness' && /thin/i.test(words[from]!)
        ? `how thin the ${noun} is`
        : `the ${quality} of the ${noun}`,
    words.slice(from, to).join(' '),
  )
}

/** "does a candle in a bigger jar burn longer": what is made different stands behind a little word. */
function placedIn(text: string): ChangeRead | undefined {
  const found = /\b(?:in|with|on|from|under|through|by|down|behind) (?:a |an |the )?(?<word>\p{L}+er) (?<thing>[\p{L}-]+)/iu.exec(
    text,
  )?.groups
  const card =
    found && COMPARING.has(found.word!.toLowerCase()) && !endsNoun(found.thing!)
      ? qualityCard(`${found.word!} ${found.thing!}`)
      : undefined
  return card ? said(card, `${found!.word!} ${found!.thing!}`) : undefined
}

/** "does stirring make the jelly set faster": a doing. */
function doingIn(text: string): ChangeRead | undefined {
  const doing =
    /^\s*(?:does|do|will|would)\s+(?<doing>\p{L}+ing(?: (?:it|them|the [\p{L}-]+|[\p{L}-]+))?)\s+(?:make|help|let|keep|stop|slow)s?\b/iu.exec(
      text,
    )?.groups?.doing
  return doing ? said(doing.toLowerCase(), doing) : undefined
}

/** "where in the school is it loudest": a place. */
function where(text: string): ChangeRead | undefined {
  return /^\s*where\b.*\b\p{L}+est\b/iu.test(text) ? said('the place', 'where') : undefined
}

/** Other words for it: "do different soaps …", "do seeds need light", "with and without a lid". */
function other(text: string): ChangeRead | undefined {
  const needs = NEEDS.exec(text)?.groups?.thing
  if (needs) return said(qualityCard(needs) ?? `the ${needs.replace(ARTICLE, '')}`, needs)
  const different = DIFFERENT.exec(text)?.groups
  if (different?.thing) {
    const quality = DIFFERS_IN[different.how?.trim().toLowerCase() ?? '']
    const thing = singular(different.thing)
    return said(quality ? `the ${quality} of the ${thing}` : `the kind of ${thing}`, different.thing)
  }
  const kinds = THREE_KINDS.exec(text)?.groups?.thing
  if (kinds) return said(`the kind of ${singular(kinds)}`, kinds)
  const without = WITHOUT.exec(text)?.groups?.thing
  if (without) return said(`the ${without.replace(ARTICLE, '')}`, without)
  return undefined
}

const EACH_THING = /\b(?:does|can|will|would) each (?<thing>(?!group|child|pupil|team|pair|table|person|day|time|of\b)[\p{L}-]+)/iu

/** "How many clips does each magnet hold: bar, ring"; "we have four balls: tennis, foam", "three glues (stick, paste)": what stands before the list names what they are. */
function announced(text: string, listed: Listed | undefined): ChangeRead | undefined {
  if (!listed || listed.as === 'numbers') return undefined
  const each = EACH_THING.exec(text)?.groups?.thing
  if (each && (listed.of === '' || singular(listed.of) === each)) return said(`the kind of ${each}`, each)
  const things =
    /\b(?:two|three|four|five|six|seven|eight|\d) (?:different )?(?<things>\p{L}[\p{L}-]+)(?: (?:with|on|from|in|to) [^.?!:(,]{2,30})?(?:: | ?\()$/iu.exec(
      text.slice(0, Math.max(0, text.indexOf(listed.quote))),
    )?.groups?.things
  return things && isPlural(things) ? said(`the kind of ${singular(things)}`, things) : undefined
}

const PLACES =
  /\b(?:sill|shelf|cupboard|fridge|radiator|table|hedge|playground|field|garden|window|sun|shade|classroom|corner|roof|wall|path|hall|kitchen|outdoors|indoors|inside|outside|tree|pond|meadow|cellar|attic)\b/i
const LIGHTS = /^(?:in )?(?:the )?(?:dark|light|sun|shade|darkness|sunlight)$/i

const SOILS = /\b(?:sand|soil|compost|clay|loam|gravel|peat|earth|cotton wool)\b/i
/** What was done to a thing with the conditions names the card. */
const TREATED: [RegExp, string][] = [
  [/\blined (?:with|in)\b/i, 'the lining'],
  [/\bfilled with\b/i, 'the filling'],
  [/\b(?:coated|painted) (?:with|in)\b/i, 'the coating'],
  [/\bcovered (?:with|in|by)\b/i, 'the cover'],
]

/** What the conditions have in common, where nothing else names it. */
function fromConditions(text: string, listed: Listed | undefined, measure: string): ChangeRead | undefined {
  if (!listed || listed.as === 'numbers') return undefined
  const { items, of, before, quote } = listed
  const assumed = (name: string): ChangeRead => ({ name, quote, said: false })
  if (items.every((item) => LIGHTS.test(item))) return assumed('the light')
  const treated = TREATED.find(([words]) => words.test(text))
  if (treated) return assumed(treated[1])
  if (items.some((item) => /\b(?:away|close by|far off|nearby)\b/i.test(item))) return assumed('the distance')
  if (items.every((item) => SOILS.test(item))) return assumed('the soil')
  if (before === 'wrapped in' || /\bwrapp?(?:ed|ing)\b/i.test(text)) return assumed('the wrapping')
  if (/\bmittens?|gloves?|scarf|blankets?\b/i.test(items.join(' '))) return assumed('the wrapping')
  if (
    items.some((item) => PLACES.test(item)) &&
    (/^(?:in|on|at|under|near|by)$/.test(before) || items.every((item) => PLACES.test(item)))
  )
    return assumed('the place')
  if (items.join(' ').match(/\bcovered\b/i)) return assumed('the cover')
  if (MADE_INTO.test(of)) return assumed(`what the ${of} are made of`)
  if (of !== '') {
    const qualities = items.map((item) => QUALITY_OF.get(item.split(' ')[0]!.toLowerCase()))
    const first = qualities[0]
    if (first && qualities.every((one) => one === first)) return assumed(`the ${first} of the ${of}`)
    return assumed(`the kind of ${singular(of)}`)
  }
  const qualities = items.map((item) => QUALITY_OF.get(item.split(' ')[0]!.toLowerCase()))
  const noun = nounBeside(items)
  if (noun === '' && qualities.filter((one) => one === 'temperature').length > 1) return assumed('the temperature')
  if (qualities[0] && qualities.every((one) => one === qualities[0]) && (noun !== '' || items.every((item) => !item.includes(' '))))
    return assumed(noun ? `the ${qualities[0]} of the ${noun}` : `the ${qualities[0]} of the ${subjectOf(text) || 'thing'}`)
  if (noun) return assumed(`the kind of ${singular(noun)}`)
  if (items.some((item) => /^nothing\b/i.test(item)) && /temperature|warm|hear|loud/i.test(measure)) return assumed('the wrapping')
  const where = items.some((item) => /light$/i.test(item)) ? undefined : WHERE[before]
  return where === undefined ? undefined : assumed(where)
}

/** What a little word before the conditions says of them. */
const WHERE: Record<string, string> = {
  on: 'what it is on',
  in: 'what it is in',
  under: 'what it is under',
  with: 'what we do it with',
  through: 'what it goes through',
  over: 'what it goes over',
  by: 'the place',
  near: 'the place',
  behind: 'the place',
  beside: 'the place',
}

/** "warm water" against "cold": the noun that one of them has. */
function nounBeside(items: string[]): string {
  const nouns = new Set(
    items.map((item) => item.split(' ').slice(1).join(' ')).filter((rest) => rest !== '' && !PREPOSITIONS.has(rest.split(' ')[0]!)),
  )
  const [only] = [...nouns]
  return nouns.size === 1 &&
    items.every((item) => QUALITY_OF.has(item.split(' ')[0]!.toLowerCase()) || MADE_OF.has(item.split(' ')[0]!.toLowerCase()))
    ? only!
    : ''
}

/** Who it is about: "cars on a slope", "letters". */
function subjectOf(text: string): string {
  const match = /^\s*(?:do|does|will|would|is|are|can|how far (?:away )?can you read)\s+(?<thing>(?:the |a |an )?[\p{L}-]+)/iu.exec(
    text,
  )
  return (match?.groups!.thing ?? '').replace(ARTICLE, '')
}
