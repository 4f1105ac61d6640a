import { isInWords, type KindRead } from './kinds'
import { kindsIn, numbersIn, type Listed } from './lists'
import { KINDS_OF_TEST } from '../test'
import { ARTICLE, MADE_OF, QUALITY_OF, VERBS } from './words'

/** Sentence by sentence, and of "Compare a, b and c: which …" both sides: numbers before kinds, the whole line before a part. */
export function listIn(text: string, said: KindRead | undefined): Listed | undefined {
  const kind = said && KINDS_OF_TEST[said.kind]
  if (kind?.readsTwice) return undefined
  const lidded = withAndWithout(text)
  if (lidded) return lidded
  const shared = sharedOut(text)
  if (shared) return shared
  const numbers = kind?.watches || kind?.improves ? undefined : numbersIn(text)
  if (numbers) return numbers
  // What says the kind of test is no condition: "dry, wet and dry again", "two at a time".
  const searched = said && kind && !isInWords(kind) ? text.replace(said.quote, ' ') : text
  for (const sentence of partsOf(searched)) {
    const found = kindsIn(sentence.replace(/^(?:we )?(?:compare|try|use|test|take|put|lay|place|dip|wrap)\s+/i, ''))
    if (found && !momentsOnly(found)) return withSubject(text, { ...found, rest: text.replace(found.quote, found.of) })
  }
  return against(text)
}

function partsOf(text: string): string[] {
  return text
    .split(/[:?.!;]\s+|[:?.!;]$|[()]|\s+[-–]\s+/)
    .flatMap((sentence) =>
      sentence.split(
        /,\s+(?=(?:height|time|measured?|timed|with a (?:stopwatch|ruler|thermometer)|who|which|what|how|no scale|once|every|each|then|race)\b)/i,
      ),
    )
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .sort(
      (a, b) => Number(/^(?:which|how|does|do|is|are|what)\b/i.test(a)) - Number(/^(?:which|how|does|do|is|are|what)\b/i.test(b)),
    )
}

function momentsOnly({ items }: Listed): boolean {
  return items.some((item) => /\bagain\b|^(?:measure|weigh|let|time|see|make|then|height|every|each)\b/i.test(item))
}

const ONE_OF_THEM =
  /\b(?:some|one|another|the (?:other|last)(?: one)?|a (?:second|third))\b(?: (?!of\b)[\p{L}-]+){0,2}? (?<where>in|on|by|under|at|near|behind|beside) (?<thing>(?:the |a |an |our )?[\p{L}-]+(?: [\p{L}-]+)?)(?=\s*(?:,|;|\.|$| and (?:some|one|another|the|a)\b))/giu

/** "Some grow in soil, some in wet paper, some in water": where each of them is. */
function sharedOut(text: string): Listed | undefined {
  const found = [...text.matchAll(ONE_OF_THEM)]
  const [first, last] = [found[0], found.at(-1)]
  if (!first || !last || found.length < 2) return undefined
  const quote = text.slice(first.index, last.index + last[0].length)
  if (/[.?!:]/.test(quote)) return undefined
  const items = found.map(({ groups }) => groups!.thing!.replace(ARTICLE, ''))
  return {
    items,
    as: 'kinds',
    unit: undefined,
    of: '',
    before: first.groups!.where!.toLowerCase(),
    rest: text.replace(quote, ''),
    quote,
  }
}

const WITH_AND_WITHOUT = /\bwith (?:and|or) without (?<thing>(?:a |an |the )?[\p{L}-]+)/iu
const WITH_IT_AND_WITHOUT =
  /\bwith (?<thing>(?:a |an |the )?[\p{L}-]+)(?: (?:on|in|over|around|under)(?: it| them| top)?)?,? and without(?: it| one)?(?=\s*[,.?!]|$)/iu

/** "with and without a lid", "in a cup with a lid on it and without". */
function withAndWithout(text: string): Listed | undefined {
  const found = WITH_AND_WITHOUT.exec(text) ?? WITH_IT_AND_WITHOUT.exec(text)
  if (!found) return undefined
  const { thing } = found.groups as Record<string, string>
  return {
    items: [`with ${thing!}`, `without ${thing!}`],
    as: 'kinds',
    unit: undefined,
    of: '',
    before: '',
    rest: text.replace(found[0], `with and without ${thing!}`),
    quote: found[0],
  }
}

/** "in warm water than in cold", "than cotton or nothing": two or more that are held against each other. */
function against(text: string): Listed | undefined {
  const placed = /\bin (?:the )?(?<one>\p{L}+)(?: (?<noun>\p{L}+))? than in (?:the )?(?<other>\p{L}+)/iu.exec(text)
  if (placed) {
    const { one, noun = '', other } = placed.groups as Record<string, string>
    return {
      items: [one!, other!],
      as: 'kinds',
      unit: undefined,
      of: noun,
      before: 'in',
      rest: text.replace(placed[0], ''),
      quote: placed[0],
    }
  }
  const opposites = /\b(?<one>\p{L}+) (?<noun>\p{L}+) .{2,60} than (?:an? |the )?(?<other>\p{L}+) (?:\k<noun>|one)\b/iu.exec(text)
  const repeated = opposites !== null && !/\bone$/i.test(opposites[0])
  if (
    opposites &&
    !ARTICLE.test(`${opposites.groups!.noun!} `) &&
    (repeated || QUALITY_OF.has(opposites.groups!.one!.toLowerCase()))
  ) {
    const { one, noun, other } = opposites.groups as Record<string, string>
    return {
      items: [one!.toLowerCase(), other!.toLowerCase()],
      as: 'kinds',
      unit: undefined,
      of: noun!,
      before: '',
      rest: text.replace(/\s*than .*$/i, ''),
      quote: `${one!} ${noun!} … ${other!} ${noun!}`,
    }
  }
  // "Is our left hand stronger than the right?"
  const sides =
    /\b(?:is|are) (?:our|the|your|my) (?<one>\p{L}+) (?<noun>\p{L}+) \p{L}+er than (?:our |the |your |my )?(?<other>\p{L}+)(?=\s*[?.]|$)/iu.exec(
      text,
    )
  const { one, noun, other } = (sides?.groups ?? {}) as Record<string, string>
  if (sides && one && other && (QUALITY_OF.has(one.toLowerCase()) || MADE_OF.has(one.toLowerCase())))
    return {
      items: [one.toLowerCase(), other.toLowerCase()],
      as: 'kinds',
      unit: undefined,
      of: noun!,
      before: '',
      rest: text.replace(/\s*than [^?.]*/i, '').replace(`${one} ${noun!}`, noun!),
      quote: sides[0],
    }
  return undefined
}

/** "a woolly mitten … than cotton or nothing": the one before the verb is a condition, too. */
function withSubject(text: string, listed: Listed): Listed {
  const words = (/^\s*(?:does|do|will|would|is|are)\s+(?<rest>.*) than\b/iu.exec(text)?.groups?.rest ?? '').split(/\s+/)
  const from = /^(?:a|an|the)$/i.test(words[0] ?? '') ? 1 : 0
  const verb = words.findIndex((word, place) => place > from && VERBS.has(word.toLowerCase()))
  const subject = verb > from && verb <= from + 2 ? words.slice(0, verb).join(' ') : undefined
  if (!subject || listed.as === 'numbers') return listed
  const bare = subject.replace(ARTICLE, '')
  return listed.items.includes(bare) ? listed : { ...listed, items: [bare, ...listed.items] }
}
