import { diff3Merge } from 'node-diff3'

/**
 * One text out of two that were made from the same one, word by word. Where both wrote in one place both stay, theirs first, unless
 * one has the other in it; nothing that either typed is lost.
 * @param base the text that both began from
 * @example mergeText('Tissue came first.', 'Tissue clearly came first.', 'Tissue came first, card last.')
 *   // 'Tissue clearly came first, card last.'
 */
export function mergeText(base: string, mine: string, theirs: string): string {
  if (mine === base || mine === theirs) return theirs
  if (theirs === base) return mine
  const regions = diff3Merge(words(mine), words(base), words(theirs))
  return regions.map(({ ok, conflict }) => ok?.join('') ?? bothOf(conflict!.a.join(''), conflict!.b.join(''))).join('')
}

/** Words and the spaces between them, each for itself. */
function words(text: string): string[] {
  return text.match(/\s+|\S+/g) ?? []
}

function bothOf(mine: string, theirs: string): string {
  if (mine.includes(theirs)) return mine
  if (theirs.includes(mine)) return theirs
  const joint = /\s$/.test(theirs) || /^\s/.test(mine) ? '' : ' '
  return theirs + joint + mine
}

/**
 * Where the caret belongs after a text was changed by somebody else: at the same words as before.
 * @example caretAfter('came first', 'Card came first', 4) // => 9
 */
export function caretAfter(before: string, after: string, caret: number): number {
  let same = 0
  while (same < before.length && before[same] === after[same]) same += 1
  if (caret <= same) return caret
  const shortest = Math.min(before.length, after.length) - same
  let end = 0
  while (end < shortest && before.at(-1 - end) === after.at(-1 - end)) end += 1
  return caret >= before.length - end ? after.length - (before.length - caret) : after.length - end
}
