/** Numbers as children write them, from one on. */
export const NUMBER_WORDS =
  'one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen twenty'.split(
    ' ',
  )

/** `numberOf('three') // 3`, and `numberOf('2.5') // 2.5` */
export function numberOf(said: string): number {
  const place = NUMBER_WORDS.indexOf(said)
  return place < 0 ? Number.parseFloat(said) : place + 1
}
