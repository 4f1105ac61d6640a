import { plainVerb, PREPOSITIONS, thirdPerson, VERBS } from './words'
import { read, takes, upTo, type MeasureRead } from './measureRead'

/** "we count how many sheets it shines through", "count the birds". */
export function counted(text: string): MeasureRead | undefined {
  const match =
    /\bcount(?:ing|ed)?\s+(?:(?<how>how many .{2,50}?)|(?:all )?(?:the |our )?(?<things>[\p{L}-]+(?: of (?:a |an |the |our )?[\p{L}-]+| [\p{L}-]+)?))(?= in\b| on\b| at\b| through\b| under\b| near\b| by\b| behind\b| beside\b| after\b| every\b| each\b| \p{L}+ing\b|[,.?!]|$)(?<rest> through)?/iu.exec(
      text,
    )
  if (!match) return undefined
  const { how, rest = '' } = match.groups!
  // "Do woodlice like dark better? Count them".
  const meant = /^(?:do|which|how do|where do) (?:the |our )?(?<noun>\p{L}+)/iu.exec(text)?.groups?.noun
  const things = /^them$/i.test(match.groups!.things ?? '') ? meant : match.groups!.things
  if (how === undefined && things === undefined) return undefined
  return read(how ? how + rest : `how many ${things} there are`, match[0], 'count')
}

const HOW =
  /\bhow (?<how>(?:many|much)(?: (?!is\b|are\b|does\b|do\b|can\b|will\b|we\b|water is\b)[\p{L}-]+(?: of [\p{L}-]+)?){0,4}?|far(?: off| away)?|(?!does\b|do\b|did\b|can\b|could\b|will\b|would\b|is\b|are\b|many\b|much\b|we\b|it\b|the\b|to\b|how\b|come\b)\p{L}+) (?<rest>(?!many\b|much\b).+)/iu
const HOW_MANY =
  /\bhow (?<how>(?:many|much)(?:\s+(?!(?:does|do|did|can|could|will|would|is|are)\b)[\p{L}-]+){0,5})\s+(?<rest>(?:does|do|did|can|could|will|would|is|are)\b.+)/iu
const AUXILIARY = /^(?:does|do|did|can|could|will|would|must|should|is|are|was)\b/i

const MODAL: Record<string, string> = { can: 'can', could: 'can', must: 'must', should: 'must' }

/** "how high does a ball bounce", "how much water is left", "how far the toy car rolls": the last one that is no condition of the question. */
export function howClause(text: string): MeasureRead | undefined {
  // "does it matter how full the bottle is", "how does …": what is changed, and no measure.
  const searched = text
    .replace(/^\s*how (?:does|do|can|will|would) /i, '')
    // "How many clips does each magnet hold".
    .replace(/\b(does|do|can|will|would|is) each (?=[\p{L}-]+ )/iu, '$1 the ')
    .replace(/\b(?:does|would|will) it matter how .+? (?:for|to)\b/i, '')
  const match = HOW_MANY.exec(searched) ?? HOW.exec(searched)
  if (!match) return undefined
  const { how, rest } = match.groups as { how: string; rest: string }
  if (/\b(?:change|changes|affect|affects|matter|matters)\b/i.test(rest)) return undefined
  const sentence = upTo(rest, /[?.!,:;]|\s(?:when|if|with (?:a|an|the|no|\d)|after|before|over|every|each)\b/i)
  const words = sentence.split(/\s+/).filter(Boolean)
  if (words.length === 0) return undefined
  const clause = AUXILIARY.test(sentence) ? statement(how, words) : `how ${how} ${sentence}`
  return clause === '' ? undefined : read(asDuration(clause), `how ${how} ${sentence}`)
}

/** "how quickly a candle goes out" is a time: "how long it takes a candle to go out". */
function asDuration(clause: string): string {
  return clause.replace(
    /^how (?:quickly|fast|slowly|soon) (.+?) (dissolves?|melts?|sinks?|dries|dry|freezes?|goes? out|cools?|fizz(?:es)?|empt(?:y|ies)|runs? out)(?: away)?\b.*$/i,
    (_, subject: string, said: string) => {
      const [verb = '', ...rest] = said.split(' ')
      return takes(subject, verb, rest.map((word) => ` ${word}`).join(''))
    },
  )
}

/** "does a ball bounce from 50 cm" as "a ball bounces from 50 cm". */
function statement(how: string, words: string[]): string {
  const auxiliary = words[0]!.toLowerCase()
  const rest = words.slice(1)
  const verb = rest.findIndex((word, place) => place > 0 && VERBS.has(word.toLowerCase()) && !PREPOSITIONS.has(word.toLowerCase()))
  if (/^(?:is|are|was)$/.test(auxiliary)) {
    if (/^(?:left|spilled|lost|there|absorbed)$/i.test(rest[0] ?? '')) return `how ${how} ${auxiliary} ${rest[0]!}`
    if (PREPOSITIONS.has(rest[0]?.toLowerCase() ?? '')) return `how ${how} there ${auxiliary}`
    const subject = nounPhrase(rest)
    return subject === '' ? '' : `how ${how} ${subject} ${auxiliary}`
  }
  if (verb < 0) return ''
  const subject = rest
    .slice(0, verb)
    .join(' ')
    .replace(/\bstill$/i, '')
    .trim()
  const doing = plainVerb(rest[verb]!)
  const after = behindVerb(rest.slice(verb + 1), doing)
  if (/^(?:can|could|will|would|must|should)$/.test(auxiliary))
    return `how ${how} ${subject} ${MODAL[auxiliary] ? `${MODAL[auxiliary]} ${doing}` : thirdPerson(doing, subject)}${after}`
  return `how ${how} ${subject} ${thirdPerson(doing, subject)}${after}`
}

/** What belongs to the verb: an object, up to the next little word. */
function behindVerb(words: string[], verb: string): string {
  // "the torch can shine through"
  if (words.length === 1 && words[0] === 'through' && /^(?:shine|see|hear|show|pass)$/.test(verb)) return ' through'
  const to = words.findIndex((word) => PREPOSITIONS.has(word.toLowerCase()) && !/^(?:out|off|up|down|away|to)$/i.test(word))
  const own = (to < 0 ? words : words.slice(0, to)).slice(0, 5)
  return own.length > 0 ? ` ${own.join(' ')}` : ''
}

function nounPhrase(words: string[]): string {
  const to = words.findIndex((word, place) => place > 0 && (PREPOSITIONS.has(word.toLowerCase()) || VERBS.has(word.toLowerCase())))
  return (to < 0 ? words : words.slice(0, to)).slice(0, 5).join(' ')
}
