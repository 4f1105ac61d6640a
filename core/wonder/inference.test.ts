import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { newRemark, NOTHING_SAID } from '../lesson'
import { doubtfulRemarks, inferenceWords } from '.'

describe('inferenceWords', () => {
  it.each([
    ['it must be thirsty because it is dry', ['must be', 'because']],
    ['The paper wants to drink', ['wants to']],
    ["That's why it is wet", ["that's why"]],
    ['That is a pipe', ['that is a']],
    ['I think it climbs', ['i think']],
  ])('hears the guess in “%s”', (text, words) => expect(inferenceWords(text)).toEqual(words))

  it.each([
    'the water climbs up by itself',
    'the edge is wavy',
    'it gets slower after a while',
    'it smells like a wet dog',
    'the mustard is yellow',
    '',
  ])('lets “%s” pass', (text) => expect(inferenceWords(text)).toEqual([]))
})

it('asks about Noticed only, and not again once it was kept', () => {
  const guess = newRemark('a', 'it is wet because of the jug')
  const plan = soakUpPlan({
    wonder: { ...NOTHING_SAID, noticed: [guess, { ...guess, id: 'b', kept: true }], maybe: [{ ...guess, id: 'c' }] },
  })
  expect(doubtfulRemarks(plan).map(({ remark }) => remark.id)).toEqual(['a'])
})
