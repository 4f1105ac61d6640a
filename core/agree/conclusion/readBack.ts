import type { ReadConclusion } from '../claims'
import type { Span } from './stretch'

/** A piece of a text: found in the table, asked about, not understood, or neither. */
export interface Piece {
  text: string
  mark: 'right' | 'doubt' | 'unread' | undefined
}

/**
 * A text in pieces, with what is right and what is asked about where it stands; what is asked about goes first.
 * @example readBack('Card is best.', { doubts: [], right: [{ from: 0, to: 4 }] })[0] // => { text: 'Card', mark: 'right' }
 */
export function readBack(
  text: string,
  { doubts, right, unread = [] }: Pick<ReadConclusion, 'right'> & { doubts: { at: Span[] }[]; unread?: Span[] },
): Piece[] {
  const asked = doubts.flatMap(({ at }) => at)
  const markAt = (place: number): Piece['mark'] => {
    const has = (spans: Span[]) => spans.some(({ from, to }) => place >= from && place < to)
    if (has(asked)) return 'doubt'
    return has(right) ? 'right' : has(unread) ? 'unread' : undefined
  }
  const pieces: Piece[] = []
  for (let place = 0; place < text.length; place += 1) {
    const mark = markAt(place)
    const last = pieces.at(-1)
    if (last && last.mark === mark) last.text += text[place]!
    else pieces.push({ text: text[place]!, mark })
  }
  return pieces
}
