import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { counter } from '../../test/soakUp'
import { emptyPlan, newRemark } from '../lesson'
import { nearestQuestion } from '../wording'
import { testableOf } from '.'

interface Judged {
  text: string
  change: boolean
  measure: boolean
}
const read = (path: string) => JSON.parse(readFileSync(path, 'utf8')) as Judged[]

const empty = emptyPlan('Puffin', 26, counter('g'))

/** On an empty plan: does it say something to change, something to measure or rank. Where the rules are unsure they ask, which is not a yes. */
describe.each([
  ['by others', 'test/golden/wonderings.json'],
  ['by ourselves', 'test/ourWonderings.json'],
])('wonderings judged %s', (_, path) => {
  it.each(['change', 'measure'] as const)('are read as the hand read them in nine of ten: %s', (check) => {
    const all = read(path)
    const misread = all.filter((one) => {
      const { answers } = testableOf(empty, newRemark('w', one.text))
      return (answers.find((answer) => answer.check === check)!.answer === 'yes') !== one[check]
    })
    console.log(`${check}: ${all.length - misread.length} of ${all.length} as by hand`)
    expect(misread.length, misread.map(({ text }) => text).join('\n')).toBeLessThanOrEqual(all.length / 10)
  })

  it('lead to a question that can be read', () => {
    const questions = read(path).map(({ text }) => nearestQuestion(testableOf(empty, newRemark('w', text))))
    expect(
      questions.filter(
        (one) =>
          one !== '' &&
          !/^(?:How does (?!how |we |you |it |if |what |in |do |does )[a-z…]|Does (?:how|which|what|whether) )[^?]* change [^?]+\?$/.test(
            one,
          ),
      ),
    ).toEqual([])
    expect(questions.filter((one) => one !== '').length).toBeGreaterThan(questions.length / 2)
  })
})
