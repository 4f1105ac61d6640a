import { measuredSo } from '../../test/measuredSo'
import { expect, it } from 'vitest'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { counter } from '../../test/ready'
import { type Plan } from '../lesson'
import { madeUpClass, rehearse, type Rehearsal } from '../rehearsal'
import { planFrom } from '../test'
import { assumedLines, ofHundred, rehearsalLines, rehearsalSentence, rehearsedGrades, triedWords, rehearsalNeeds } from '.'

const plan: Plan = {
  ...planFrom(INVESTIGATIONS['soak-up-strips']!, 'Puffin', 26, counter('g')),
  clock: { ...INVESTIGATIONS['soak-up-strips']!.plan.clock, start: '10:30' },
}
const found: Rehearsal = {
  classes: 1000,
  from: 'bench',
  grades: { clear: 0.84, leaning: 0.1, 'cannot-tell': 0.06 },
  wrong: 0.01,
  level: false,
  ends: { half: 54, nineInTen: 61, until: 55, all: Float64Array.of(54, 61) },
  short: { share: 0.2, trials: 2.6 },
  slips: { made: 2.1, asked: 1.9, left: 0.3 },
  runOut: [{ material: 'tissue-strips', share: 0.004 }],
}

it('a rehearsal is said in one sentence, and what is rare is neither hidden nor rounded up', () => {
  expect(rehearsalSentence(found)).toBe('In 83 of 100 classes like yours this comes out clear, in 1 of 100 with the wrong winner.')
  expect(rehearsalSentence({ ...found, from: 'guess', wrong: 0 })).toBe(
    'In 84 of 100 classes like yours, if your guess is right, this comes out clear.',
  )
  expect(rehearsalSentence({ ...found, level: true, grades: { same: 0.9, clear: 0.003 } })).toBe(
    'Nothing differs here. In 90 of 100 classes like yours the class can say so, in fewer than 1 of 100 it is fooled and finds a winner.',
  )
  expect([ofHundred(0.999), ofHundred(1), ofHundred(0)]).toEqual(['nearly all', '100 of 100', '0 of 100'])
  expect(rehearsedGrades(found).map(({ grade, words }) => `${grade} ${words}`)).toEqual([
    'clear 83 of 100',
    'leaning 10 of 100',
    'can’t tell yet 6 of 100',
    'clear, but wrong 1 of 100',
  ])
})

it('says when testing ends, what is missing then, which slips are met and what runs out', () => {
  expect(rehearsalLines(plan, found)).toEqual([
    'Testing ends at 11:24 in half of them, and by 11:31 in nine of ten. For the rest of the lesson it should end at 11:25.',
    'In 20 of 100 some group runs out of time: 3 trials missing then.',
    'About 2 slips in a class, 0.3 of them stay.',
    'Spares run out in fewer than 1 of 100, because trials fail: strips of tissue, 2 x 12 cm.',
  ])
  expect(rehearsalLines(plan, { ...found, ends: undefined, runOut: [] })).toHaveLength(1)
  expect(assumedLines(plan, 'guess')[0]).toContain('lowest and the highest that you expect')
  const sorts = measuredSo(plan, { way: 'sorts' })
  expect(assumedLines(sorts, 'guess').join(' ')).toMatch(/^Of each condition 70 in 100 trials give the word(?!.*slip)/)
  expect([rehearsalNeeds(plan), rehearsalNeeds(sorts)]).toEqual([
    expect.stringContaining('the lowest and the highest result'),
    expect.stringContaining('which word'),
  ])
})

it('a change is named as its button elsewhere, with what it brings and what it costs', () => {
  const way = { code: 'more-repeats', repeats: 4, chance: 0, minutes: 0 } as const
  expect(triedWords(plan, { change: { from: 'adviser', way }, before: 0.6, after: 0.83, minutes: 7, cost: 2.4 }, 'GBP')).toEqual({
    label: 'Do 4 repeats',
    effect: '83 of 100 come out as they should, instead of 60 of 100',
    price: '7 minutes longer, £2.40 more to buy',
  })
})

it('a made-up class is the same wherever it is drawn, has what each group thought before, and never looks like a real row', () => {
  const [here, there] = [1, 1].map(() => madeUpClass(plan, 7, '2026-03-12T10:30:00.000Z')!)
  expect(here).toEqual(there)
  expect(madeUpClass(plan, 8, '2026-03-12T10:30:00.000Z')!.record.readings[0]).not.toEqual(here!.record.readings[0])
  expect(here!.record.predictions.every(({ at }) => at < here!.record.readings[0]!.at)).toBe(true)
  expect([...here!.record.readings, ...here!.record.predictions].every(({ id }) => id.startsWith('made-up-'))).toBe(true)
  expect(rehearse({ ...plan, measures: [] }, 1)).toBeUndefined()
})
