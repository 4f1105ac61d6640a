import { unitOf } from '../quantity'
import { endsNoun, qualityCard, said, type ChangeRead } from './changeRead'
import type { Listed } from './lists'
import { ARTICLE, isPlural } from './words'

/** "a little, some or a lot of soap", whatever the sentence is about. */
export function amounts(listed: Listed | undefined): ChangeRead | undefined {
  return listed?.of.startsWith('amount of') ? { name: `the ${listed.of}`, quote: listed.quote, said: true } : undefined
}

/** "1, 2 and 4 layers of card", "10, 20 and 30 degrees" of a ramp, "from 50 cm, 1 m and 1.5 m". */
export function numbered(text: string, listed: Listed | undefined, whole: string): ChangeRead | undefined {
  if (listed?.as !== 'numbers') return undefined
  const { of, unit, before } = listed
  const head = whole.slice(0, Math.max(0, whole.indexOf(listed.quote)))
  // "Rub the ruler 5, 10, 20 times".
  const often = /\btimes$/i.test(listed.quote) ? OFTEN.exec(head)?.groups : undefined
  if (often) return said(`how often we ${often.verb!.toLowerCase()} ${often.thing!.toLowerCase()}`, head + listed.quote)
  if (of !== '' && of !== 'degrees') return { name: `the number of ${of}`, quote: listed.quote, said: true }
  const named =
    /\b(?:with|of|does|do|a|an)\s+(?<word>heavier|lighter|longer|shorter|bigger|higher|warmer|hotter|deeper|wider|thicker)\s+(?<thing>[\p{L}-]+(?: [\p{L}-]+)?)/iu.exec(
      text,
    )?.groups
  if (named)
    return said(qualityCard(`${named.word!} ${bareNoun(named.thing!)}`) ?? `the ${named.thing!}`, `${named.word!} ${named.thing!}`)
  // "from a ramp of 10, 20 and 30 cm", "balls of 5 g, 10 g".
  const ofWhat = /(?<thing>[\p{L}-]+) of $/iu.exec(head)?.groups?.thing
  const quality =
    unit &&
    {
      length: /ramp|slope|slide|hill|drop|step/i.test(ofWhat ?? '') ? 'height' : 'length',
      mass: 'weight',
      volume: 'amount',
      temperature: 'temperature',
    }[unitOf(unit).dimension as string]
  // "5 mL and 10 mL of soap"
  const behind = /^ of (?<thing>[\p{L}-]+(?: [\p{L}-]+)?)(?=\s*(?:[:,.;?]|$))/iu.exec(
    whole.slice(head.length + listed.quote.length),
  )?.groups?.thing
  const ofThem = unit && behind && { volume: 'amount', mass: 'amount' }[unitOf(unit).dimension as string]
  if (ofThem) return { name: `the ${ofThem} of ${behind}`, quote: `${listed.quote} of ${behind}`, said: true }
  const after = whole.slice(head.length + listed.quote.length)
  const isLong = unit !== undefined && unitOf(unit).dimension === 'length'
  // "a hole at 5, 10 and 15 cm from the bottom"
  const away = /^ from (?<there>(?:the |a )?[\p{L}-]+)/iu.exec(after)?.groups?.there
  const placed = /\b(?<thing>(?:the|a|an) [\p{L}-]+)(?: (?:is|was|made))?(?: at)? $/iu.exec(head)?.groups?.thing
  if (isLong && away && placed)
    return said(`how far ${placed.toLowerCase().replace(/^an? /, 'the ')} is from ${away}`, `${listed.quote} from ${away}`)
  // "6 cm, 9 cm and 12 cm wings"
  const having = /^ (?<thing>(?:(?:long|wide|tall|high|thick|deep) )?[\p{L}-]+)/iu.exec(after)?.groups?.thing
  const card = isLong && having ? longCard(having) : undefined
  if (card) return said(card, `${listed.quote} ${having!}`)
  if (ofWhat && quality) return { name: `the ${quality} of the ${ofWhat}`, quote: listed.quote, said: false }
  const lasting = unit && unitOf(unit).dimension === 'time' ? DOING_FOR.exec(head)?.groups : undefined
  if (lasting)
    return { name: `how long ${lasting.doing!.toLowerCase()}`, quote: `${lasting.doing!} for ${listed.quote}`, said: true }
  const done = unit && unitOf(unit).dimension === 'length' ? doneBy(head) : undefined
  if (done) return done
  const dropped = /\b(?:drop|bounce|fall)\w*\b/i.test(text) && (before === 'from' || /\bfrom\b/i.test(text))
  if (dropped && unit && /^(?:mm|cm|m|in|ft)$/.test(unit))
    return { name: 'the height it is dropped from', quote: listed.quote, said: before === 'from' }
  if (of === 'degrees' && /\b(?:ramp|slope|slide|hill)\b/i.test(text))
    return { name: 'the angle of the ramp', quote: listed.quote, said: false }
  const counted = /\b(?<thing>yeast|sugar|salt|soap|water|baking powder|flour)\b/i.exec(text)?.groups?.thing
  if (counted && unit && /^(?:tsp|tbsp|g|mL|cup)$/.test(unit))
    return { name: `the amount of ${counted.toLowerCase()}`, quote: listed.quote, said: false }
  if (unit === 'degC' || unit === 'degF')
    return { name: 'the temperature of the water', quote: listed.quote, said: /\bwater\b/i.test(text) }
  return undefined
}

/** "wings" are long, "wide sails" wide. */
function longCard(having: string): string | undefined {
  const words = having.toLowerCase().split(' ')
  const thing = words.at(-1)!
  if (!isPlural(thing) || endsNoun(thing) || (words.length > 1 && !qualityCard(having))) return undefined
  return words.length > 1 ? qualityCard(having) : `the length of the ${thing}`
}

function bareNoun(phrase: string): string {
  const words = phrase.split(/\s+/)
  const to = words.findIndex((word, place) => place > 0 && endsNoun(word))
  return to < 0 ? phrase : words.slice(0, to).join(' ')
}

/** "if we hop for 10, 20 or 30 seconds" */
const DOING_FOR = /\b(?<doing>(?:we|you|they) [\p{L}-]+(?: (?:it|them|the [\p{L}-]+))?) for $/iu

const DONE_TO =
  /^\s*(?:we |let us |let's )?(?<verb>stretch|pull|push|bend) (?<thing>(?:the |a |an |our )?[\p{L}-]+(?: [\p{L}-]+)?)(?: to| by| up to)? $/iu

const OFTEN = /^\s*(?:we |if we )?(?<verb>\p{L}+) (?<thing>(?:the|a|an|our) [\p{L}-]+(?: [\p{L}-]+)?) $/iu

/** "stretch elastic bands 5, 10 and 15 cm": how far we do it. */
function doneBy(before: string): ChangeRead | undefined {
  const { verb, thing } = DONE_TO.exec(before)?.groups ?? {}
  return verb && thing ? said(`how far we ${verb.toLowerCase()} the ${thing.replace(ARTICLE, '')}`, before) : undefined
}
