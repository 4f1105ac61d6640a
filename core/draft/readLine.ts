import { mainWords, type Kind } from '../lesson'
import { COMPARING, type UnitCode } from '../quantity'
import { KINDS_OF_TEST } from '../test'
import { withoutAsides } from './aside'
import type { ChangeRead } from './changeRead'
import { changeIn, dependsIn } from './changes'
import { isInWords, kindIn, TRIES, WHETHER } from './kinds'
import { listIn } from './conditions'
import type { Listed } from './lists'
import { plainAdjective, type MeasureRead } from './measureRead'
import { measureIn } from './measures'
import { changeableIn } from './wondered'
import { singular, thirdPerson } from './words'

/** What is read of a line, each with the words that it was read from; what the line does not say is not there. */
export interface LineRead {
  kind: Kind | undefined
  /** The line says so; else it follows from something being changed. */
  kindSaid: boolean
  way: 'balance' | 'race' | undefined
  change: string
  changeSaid: boolean
  measure: string
  /** Its words are the line's own; else it is how such a thing is usually told. */
  measureSaid: boolean
  unit: UnitCode | undefined
  unitSaid: boolean
  /** Cards that the words could mean as well. */
  open: MeasureRead['open']
  conditions: string[]
  as: 'kinds' | 'numbers'
  conditionUnit: UnitCode | undefined
  words: string[]
  quotes: Partial<Record<'kind' | 'change' | 'measure' | 'conditions', string>>
}

/** A line is a sentence or two; of a whole page the beginning is read. */
const MOST_READ = 600

/** What only says that something is asked: "our question is whether". */
const LEADS_IN =
  /^(?:(?:our|my|the) question is|(?:we|i)(?: want| would like|['’]d like)? to (?:find out|know|see|test|check)|(?:we|i) (?:wonder|want to know)|(?:let['’]?s|let us) (?:find out|see|test|check)|(?:test|find out|investigate|check|see))\s+(?:whether|if)\s+(?=(?:the |a |an )?[\p{L}-]+)/iu

/** "Which towel holds most: cheap or dear? Weigh before and after": how it is read, of a question that names its kinds. */
const READ_TWICE =
  /(?<=^\s*(?:which\b|how (?:much|many)\b.*\beach\b).*[:,].*\?) (?:(?:we|they|children|(?:the |all )?groups|each group)(?: will| can)? )?(weigh|measure)s? (?:(?:it|them|each(?: one)?|(?:the |each )\p{L}+) )?before (?:and|&) after\b/iu

/**
 * Reads what a teacher has in mind for a lesson.
 * @example readLine('Which paper drinks water highest: kitchen roll, tissue, writing paper or card?').change // => 'the kind of paper'
 */
export function readLine(said: string): LineRead {
  // "beans in the dark and beans in the light": said once is enough.
  const text = withoutAsides(
    said
      .slice(0, MOST_READ)
      .replace(/[\s\u00a0]+/g, ' ')
      .trim(),
  )
    .replace(LEADS_IN, 'Do ')
    .replace(/^(\p{L}+) (in|on|under|at) (.{2,30}?) and \1 \2 /iu, '$1 $2 $3 and $2 ')
    .replace(READ_TWICE, (_, how: string) => (/^weigh/i.test(how) ? ' on the scales' : ''))
  const kind = kindIn(text)
  const of = kind && KINDS_OF_TEST[kind.kind]
  const describes = of !== undefined && isInWords(of)
  const listed = listIn(text, kind)
  const whether = describes ? whetherIn(text) : undefined
  const yesOrNo = describes && (whether !== undefined || /\byes or no\b/i.test(text))
  const words = describes && listed && !yesOrNo && isWordsOfMeasure(text, listed) ? listed.items : []
  // "sort the leaves by whether they are smooth or hairy: mint, ivy": the words, and behind them the things.
  const behind = words.length > 0 ? listIn(text.slice(text.indexOf(listed!.quote) + listed!.quote.length), kind) : undefined
  const conditions = of?.improves ? undefined : words.length > 0 ? behind : listed
  const bare = listed ? listed.rest : text
  const found =
    kind?.way === 'race' && !/\b(?:how|time|stop ?watch)\b/i.test(text)
      ? RACED
      : measureOf(withoutOwner(text.replace(TRIES, '')), withoutOwner(bare.replace(TRIES, '')))
  const measure =
    words.length > 0
      ? inWords(words, listed!.quote)
      : of?.improves
        ? (found ?? superlativeOf(text))
        : (whether ?? found ?? manyThere(text, conditions))
  const change = of?.readsTwice
    ? undefined
    : of?.improves
      ? builtIn(text)
      : (changeIn(bare, conditions, measure?.name ?? '', text) ??
        changeIn(text, conditions, measure?.name ?? '') ??
        // What a child could choose between is what stands in the list already.
        (conditions ? undefined : wonderedIn(text)))
  const watched = of?.watches && !conditions ? undefined : change
  const changed = of?.allAtOnce ? (orderedIn(text) ?? watched) : describes ? (describedIn(text) ?? watched) : watched
  const compares = (conditions?.items.length ?? 0) > 1
  const anything = kind !== undefined || changed !== undefined || measure !== undefined || compares
  return {
    kind: kind?.kind ?? (anything ? 'fair-test' : undefined),
    kindSaid: kind !== undefined,
    way: kind?.way,
    change: changed?.name ?? '',
    changeSaid: changed?.said ?? false,
    measure: measure?.name ?? '',
    measureSaid: measure !== undefined && mainWords(measure.name).every((word) => mainWords(text).includes(word)),
    unit: kind?.way ? undefined : measure?.unit,
    unitSaid: measure?.unitSaid ?? false,
    open: measure?.open ?? [],
    conditions: conditions?.items ?? [],
    as: conditions?.as ?? 'kinds',
    conditionUnit: conditions?.unit,
    words: yesOrNo ? ['no', 'yes'] : words,
    quotes: {
      kind: kind?.quote,
      change: asWritten(changed?.quote, said),
      measure: asWritten(measure?.quote, said),
      conditions: asWritten(conditions?.quote, said),
    },
  }
}

/** The words as they stand in the line: what was read with the list taken out is cut where the list stood. */
function asWritten(quote: string | undefined, text: string): string | undefined {
  if (quote === undefined || quote.includes('…')) return quote
  const [words, whole] = [quote.split(' '), text.replace(/[\s\u00a0]+/g, ' ').toLowerCase()]
  while (words.length > 1 && !whole.includes(words.join(' ').toLowerCase())) words.pop()
  return words.join(' ')
}

/** What only a child's way of saying it tells: "would it … if the water were warm". */
function wonderedIn(text: string): ChangeRead | undefined {
  const found = changeableIn(text)
  return found && found.card !== '' ? { name: found.card, quote: found.thing, said: true } : undefined
}

const RACED: MeasureRead = { name: 'who is first', unit: undefined, unitSaid: true, open: [], quote: 'first' }

/** "Measure their height": the height. */
function withoutOwner(text: string): string {
  return text.replace(/\b(measure|weigh|count|read) (?:their|its|his|her) /giu, '$1 the ')
}

function measureOf(text: string, bare: string): MeasureRead | undefined {
  const explicit = /[?.!]\s*(?:we |they |then )?(?<sentence>(?:count|measure|weigh|time)\b(?! (?:it|them)\b).*)$/iu.exec(text)
    ?.groups?.sentence
  const depends = dependsIn(text)
  const depending = depends && (measureIn(`measure ${depends.measure}`) ?? measureIn(depends.measure))
  if (depending) return { ...depending, quote: depends.measure }
  const found = (explicit ? measureIn(explicit) : undefined) ?? measureIn(bare) ?? measureIn(text)
  return found
}

function isWordsOfMeasure(text: string, { items, quote }: Listed): boolean {
  const before = text.slice(0, text.indexOf(quote))
  return (
    /\b(?:feels?|looks?|smells?|is|are|into)\s*$/i.test(before) ||
    items.some((item) => /^(?:a bit|a little|quite|very|slightly)\b/i.test(item))
  )
}

/** "Which things does the magnet pull": whether the magnet pulls it. */
function whetherIn(text: string): MeasureRead | undefined {
  const found = WHETHER.exec(text)?.groups
  if (!found) return undefined
  const [verb = '', ...more] = (found.doing ?? found.verb!).trim().toLowerCase().split(' ')
  const does = [thirdPerson(verb), ...more].join(' ')
  const name = found.who === undefined ? `whether it ${does}` : `whether ${found.who.toLowerCase()} ${does} it`
  return { name, unit: undefined, unitSaid: true, open: [], quote: (found.doing ?? `${found.who} ${found.verb}`).trim() }
}

/** Ordered words: "smooth, a bit rough or rough" is how rough it is. */
function inWords(words: string[], quote: string): MeasureRead {
  const hedged = words.find((word) => / /.test(word)) ?? words[0]!
  return { name: `how ${hedged.split(' ').at(-1)!} it is`, unit: 'words', unitSaid: true, open: [], quote }
}

/** "build the tallest tower": going by how tall it is. */
function superlativeOf(text: string): MeasureRead | undefined {
  const match = /\b(?:the|a|an) (?<word>\p{L}+(?:est|er)) (?<thing>[\p{L}-]+)/iu.exec(text)
  if (!match || !COMPARING.has(match.groups!.word!.toLowerCase())) return undefined
  const how = plainAdjective(match.groups!.word!.toLowerCase())
  return {
    name: `how ${how} the ${match.groups!.thing!} is`,
    unit: LENGTHS.test(how) ? 'cm' : undefined,
    unitSaid: false,
    open: [],
    quote: match[0],
  }
}

const LENGTHS = /^(?:tall|long|high|deep|wide|big)$/

/** "minibeasts in the hedge and on the playground": how many there are, where nothing else is said of them. */
function manyThere(text: string, listed: Listed | undefined): MeasureRead | undefined {
  const things =
    listed?.as === 'kinds'
      ? /^(?:the )?(?<things>[\p{L}-]+[^su\s]s)(?: (?:per|in (?:a|each|one)) [\p{L}-]+(?: [\p{L}-]+)?)?\s+(?:in|on|under|at|near|by)\b/iu.exec(
          text,
        )?.groups?.things
      : undefined
  return things
    ? { name: `how many ${things.toLowerCase()} there are`, unit: 'count', unitSaid: false, open: [], quote: things }
    : undefined
}

/** What is built: "a paper bridge", "the tallest tower". */
function builtIn(text: string) {
  const match =
    /\b(?:build|design|construct|make|improve|fold|invent|redesign)\s+(?:a|an|the|our)\s+(?<thing>(?:\p{L}+est )?(?:[\p{L}-]+ ){0,2}?[\p{L}-]+)(?= that\b| which\b| so\b| out of\b| to\b| from\b| and\b|[,.?]|$)/iu.exec(
      text,
    )
  const thing = match?.groups!.thing?.replace(/^\p{L}+est /u, '')
  return thing ? { name: `the ${thing}`, quote: match![0], said: true } : undefined
}

/** "describe the leaves". */
function describedIn(text: string) {
  const named = /^\s*(?<thing>[\p{L}-]+): (?:sort|group) them\b/iu.exec(text)?.groups?.thing
  if (named) return { name: `the ${singular(named.toLowerCase())}`, quote: named, said: true }
  const match =
    /(?:\bdescribe|^\s*(?:sort|group|feel|smell|touch|look at))\s+(?:the |our |these |how |two |three |four |five |six |seven |eight |\d+ )*(?<thing>(?!how\b)[\p{L}-]+)/iu.exec(
      text,
    )
  return match ? { name: `the ${singular(match.groups!.thing!)}`, quote: match[0], said: true } : undefined
}

/** What is put in order: "five stones", "three toy cars", "the rocks". */
function orderedIn(text: string) {
  const match =
    /\b(?:of|race|balance|put|line up|rank|sort|order)\s+(?:(?:the|these|our|two|three|four|five|six|seven|eight|\d+)\s+)+(?<thing>[\p{L}-]+(?: [\p{L}-]+)?)(?= is\b| are\b| in\b| at\b| from\b| made\b| down\b| on\b| by\b|[:,?.]|$)/iu.exec(
      text,
    )
  const thing = match?.groups!.thing
  return thing ? { name: `the ${singular(thing)}`, quote: match![0], said: true } : undefined
}
