import { COMPARING, type Quality } from '../quantity'
import { singular } from './words'

/** What a wondering would make different: in its own words, and as a card for the Change tray. */
export interface Changeable {
  thing: string
  card: string
}

/** The name of the card that a quality's words belong to. */
const QUALITY_CARDS: Partial<Record<Quality, string>> = {
  size: 'size',
  length: 'length',
  distance: 'distance',
  height: 'height',
  width: 'thickness',
  depth: 'depth',
  weight: 'weight',
  warmth: 'temperature',
  loudness: 'loudness',
  strength: 'strength',
  light: 'brightness',
  wetness: 'wetness',
}
/** Plain words for a quality, beside the comparing ones. */
const PLAIN: Record<string, string> = {
  ...Object.fromEntries(['big', 'small', 'large', 'little', 'tiny'].map((word) => [word, 'size'])),
  ...Object.fromEntries(['long', 'short'].map((word) => [word, 'length'])),
  ...Object.fromEntries(['thick', 'thin', 'wide', 'narrow'].map((word) => [word, 'thickness'])),
  ...Object.fromEntries(['heavy', 'light'].map((word) => [word, 'weight'])),
  ...Object.fromEntries(['hot', 'warm', 'cold', 'cool'].map((word) => [word, 'temperature'])),
  ...Object.fromEntries(['wet', 'dry', 'damp'].map((word) => [word, 'wetness'])),
  ...Object.fromEntries(['dark', 'bright', 'sun', 'shade'].map((word) => [word, 'light'])),
  ...Object.fromEntries(['high', 'tall', 'low', 'higher', 'lower'].map((word) => [word, 'height'])),
  more: 'amount',
  less: 'amount',
}

/** Up to six words. Everything that is looked for is bounded, so that reading takes time by the length of a text and no more. */
const THING = String.raw`(?:the |a |an |our |its )?\p{L}[\p{L}'-]{1,30}(?: [\p{L}'-]{1,30}){0,5}?`

/** How a wondering says what it would change, one way a line; the first that fits is taken, and the name of what it catches says what becomes of it. */
const WAYS: RegExp[] = [
  // "what if we use …", "what happens when …", "if the water were warm", "when it is folded"
  /\bwhat (?:happens|would happen|if)\b.{0,80}?\bwe (?:use|used|change|changed|add|added|put)\s+(?<thing>.{2,60}?)(?:\?|$)/iu,
  /\bwhat (?:happens|would happen)\b.{0,80}?\b(?:if|when)\s+(?<thing>.{2,60}?)(?:\?|$)/iu,
  /\b(?:if|when) (?:we|you|i) (?:use|used|add|added|put|had|took|take)\s+(?<thing>.{2,40}?)(?:,|\?|$)/iu,
  /\b(?:if|when) there (?:is|was|were) (?<thing>[\p{L} ]{2,40}?)(?:,|\?|$)/iu,
  /\b(?:if|when) (?<thing>(?:we|you|i|it|they|the [\p{L} ]+?) \p{L}+.{0,40}?)(?:,|\?|$)/iu,
  // "which one is …"
  /\b(?<among>which (?:one|of (?:them|these)|is|goes|comes|does))\b/iu,
  // "does a longer string …", "does more yeast …", "would hot water …", "does the thick card stop …"
  new RegExp(
    String.raw`^\s*(?:is|are|does|do|will|would|can|could)\s+(?<adjective>(?:a |an |the )?(?:two|three|four|five|six|${[...COMPARING.keys(), ...Object.keys(PLAIN)].join('|')})\s+\p{L}+)`,
    'iu',
  ),
  // "a wet strip … than a dry one", "the thick one or the thin one", "in the sun or in the shade", "as warm as wool"
  new RegExp(
    String.raw`\b(?:is|are|does|do|will|would|can|could)\s+(?<against>${THING})\s+.{0,80}\bthan\s+(?:a |an |the )?\p{L}+`,
    'iu',
  ),
  new RegExp(String.raw`(?<thing>${THING} or ${THING})(?:\?|$)`, 'iu'),
  new RegExp(String.raw`\b(?:is|are|does|do|will|would|can|could)\s+(?<asMuchAs>${THING})\s+.{0,80}\bas \p{L}+ as\s+\p{L}+`, 'iu'),
  // "how many layers stop …"
  /\bhow many (?<number>\p{L}+) (?:stop|change|make|block|let|hold back)\b/iu,
  // "does stirring …", "does adding salt …", "does the mitten make … warmer", "would sandpaper grip better"
  /\b(?:does|do|will|would|can)\s+(?<thing>(?:the |a |an )?[\p{L} ]{3,30}?)\s+(?:make|makes|stop|stops|block|keep|help|let)\b/iu,
  // "can plants grow without soil", "last longer with sugar in the mix", "grow taller in the dark"
  /\b(?:is it|does|do|will|would|can)\s+.{0,80}?\b(?:with|in|on|at|under|without)\s+(?<thing>(?!(?:a|an|one) (?:second|minute|hour|day|week)\b).{2,60}?)(?:\?|$)/iu,
  /\b(?:would|will|does) it \p{L}+ (?<thing>upside down|sideways|backwards|under ?water|the other way round)\b/iu,
  /\bdoes\s+(?:every|each|all|any)\s+(?<everyKind>[\p{L} -]{2,40}?)\s+(?:do|does|work|go|have)\b/iu,
]

const NOTHING = /^(it|this|that|they|we|you|one|ones|the)$/i
/** Not about anything that could be made different: a cause, a name, a fact, an amount. */
const NOT_OF_CHANGE =
  /^\s*(?:why|how come|what makes|what is it that|how does it work|who|where|what (?:is|are|was|colou?r)|what's|when)\b/i
/** "Is it a boy or a girl?": what it is, and nothing of it could be otherwise. */
const WHAT_IT_IS = /^\s*(?:is|are|was) (?:it|this|that|they) (?:an?|the(?! same)|there|alive|made|real|called)\b/i
const AMOUNT_ONLY =
  /^\s*how (?:far|high|tall|long|fast|many|much|heavy|hot|cold|warm|loud|big|wide|deep|often|strong|quickly|soon)\b/i

/** Is it asked for a cause, a name or a fact: then nothing of it could be made different. */
export function isAboutNoChange(text: string): boolean {
  return NOT_OF_CHANGE.test(text) || WHAT_IT_IS.test(text)
}

/** What a wondering would make different, where it names no card; undefined where its words do not say. */
export function changeableIn(text: string): Changeable | undefined {
  if (isAboutNoChange(text)) return undefined
  for (const way of WAYS) {
    const groups = way.exec(text)?.groups
    if (!groups) continue
    const { thing, against, asMuchAs, everyKind, among, adjective, number } = groups
    if (among) return { thing: 'the kinds of it', card: '' }
    const said = (thing ?? against ?? asMuchAs ?? everyKind ?? adjective ?? number ?? '').trim()
    if (NOTHING.test(said) || (AMOUNT_ONLY.test(text) && !thing && !number)) continue
    if (number) return { thing: `the number of ${number}`, card: `the number of ${number}` }
    if (everyKind) return { thing: `the kind of ${singular(said)}`, card: `the kind of ${singular(said)}` }
    if (against ?? asMuchAs) return { thing: said, card: choiceCard(said, text) }
    return { thing: said, card: cardOf(said) }
  }
  return undefined
}

/** Does it say outright that nothing is made different: then nobody needs to be asked. */
export function changesNothing(text: string): boolean {
  return (
    NOT_OF_CHANGE.test(text) ||
    AMOUNT_ONLY.test(text) ||
    /^\s*(?:is|are|was) (?:it|this|that|they)\b/i.test(text) ||
    /^\s*can (?:we|you|i)\b/i.test(text)
  )
}

/**
 * What was said, as a card that fits between "How does" and "change", empty where it makes none: "a longer string" becomes "the length of the string",
 * "two layers of card" becomes "the number of layers of card", "we fold it twice" becomes "folding it twice".
 */
function cardOf(said: string): string {
  const two = /^(.+) or (.+)$/i.exec(said)
  if (two) return twoCard(two[1]!, two[2]!)
  const clause = /^(we|you|it|they|the \p{L}+) (\p{L}+)\b\s*(.*)$/iu.exec(said)
  if (clause && (/^(?:we|you|it|they)$/i.test(clause[1]!) || IS.test(clause[2]!)))
    return clauseCard(clause[1]!, clause[2]!, clause[3]!)
  const how = /^how (\p{L}+) (the \p{L}+|it) (?:is|are)/iu.exec(said)
  if (how) return qualityCard(how[1]!, how[2]!)
  if (/^(?:how|which|what|if|where|whether)\b/i.test(said)) return ''
  const words = said.replace(/^(?:the|a|an|our|its)\s+/i, '').split(' ')
  const [first = '', ...rest] = words
  const noun = rest.join(' ')
  if (noun === '' && qualityOf(first)) return `the ${qualityOf(first)}`
  if (noun !== '' && !/^(?:one|ones)\b/.test(noun) && qualityOf(first)) return qualityCard(first, `the ${noun}`)
  if (/^(?:two|three|four|five|six|\d+|several|many)$/i.test(first) && noun !== '') return `the number of ${noun}`
  return /^(?:the|a|an|our|its)\b|^\p{L}+ing\b/iu.test(said)
    ? said.replace(/^[A-Z]/, (letter) => letter.toLowerCase())
    : `the ${said}`
}

const IS = /^(?:is|are|was|were)$/i

function qualityOf(word: string): string | undefined {
  const comparing = COMPARING.get(word.toLowerCase())
  return PLAIN[word.toLowerCase()] ?? (comparing && QUALITY_CARDS[comparing.quality])
}

/** "warm", "the water": "the temperature of the water"; empty where the word says no quality. */
function qualityCard(word: string, noun: string): string {
  const quality = qualityOf(word)
  if (!quality) return ''
  if (noun === 'it') return `its ${quality}`
  return `the ${quality} of ${quality === 'amount' ? noun.replace(/^the /, '') : noun}`
}

/** "it is wet": "its wetness"; "it is folded": "folding it"; "we drop it from higher up": "the height"; "we left it overnight": "leaving it overnight". */
function clauseCard(subject: string, verb: string, rest: string): string {
  if (IS.test(verb)) {
    const quality = qualityCard(rest, subject.toLowerCase())
    return quality !== '' || !/^\p{L}+ed\b/u.test(rest) ? quality : `${doing(rest.split(' ')[0]!)} ${subject.toLowerCase()}`
  }
  const quality = rest
    .split(' ')
    .map(qualityOf)
    .find((one) => one !== undefined)
  if (quality) return `the ${quality}`
  return /^(?:we|you)$/i.test(subject) ? `${doing(verb)} ${rest}`.trim() : ''
}

const IRREGULAR: Record<string, string> = {
  left: 'leave',
  made: 'make',
  had: 'have',
  took: 'take',
  kept: 'keep',
  cut: 'cut',
  put: 'put',
  held: 'hold',
}

/** "fold", "folded" and "left" as what one is doing. `doing('left') // 'leaving'` */
function doing(verb: string): string {
  const plain = IRREGULAR[verb.toLowerCase()] ?? verb.toLowerCase().replace(/(?<=\p{L}{3})ed$/u, '')
  if (/e$/.test(plain) && !/ee$/.test(plain)) return `${plain.slice(0, -1)}ing`
  return /^[^aeiou]*[aeiou][^aeiouwxy]$/.test(plain) ? `${plain}${plain.at(-1)}ing` : `${plain}ing`
}

/** Two of a kind that are compared: what they differ in, where the words say it. */
function twoCard(one: string, other: string): string {
  const [first, second] = [one, other].map((words) =>
    words.replace(/^.*\b(?=(?:in|on|under|at) )/i, '').replace(/^(?:in|on|under|at|the|a|an)\s+/i, ''),
  )
  const quality = qualityOf(first!.split(' ')[0]!)
  return quality ? `the ${quality}` : `the choice between ${first!.replace(/^the /, '')} and ${second!.replace(/^the /, '')}`
}

/** "a rubber ball … than a foam ball": the kind of ball; "cotton … as wool": the choice between the two. */
function choiceCard(said: string, text: string): string {
  const other = /\b(?:than|as) (?:a |an |the )?(\p{L}+)(?: (\p{L}+))?\s*\?*$/iu.exec(text)
  const noun = other?.[2] && other[2] !== 'one' && text.indexOf(other[2]) < other.index ? other[2] : undefined
  if (noun) return `the kind of ${noun}`
  const after = new RegExp(`${said} (\\p{L}+)`, 'iu').exec(text)?.[1]
  if (/^(?:a|an|the) /i.test(said) && after && !/er$/i.test(after)) return `the kind of ${after}`
  return other && !/ing$/.test(said) ? `the choice between ${said} and ${other[1]}` : cardOf(said)
}
