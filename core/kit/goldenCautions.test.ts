import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { cautionsInWords, type Caution } from '.'

interface Judged {
  text: string
  must: Caution[]
  mustNot: Caution[]
}

describe.each([
  ['by others', 'test/golden/cautions.json'],
  ['by ourselves', 'test/ourCautions.json'],
])('cautions judged %s', (_, path) => {
  const all = (JSON.parse(readFileSync(path, 'utf8')) as Judged[]).map((one) => ({ ...one, found: cautionsInWords(one.text) }))

  it('has every one that there must be', () => {
    const missing = all.filter(({ must, found }) => !must.every((caution) => found.includes(caution)))
    console.log(`${all.length - missing.length} of ${all.length} have all that they must`)
    expect(missing).toEqual([])
  })

  it('has at most one in twenty that there must not be', () => {
    const barred = all.filter(({ mustNot }) => mustNot.length > 0)
    const mistaken = barred.filter(({ mustNot, found }) => mustNot.some((caution) => found.includes(caution)))
    console.log(`${mistaken.length} false of ${barred.length}`)
    expect(mistaken.length, JSON.stringify(mistaken)).toBeLessThanOrEqual(barred.length / 20)
  })
})

/** Harmless things, each with a word that takes something away from what it stands right before. */
const BESIDE = [
  'plastic cup',
  'plastic',
  'LED torch card',
  'cold flannel',
  'paper towel',
  'cardboard',
  'empty crate',
  'toy car',
  'picture of a boat',
  'red wool',
]

it('what lies beside a thing takes nothing away from it, whatever joins the two', () => {
  const judged = ['test/golden/cautions.json', 'test/ourCautions.json'].flatMap(
    (path) => JSON.parse(readFileSync(path, 'utf8')) as Judged[],
  )
  const lost = judged.flatMap(({ text, must }) =>
    BESIDE.flatMap((beside) =>
      [
        `${beside}, ${text}`,
        `${beside} and ${text}`,
        `${beside} with ${text}`,
        `${text}; ${beside}`,
        `${text} and ${beside}`,
      ].filter((both) => !must.every((caution) => cautionsInWords(both).includes(caution))),
    ),
  )
  expect(lost).toEqual([])
})
