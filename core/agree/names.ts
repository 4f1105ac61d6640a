/**
 * A text as names are looked for in it: small letters, every kind of space the same, none between a number and its unit.
 * @example matchable('At 40\u202fcm, the Tissue') // => 'at 40cm, the tissue'
 */
export function matchable(text: string): string {
  return text
    .toLowerCase()
    .replace(/[\s\u00a0\u2009\u202f]+/g, ' ')
    .replace(/(\d) (?=[a-z°"'µ])/g, '$1')
}

/**
 * Where a name stands in a text, both made matchable: as a word of its own, in the plural, too.
 * @example placesOf('tissue', 'tissues beat the reissue of tissue') // => [0, 28]
 */
export function placesOf(name: string, text: string): number[] {
  if (name === '') return []
  const places: number[] = []
  for (let at = text.indexOf(name); at >= 0; at = text.indexOf(name, at + 1)) {
    const before = text[at - 1] ?? ' '
    const after = text.slice(at + name.length)
    if (!isPartOfWord(before) && /^(?:e?s)?(?:[^a-z0-9]|$)/.test(after)) places.push(at)
  }
  return places
}

function isPartOfWord(letter: string): boolean {
  return /[a-z0-9]/.test(letter)
}
