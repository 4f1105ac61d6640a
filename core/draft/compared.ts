import { COMPARING } from '../quantity'
import { isPlural, plainVerb, PREPOSITIONS, thirdPerson, VERBS } from './words'
import { plainAdjective, readIn, read, left, takes, timeUnit, TIMED, type MeasureRead } from './measureRead'

interface Comparison {
  word: string
  place: number
  quality: string
}

const MORE_WORDS: Record<string, string> = {
  many: 'count',
  more: 'count',
  most: 'count',
  fewer: 'count',
  fewest: 'count',
  least: 'count',
  less: 'count',
}

function comparisonIn(words: string[]): Comparison | undefined {
  for (let place = words.length - 1; place >= 0; place -= 1) {
    const word = words[place]!.toLowerCase()
    const known = COMPARING.get(word)
    if (/^(?:better|best|worse|worst)$/.test(word)) continue
    // "which dissolves first"
    if (word === 'first' && place > 0 && VERBS.has(words[place - 1]!.toLowerCase())) return { word, place, quality: 'speed' }
    if (known && known.quality !== 'size') return { word, place, quality: known.quality }
    if (known && /^(?:higher|highest|lower|lowest)$/.test(word)) return { word, place, quality: 'height' }
    if (MORE_WORDS[word] && place < words.length - 1) return { word, place, quality: 'amount' }
    if (MORE_WORDS[word]) return { word, place, quality: 'amount' }
  }
  return undefined
}

/** A comparing word with its verb: "drinks water highest", "does a longer string swing slower", "let a bead sink faster". */
export function compared(text: string): MeasureRead | undefined {
  const words = text
    .replace(/[?.!,;:]/g, ' ')
    .split(/\s+/)
    .filter(Boolean)
  const than = words.findIndex((word) => /^than$/i.test(word))
  const comparison = comparisonIn(than > 0 ? words.slice(0, than) : words)
  if (!comparison) return undefined
  const { place, quality, word } = comparison
  // What is compared before the verb is what is changed: "does a longer string …".
  const infinitive = words.slice(place + 1).findIndex((one) => /^to$/i.test(one))
  if (infinitive >= 0 && words[place + infinitive + 2] && VERBS.has(words[place + infinitive + 2]!.toLowerCase()))
    return read(`how long it takes to ${plainVerb(words[place + infinitive + 2]!)}`, words.slice(place).join(' '), 's')
  let verb = -1
  for (let one = place - 1; one >= 0; one -= 1) {
    if (VERBS.has(words[one]!.toLowerCase()) && !nounHere(words, one)) {
      verb = one
      break
    }
  }
  if (verb < 0) return quality === 'speed' ? read('how long it takes', words[place]!, 's') : undefined
  const doing = plainVerb(words[verb]!)
  const asked = words.slice(verb + 1, place).join(' ')
  // "Are round ones faster", "is the rain cleaner": how they are, and nothing that they do.
  if (/^(?:is|are|was|were)$/.test(doing) && verb === 0 && asked !== '') return howItIs(word, quality, asked)
  if (/^(?:do|does|will|would|can|could)$/.test(words[verb]!.toLowerCase())) return undefined
  const object = words.slice(verb + 1, place)
  const subject = subjectBefore(words, verb)
  const quote = words.slice(verb, place + 1).join(' ')
  return byQuality({ quality, word, doing, object, subject, behind: words.slice(place + 1, than > 0 ? than : undefined), quote })
}

/** "is the big magnet stronger" is how strong the big magnet is. */
function howItIs(word: string, quality: string, whom: string): MeasureRead {
  if (quality === 'warmth') return read(`the temperature of ${whom}`, word, 'degC')
  return left(`how ${plainAdjective(word)} ${whom} ${isPlural(whom) ? 'are' : 'is'}`, word)
}

/** "the light", "this jump": a noun that is written like a verb. */
function nounHere(words: string[], place: number): boolean {
  return /^(?:the|a|an|our|this|more|most|no)$/i.test(words[place - 1] ?? '')
}

function subjectBefore(words: string[], verb: number): string {
  let from = verb
  while (from > 0) {
    const word = words[from - 1]!.toLowerCase()
    if (VERBS.has(word) && !nounHere(words, from - 1) && word !== 'light') break
    if (/^(?:which|what|where|why|kind|kinds|whose|if|that|so|when|how|we|does|do|it)$/.test(word)) break
    from -= 1
  }
  const phrase = words
    .slice(from, verb)
    .join(' ')
    .replace(/^(?:of|one|ones)\s+(?:(?:these|those|the|our)\s+)?(?:(?:two|three|four|five|six|seven|eight|\d+)\s+)?/i, '')
    .replace(/^(?:different(?: sized| kinds of)?|various)\s+/i, '')
  return /^(?:you|we|i)$/i.test(phrase) ? 'we' : withoutComparison(phrase)
}

/** "a longer string" is "the string". */
function withoutComparison(phrase: string): string {
  const words = phrase.split(/\s+/).filter(Boolean)
  const kept = words.filter((word) => !COMPARING.has(word.toLowerCase()) && !/^(?:a|an|the|my|our|your)$/i.test(word))
  return kept.length === 0 ? 'it' : `the ${kept.join(' ')}`
}

const DURING: Record<string, true> = {
  stick: true,
  last: true,
  stay: true,
  keep: true,
  hold: true,
  burn: true,
  float: true,
  spin: true,
  live: true,
  glow: true,
  survive: true,
}

const CHANGES_STATE = /^(?:melt|dissolve|freeze|dry|cool|warm|heat|rust|boil|empty|fill|clean)$/

function byQuality({
  quality,
  word,
  doing,
  object,
  subject,
  behind,
  quote,
}: {
  quality: string
  word: string
  doing: string
  object: string[]
  subject: string
  behind: string[]
  quote: string
}): MeasureRead | undefined {
  const causes = /^(?:make|let|keep|help|leave|get|cause)$/.test(doing)
  const inner = object.findIndex((one, place) => place > 0 && VERBS.has(one.toLowerCase()))
  if (causes && inner > 0) {
    const who = object.slice(0, inner).join(' ')
    return byQuality({
      quality,
      word,
      doing: plainVerb(object[inner]!),
      object: object.slice(inner + 1),
      subject: who,
      behind,
      quote,
    })
  }
  const whom = causes && object.some((word) => !/^(?:the|a|an)$/i.test(word)) ? object.join(' ') : subject
  const acting = object.length > 0 && !causes ? ` ${object.join(' ')}` : ''
  const be = isPlural(whom) ? 'are' : 'is'
  const it = `${whom} ${thirdPerson(doing, whom)}${acting}`
  switch (quality) {
    case 'speed':
      // "lets water through quickest", "makes the car slowest"
      if (doing === 'let' && object.at(-1) === 'through')
        return read(`how long it takes the ${object.slice(0, -1).join(' ')} to run through`, quote, 's')
      if (doing === 'make' && whom !== subject) return read(`how long ${whom} ${isPlural(whom) ? 'take' : 'takes'}`, quote, 's')
      if (doing === 'race') return read('how long it takes', quote, 's')
      // "does salt melt ice faster": the ice is what melts.
      if (CHANGES_STATE.test(doing) && object.length > 0 && !causes)
        return read(takes(`the ${object.filter((one) => !/^(?:the|a|an)$/i.test(one)).join(' ')}`, doing), quote, 's')
      if (doing === 'grow') return read(`how tall ${whom} grows`, quote, 'mm')
      if (TIMED.test(doing)) return read(takes(whom, doing, acting), quote, 's')
      return read(`how long it takes until ${it}`, quote, timeUnit(doing))
    case 'length':
      if (doing === 'hold')
        return left(`how long ${it}`, quote, [
          { name: `how long ${whom} ${thirdPerson('hold', whom)}`, unit: 's' },
          { name: `how much ${whom} ${thirdPerson('hold', whom)}`, unit: 'g' },
        ])
      if (doing === 'keep')
        return left(`how long ${subject} keeps ${object.join(' ')}`, quote, [
          { name: `how long ${subject} keeps ${object.join(' ')}`, unit: 'min' },
          { name: 'the temperature at the end', unit: 'degC' },
        ])
      if (DURING[doing] || TIMED.test(doing))
        return read(TIMED.test(doing) && !DURING[doing] ? takes(whom, doing) : `how long ${it}`, quote, 's')
      // "the longest lasting bubbles": as long as they last.
      if (/^lasting$/i.test(behind[0] ?? '') && behind[1])
        return read(`how long the ${behind[1]} last`, `${quote} ${behind.slice(0, 2).join(' ')}`, 's')
      if (behind.length > 0 && !PREPOSITIONS.has(behind[0]!.toLowerCase()))
        return read(`how long the ${behind[0]!} is`, `${quote} ${behind[0]!}`, 'cm')
      return behind.length > 0 && /^to$/i.test(behind[0]!)
        ? read(`how long it takes ${behind.join(' ')}`, quote, 's')
        : read(`how long ${whom} ${be}`, quote, 'cm')
    case 'distance':
      return read(`how far ${it}`, quote, 'cm')
    case 'height':
      if (/\b(?:notes?|sounds?|pitch)\b/i.test(`${quote} ${whom}`)) return left('how high the note is', quote)
      // "slips at the lowest ramp": the ramp is what is high.
      if (/^(?:at|on|from|over|in)$/i.test(object.filter((one) => !/^(?:the|a|an)$/i.test(one)).at(-1) ?? '') && behind[0])
        return read(`how high the ${behind[0]} is when ${whom} ${thirdPerson(doing, whom)}`, `${quote} ${behind[0]}`, 'cm')
      return /^(?:is|are)$/.test(doing) ? read(`how tall ${whom} ${doing}`, quote, 'cm') : read(`how high ${it}`, quote)
    case 'warmth':
      return read(`the temperature of ${whom === 'it' ? 'it' : whom.replace(/^an? /i, 'the ')}`, quote, 'degC')
    case 'weight':
      return read(`how heavy ${whom} ${be}`, quote, 'g')
    case 'loudness':
      return read(`how loud ${whom} ${be}`, quote, 'dB')
    case 'depth':
      return read(behind.length > 0 ? `how deep the ${behind[0]!} is` : `how deep ${it}`, quote, 'cm')
    case 'strength':
      return left(`how strong ${whom} ${be}`, quote, [
        { name: `how much ${whom} ${thirdPerson('hold', whom)}`, unit: 'g' },
        { name: `how many things ${whom} ${thirdPerson('hold', whom)}`, unit: 'count' },
      ])
    case 'amount':
      return amountOf(word, { doing, behind, whom, acting, quote })
    case 'light':
      return left(`how bright ${whom} ${be}`, quote, [
        { name: `how many sheets of paper ${whom} shines through`, unit: 'count' },
        { name: `how far off ${whom} can be seen`, unit: 'cm' },
      ])
    case 'wetness':
      return read(`how wet ${whom} ${isPlural(whom) ? 'feel' : 'feels'}`, quote, 'words')
    default:
      return undefined
  }
}

/** "holds more coins", "turn more times", "makes the most foam", "lets the least water through". */
function amountOf(
  word: string,
  { doing, behind, whom, acting, quote }: { doing: string; behind: string[]; whom: string; acting: string; quote: string },
): MeasureRead | undefined {
  const thing = behind.filter((one) => !/^(?:the|of)$/i.test(one))[0]
  if (!thing || PREPOSITIONS.has(thing.toLowerCase())) return read(`how much ${whom} ${thirdPerson(doing, whom)}${acting}`, quote)
  if (/^(?:pull|force|push|effort)$/i.test(thing)) return read('the pull that it takes', `${quote} ${thing}`, 'N')
  const many = /[^su]s$/i.test(thing) || /^(?:fewer|fewest|many)$/.test(word)
  // "Lets most water through", "soaks up most water".
  const particle = [acting.trim(), ...behind.slice(1)].find((one) => /^(?:through|up|out|off)$/i.test(one))
  if (/ly$/.test(thing)) return left(`how ${thing} ${whom} ${thirdPerson(doing, whom)}`, `${quote} ${thing}`)
  const name = `how ${many ? 'many' : 'much'} ${thing} ${whom} ${thirdPerson(doing, whom)}${particle ? ` ${particle}` : ''}`
  return read(name, `${quote} ${thing}`, many ? 'count' : readIn(name))
}
