import type { Quality } from '../../quantity'
import { QUALITY_NAMES } from './lexicon'

/** Letters stay where they are, so that every place found is a place of the text. */
export function plainly(text: string): string {
  return text
    .replace(/[A-Z]/g, (letter) => letter.toLowerCase())
    .replace(/[\s\u00a0\u2009\u202f]/g, ' ')
    .replace(/[\u2019]/g, "'")
}

/** A text as a pattern finds it. */
export function escaped(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&')
}

/** Does a card of the plan speak of this quality: by its name, or by the unit of what is measured. */
export function isAbout(name: string, quality: Quality): boolean {
  const said = plainly(name).split(/[^\p{L}]+/u)
  return QUALITY_NAMES[quality].some((word) => said.includes(word))
}
