import { COMPARING, unitOf, type UnitCode } from '../quantity'
import type { Best } from '../test'

/** "Which … highest": the end that a question asks for, in the unit that it is read in; undefined where it asks for none. */
export function bestIn(text: string, unit: UnitCode | undefined): Best | undefined {
  const words = text.toLowerCase().match(/\p{L}+/gu) ?? []
  const asks = /\b(?:which|what|who|best)\b/i.test(text)
  const found = asks
    ? words.map((word) => COMPARING.get(word)).find((word) => word?.superlative && word.quality !== 'rank')
    : undefined
  if (!found) return undefined
  const ofTime = unit !== undefined && unitOf(unit).dimension === 'time'
  // The fastest has the least seconds.
  const turned = found.quality === 'speed' && ofTime
  return (found.side === 'more') === !turned ? 'most' : 'least'
}
