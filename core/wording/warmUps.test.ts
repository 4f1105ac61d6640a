import { expect, it } from 'vitest'
import { scaleOf } from '../warmUps'
import { drawnAnswer, eyeLines, fairAnswer, fooledWords, scaleAnswer, scaleEntry, scaleQuestion, skillWords, wobbleAnswer } from '.'

/** Sentences with ordinary spaces. */
const plain = (text: string) => text.replace(/[\u00a0\u202f\u2009]/g, ' ')
const task = { scale: scaleOf({ kind: 'thermometer', unit: 'degC', from: 0, to: 50, step: 1 }), value: 21, eye: 'above' } as const

it('a try at a scale is answered with what it shows, and with the eye where that was it', () => {
  expect(scaleQuestion(task)).toBe('What does it show? Mind where the eye is.')
  expect(scaleEntry('21,5', 'degC')).toBe(21.5)
  expect(scaleEntry('warm', 'degC')).toBeUndefined()
  expect(plain(scaleAnswer(task, 21))).toBe('Right: 21 °C. One small mark is 1 °C.')
  expect(plain(scaleAnswer(task, 23))).toBe('The eye sees 23 °C, because it is not level. It shows 21 °C.')
  expect(plain(scaleAnswer(task, 12))).toBe('It shows 21 °C. One small mark is 1 °C.')
  expect(eyeLines(task).map(plain)).toContain('The eye is too low: it reads 19 °C.')
  const ruler = { scale: scaleOf({ kind: 'ruler', unit: 'cm', from: 0, to: 30, step: 0.1 }), value: 12.3, eye: 'below' } as const
  expect(eyeLines(ruler).map(plain)).toContain('The eye is too far left: it reads 12.1 cm.')
  expect(plain(scaleAnswer(ruler, 12.1))).toBe('The eye sees 12.1 cm, because it is not straight above. It shows 12.3 cm.')
  const cylinder = scaleOf({ kind: 'cylinder', unit: 'mL', from: 0, to: 250, step: 5 })
  expect(plain(drawnAnswer({ scale: cylinder, value: 217.5 }))).toBe('217.5 mL (one mark is 5 mL)')
})

it('puzzles are answered with what was missed, and a bet with what was behind it', () => {
  const factor = (id: string, differs: boolean) => ({
    id,
    name: id,
    values: ['a', differs ? 'b' : 'a'] as [string, string],
    differs,
  })
  const puzzle = { conditions: ['x', 'y'] as [string, string], factors: [factor('the water', true), factor('the width', false)] }
  expect(fairAnswer(puzzle, { right: true, missed: [], wrongly: [] })).toBe('Right: the water changed too, so it is not fair.')
  expect(fairAnswer(puzzle, { right: false, missed: ['the water'], wrongly: ['the width'] })).toBe(
    'Look again: the water changed too; the width stayed the same.',
  )
  expect(wobbleAnswer({ difference: 0 }, true)).toBe('Fooled. Both came out of one hat: only wobble.')
  expect(fooledWords(3, 10)).toMatch(/^Fooled 3 times out of 10\./)
})

it('the class’s own wobble is said with what it changes', () => {
  const skill = { tries: 23, wobble: 0.42, slips: 0 }
  expect(skillWords(skill, { foreseen: true, before: 3, after: 4 })).toBe(
    'With your wobble of 0.42 marks, from 23 tries: 4 repeats instead of 3.',
  )
  expect(skillWords(skill, { foreseen: true, before: 3, after: 3 })).toBe(
    'With your wobble of 0.42 marks, from 23 tries: 3 repeats, as before.',
  )
  expect(skillWords(skill, { foreseen: true, before: 3, after: undefined })).toContain('no number of repeats')
  expect(skillWords(skill, { foreseen: false, before: undefined, after: undefined })).toBe(
    'With your wobble of 0.42 marks, from 23 tries.',
  )
})
