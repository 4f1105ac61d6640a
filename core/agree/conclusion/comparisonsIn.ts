import { mainWords, type Plan, withoutEnding } from '../../lesson'
import { COMPARING, type Quality } from '../../quantity'
import { testOf } from '../../test'
import { PLACED } from './lexicon'
import { type ComparingMention, spanned } from './stretch'
import { plainly } from './plainly'

const AMOUNT = /^(?:more|most|less|least|fewer|fewest)$/

/** "More slowly", "most quickly", "less loudly". */
const HOW_QUICKLY = /^ (?:(quickly|rapidly|loudly)|(slowly))\b/

/** What ended first had least of what was read "until" or "before" that. */
const ENDED =
  /\b(?:slid|slides?|slipped|slips?|broke|breaks?|fell|falls?|snapped|snaps?|tore|tears?|stopped|stops?|gave way|gives way|melted|melts?|ran out|emptied|dried|sank|sinks?|popped|burst|went out|let go|came off|dropped|gave up) (?=(?:first|last)\b)/

const UNTIL = /\b(?:carry|carries|holds?|bears?|supports?|before|until|till|at which|when|that breaks|load|how long|time)\b/

export function comparingIn(sentence: string, offset: number, plan: Plan): ComparingMention[] {
  const words = [...sentence.matchAll(/\p{L}+/gu)].flatMap((match): ComparingMention[] => {
    const adverb = AMOUNT.test(match[0]) ? HOW_QUICKLY.exec(sentence.slice(match.index + match[0].length)) : null
    if (adverb) {
      const [said, fast, slow] = adverb
      const more = (slow === undefined) === /^m/.test(match[0])
      const quality: Quality = (fast ?? slow)!.startsWith('l') ? 'loudness' : 'speed'
      const to = match.index + match[0].length + said.length
      return [
        {
          ...{ kind: 'comparing', word: match[0] + said, side: more ? 'more' : 'less', superlative: /st$/.test(match[0]), quality },
          ...{ from: offset + match.index, to: offset + to },
        },
      ]
    }
    const word = COMPARING.get(match[0])
    if (!word || isIdle(match[0], sentence.slice(0, match.index), sentence.slice(match.index + match[0].length))) return []
    const of = AMOUNT.test(match[0]) ? /^ (\p{L}{3,})/u.exec(sentence.slice(match.index + match[0].length))?.[1] : undefined
    return [spanned(match, offset, { ...word, kind: 'comparing' as const, of: of && withoutEnding(of) })]
  })
  const ranked = PLACED.flatMap(({ words: pattern, side, superlative, quality = 'rank' }) =>
    [...sentence.matchAll(pattern)].map((match) =>
      spanned(match, offset, { kind: 'comparing' as const, word: match[0], side, superlative, quality }),
    ),
  )
  // "The heart beats 38 times" is no race.
  const beats = mainWords(testOf(plan).measure?.name ?? '').includes('beat')
  const placed = beats ? ranked.filter(({ word }) => !word.startsWith('beat')) : ranked
  const ended = ENDED.exec(sentence)
  if (!ended) return [...words, ...placed]
  const untilThen = UNTIL.test(plainly(testOf(plan).measure?.name ?? ''))
  const ofTheEnd = [...sentence.matchAll(/\b(?:first|last)\b/g)].map((match) =>
    spanned(match, offset, {
      ...{ kind: 'comparing' as const, word: match[0], superlative: true, quality: 'size' as const },
      side: match[0] === 'first' ? ('less' as const) : ('more' as const),
    }),
  )
  return [...words, ...(untilThen ? ofTheEnd : [])]
}

/** "At least", "no longer", "most groups", "more and more": nothing is compared. */
function isIdle(word: string, before: string, after: string): boolean {
  // "Fewer and fewer" is said once.
  if (after.startsWith(` and ${word}`)) return true
  if (/\b(?:at|no|any|once|so far) $/.test(before) && /^(least|most|longer|more|best|last)$/.test(word)) return true
  return word === 'most' && /^\s+(?:of\b|groups?\b|children\b|people\b|readings?\b)/.test(after)
}
