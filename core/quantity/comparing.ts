/** Which end of the table a word points to. */
export type Side = 'more' | 'less'

/** What a comparing word is about; `size` and `rank` fit every result, `speed` turns round where the result is a time. */
export type Quality =
  | 'size'
  | 'rank'
  | 'speed'
  | 'length'
  | 'distance'
  | 'height'
  | 'width'
  | 'depth'
  | 'weight'
  | 'warmth'
  | 'loudness'
  | 'strength'
  | 'light'
  | 'wetness'

export interface ComparingWord {
  word: string
  side: Side
  superlative: boolean
  quality: Quality
}

/** Quality, side, the comparing form, the highest form: one line a word. */
const FORMS = `
size more: more most, higher highest, bigger biggest, larger largest, greater greatest
size less: less least, fewer fewest, lower lowest, smaller smallest, littler littlest
rank more: better best
rank less: worse worst
speed more: faster fastest, quicker quickest, sooner soonest, speedier speediest, earlier earliest
speed less: slower slowest, later latest
length more: longer longest
length less: shorter shortest
distance more: further furthest, farther farthest
distance less: closer closest, nearer nearest
height more: taller tallest, steeper steepest
width more: wider widest, thicker thickest, broader broadest, fatter fattest
width less: narrower narrowest, thinner thinnest
depth more: deeper deepest
depth less: shallower shallowest
weight more: heavier heaviest
weight less: lighter lightest
warmth more: warmer warmest, hotter hottest
warmth less: colder coldest, cooler coolest
loudness more: louder loudest, noisier noisiest
loudness less: quieter quietest, softer softest
strength more: stronger strongest, tougher toughest
strength less: weaker weakest
light more: brighter brightest
light less: darker darkest, dimmer dimmest
wetness more: wetter wettest, damper dampest
wetness less: drier driest, dryer dryest
`

/** By its letters: every word that compares. */
export const COMPARING = new Map<string, ComparingWord>(
  FORMS.trim()
    .split('\n')
    .flatMap((line) => {
      const [head, words] = line.split(': ') as [string, string]
      const [quality, side] = head.split(' ') as [Quality, Side]
      return words
        .split(', ')
        .flatMap((pair) =>
          pair.split(' ').map((word, place): [string, ComparingWord] => [word, { word, side, superlative: place === 1, quality }]),
        )
    }),
)
