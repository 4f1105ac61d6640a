import { COMPARING } from '../quantity'
import { ARTICLE, PREPOSITIONS, QUALITY_OF, VERBS } from './words'

/** What a line changes: a card's name that fits between "Does" and "change". */
export interface ChangeRead {
  name: string
  quote: string
  /** The line names it; else it follows from what its conditions have in common. */
  said: boolean
}

export function said(name: string, quote: string): ChangeRead {
  return { name: name.trim(), quote: quote.trim(), said: true }
}

/** "a longer string" is "the length of the string", "hot water" "the temperature of the water"; undefined where a word says no quality. */
export function qualityCard(phrase: string): string | undefined {
  const [first = '', ...rest] = phrase.replace(ARTICLE, '').split(/\s+/)
  const quality = qualityOf(first)
  if (!quality || rest.length === 0) return undefined
  const noun = rest.join(' ').replace(/ of the$/, '')
  if (quality === 'amount') return `the amount of ${noun}`
  return `the ${quality} of the ${noun}`
}

export function qualityOf(word: string): string | undefined {
  const small = word.toLowerCase()
  if (/^(?:more|less)$/.test(small)) return 'amount'
  const comparing = COMPARING.get(small)
  return (
    QUALITY_OF.get(small) ??
    (comparing && comparing.quality !== 'rank' && comparing.quality !== 'speed'
      ? QUALITY_OF.get(small.replace(/er$/, ''))
      : undefined)
  )
}

/** A noun ends before a verb, a little word or a comparing one. */
export function endsNoun(word: string): boolean {
  const small = word.toLowerCase()
  return VERBS.has(small) || PREPOSITIONS.has(small) || COMPARING.has(small) || small === 'or'
}
