const SMALL_WORDS = new Set(
  'the a an of in on at to is it its and or how what which why do does did will would can we you they this that with for from if when so be are was our each per kind kinds sort type much many long far high'.split(
    ' ',
  ),
)

/**
 * Main words without their endings, so that "papers" finds "paper".
 * @example mainWords('the kinds of papers') // => ['paper']
 */
export function mainWords(text: string): string[] {
  const words = text.toLowerCase().match(/[\p{L}]{3,}/gu) ?? []
  return [...new Set(words.filter((word) => !SMALL_WORDS.has(word)).map(withoutEnding))]
}

/** `withoutEnding('strips') // 'strip'`, and `withoutEnding('string') // 'string'`: no word is left without a vowel. */
export function withoutEnding(word: string): string {
  const bare = word.replace(/(?:ies|es|s|ing|ed|er|est)$/, '')
  return /[aeiouy]/.test(bare) ? bare : word
}

/** Is a word, in the plural or not, one of the main words of a name. `isWordOf('papers', 'the kind of paper') // true` */
export function isWordOf(word: string, name: string): boolean {
  const bare = (one: string) => withoutEnding(one).replace(/e$/, '')
  const words = mainWords(name).map((one) => one.replace(/e$/, ''))
  return words.includes(bare(word)) || words.includes(bare(word.replace(/s$/, '')))
}

/** Do the main words of a card's name all stand in a text. `isNamed('the width of the strip', 'how wide the strip, its width') // true` */
export function isNamed(name: string, text: string): boolean {
  const wanted = mainWords(name)
  const said = mainWords(text)
  return wanted.length > 0 && wanted.every((word) => said.includes(word))
}
