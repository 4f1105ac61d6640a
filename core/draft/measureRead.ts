import { instrumentForCard } from '../measuring'
import { unitNamed, unitOf, type UnitCode } from '../quantity'
import { plainVerb } from './words'

/** What a line measures: a card's name that fits behind "change", and the unit that its words call for. */
export interface MeasureRead {
  name: string
  /** Undefined where the words leave it open. */
  unit: UnitCode | undefined
  /** The unit or the tool stands in the line; else it is what such a thing is usually read in. */
  unitSaid: boolean
  /** What could be meant as well, where the words leave it open: each a card with its unit. */
  open: { name: string; unit: UnitCode }[]
  /** What stands in the line. */
  quote: string
}

/** What a noun or a clause is read in where a card's name alone leaves it open, a line each; the first that fits. */
const READ_IN: [UnitCode | undefined, RegExp][] = [
  ['count', /\bpulse\b|\bbeats\b/i],
  ['N', /\b(?:pull|friction)\b|\bhow hard\b.*\b(?:slide|push)/i],
  [undefined, /\b(?:note|sound|pitch|tone|colou?r)\b/i],
  ['dB', /\bhow loud\b|\bloudness\b|\bnoise\b/i],
  ['mm', /\bhow (?:fast|quickly|well) .*\bgrows?\b/i],
  ['cm', /\b(?:stretch|sag|spread|splash|bend) of\b/i],
  ['cm', /^how long (?:the|a|an|our|my|its) [\p{L} ]+? (?:is|are|gets?|becomes?|grows?)$/iu],
  ['s', /\btimes?\b|\bhow (?:fast|long|slowly)\b|\bseconds\b|\bspeed\b/i],
  ['mm', /\b(?:water )?level\b/i],
  ['words', /\bmould\b/i],
  ['g', /\bhow much .*\b(?:carries|carry|bears?)\b/i],
  ['mL', /\bhow much (?:\p{L}+ )?(?:water|rain|juice|milk|liquid)\b|\b(?:amount|volume) of (?:water|rain|juice|liquid)\b/iu],
  ['mm', /\bhow (?:high|tall|deep)\b.*\b(?:drinks?|climbs?|soaks?|grows?|cress|seedlings?|beans?|plants?|sprouts?|rain)\b/i],
  [
    'cm',
    /\bhow (?:high|tall|wide|deep|big|close|near)\b|\b(?:height|length|width|depth|bounce|shadow|size)\b|\bhow much\b.*\b(?:stretch|bend|sag|grow|shrink)/i,
  ],
]

/** Units that nothing of ours reads: no number of things. */
const NOT_OURS = /^how many (?:lux|lumens|watts|volts|amps|pascals|hertz)\b/i

/** What a card's name calls for goes first, a unit in it before all; of lengths the usual one of what is done. */
export function readIn(name: string): UnitCode | undefined {
  const asked = /^how many (?<unit>[\p{L}°]+)/iu.exec(name)?.groups?.unit
  const inUnits = asked && asked.length > 1 ? unitNamed(asked) : undefined
  if (inUnits && !['count', 'pieces'].includes(inUnits)) return inUnits
  if (NOT_OURS.test(name)) return undefined
  const called = instrumentForCard(name)?.unit
  if (called && unitOf(called).dimension !== 'length') return called
  const found = READ_IN.find(([, words]) => words.test(name))
  return found ? found[0] : called
}

export function read(name: string, quote: string, unit = readIn(name)): MeasureRead {
  return { name: tidy(name), unit, unitSaid: unit === 'count', open: [], quote: quote.trim() }
}

/** The words leave open what is meant: nothing is read in anything yet. */
export function left(name: string, quote: string, open: MeasureRead['open'] = []): MeasureRead {
  return { name: tidy(name), unit: undefined, unitSaid: false, open, quote: quote.trim() }
}

function tidy(name: string): string {
  return name
    .replace(/\(\s*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/[\s,;:.?!-]+$/, '')
    .replace(/\s+(?:with|in|on|at|by|under|near|behind|from|of|and|or|for|when|if|a|an|the|to)$/i, '')
    .trim()
    .replace(/^(?:the )?[A-Z](?=\p{Ll})/u, (start) => start.toLowerCase())
}

export function upTo(text: string, end: RegExp): string {
  const place = text.search(end)
  return (place < 0 ? text : text.slice(0, place)).trim()
}

export const TIMED =
  /^(?:dissolve|melt|sink|freeze|dry|fizz|cool|rust|rot|boil|empty|fall|roll|walk|run|travel|swim|vanish|disappear|burn|warm|fill|move|stop|go|pop|swing|heat|drip|drain|decay|set)$/

/** What takes days and no seconds. */
const SLOW = /^(?:sprout|germinate|grow|ripen|hatch|rot|decay|rust|wilt)$/

/** What a time until something happens is read in. `timeUnit('sprout') // 'day'` */
export function timeUnit(verb: string): UnitCode {
  return SLOW.test(verb) ? 'day' : 's'
}

export function takes(subject: string, verb: string, rest = ''): string {
  const plain = plainVerb(verb)
  if (plain === 'swing') return `how long ten swings take`
  return `how long it takes ${subject} to ${plain}${rest}`
}

/** `plainAdjective('stickiest') // 'sticky'` */
export function plainAdjective(word: string): string {
  return word
    .replace(/iest$|ier$/, 'y')
    .replace(/(?:est|er)$/, '')
    .replace(/(?<=[^aeiou][aeiou])([bdgnt])\1$/, '$1')
    .replace(/^(?:nic|larg|wid|loos|pal|saf|strang|rar|lat|fin|pur|clos|brav|rip|blu|simpl|gentl)$/, '$&e')
}
