import { expect, it } from 'vitest'
import { counter, reading, soakUpPlan } from '../../test/soakUp'
import { drawNormal, seededRandom } from '../chance'
import { heapsOf } from '../charts'
import { EMPTY_RECORD, withEachChild, type LessonRecord, type Plan } from '../lesson'
import { guessesInSum, ownGuesses } from '../predictions'
import { doubtsOfConclusion } from '../agree'
import { guessesWords, guessWords, heapSentences } from '../wording'
import { evidenceOf, oneHeap } from '.'

const plain = (text: string) => text.replaceAll(/[\u202F\u00A0]/g, ' ')
function classOf(children: number): Plan {
  const plan = { ...soakUpPlan(), children, repeats: 1, predictAs: 'number' as const }
  return withEachChild({ ...plan, conditions: plan.conditions.slice(0, 1) }, counter('c'), seededRandom(5))
}
function recordOf(plan: Plan, values: number[]): LessonRecord {
  const condition = plan.conditions[0]!.id
  const readings = values.map((value, place) => reading({ group: plan.groups[place]!.id, condition, repeat: 1, value, unit: 'mm' }))
  return { ...EMPTY_RECORD, readings }
}

it('the heap of a class: range, quarters, average, and where the average of another class would lie', () => {
  const plan = classOf(5)
  const heap = oneHeap(plan, recordOf(plan, [40, 44, 48, 52, 66]), plan.conditions[0]!.id)!
  expect(heap).toMatchObject({ count: 5, lowest: 40, highest: 66, quarters: [44, 48, 52], mean: 50 })
  // s = 10 (squares 100 + 36 + 4 + 4 + 256 = 400, over 4), t of 4 degrees of freedom 2.776.
  expect(heap.another).toBeCloseTo(2.776 * 10 * Math.sqrt(2 / 5), 2)
  expect(plain(heapSentences(plan, heap)[0]!)).toBe(
    'Half of us came to between 44.0 mm and 52.0 mm; the middle one of us had 48.0 mm.',
  )
})

it('another class lies where it is said to lie, 95 times in 100', () => {
  const random = seededRandom(11)
  const plan = classOf(26)
  const draw = () => Array.from({ length: 26 }, () => 50 + 8 * drawNormal(random))
  const average = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
  let inside = 0
  const CLASSES = 400
  for (let turn = 0; turn < CLASSES; turn += 1) {
    const heap = oneHeap(plan, recordOf(plan, draw()), plan.conditions[0]!.id)!
    if (Math.abs(average(draw()) - heap.mean) <= heap.another!) inside += 1
  }
  expect(inside / CLASSES).toBeGreaterThan(0.92)
  expect(inside / CLASSES).toBeLessThan(0.98)
})

it('one’s own guess beside one’s own result, and what the guesses were like', () => {
  const plan = classOf(3)
  const [a, b, c] = plan.groups.map(({ id }) => id)
  const condition = plan.conditions[0]!.id
  const said = (group: string, value: number) => ({
    ...{ id: `p-${group}`, group, as: 'number' as const, order: [condition], values: { [condition]: value } },
    ...{ reason: '', measure: null, late: false, by: 'desk' as const, at: '2026-03-12T10:00:00.000Z' },
  })
  const record = { ...recordOf(plan, [50, 52, 60]), predictions: [said(a!, 40), said(b!, 52), said(c!, 70)] }
  const guesses = ownGuesses(plan, record)
  expect(guesses.map((guess) => plain(guessWords(plan, guess)))).toEqual([
    'guessed 40 mm, found 50 mm: 10 mm more',
    'guessed 52 mm, found 52 mm: just so',
    'guessed 70 mm, found 60 mm: 10 mm less',
  ])
  expect(guessesInSum(plan, guesses)).toEqual({ all: 3, tooLittle: 1, tooMuch: 1, middleAway: 10 })
  expect(plain(guessesWords(plan, guessesInSum(plan, guesses)!))).toBe(
    'Of 3 guesses 1 was too little and 1 too much, 1 right to the mark. Half were no further off than 10 mm.',
  )
})

it('heaps of two conditions stand on the same steps and lose nobody', () => {
  const lists = [
    [12, 13, 13, 19],
    [15, 22, 22, 22, 30],
  ]
  const heaps = heapsOf(lists)
  expect(heaps[0]!.map(({ from }) => from)).toEqual(heaps[1]!.map(({ from }) => from))
  expect(heaps.map((bins) => bins.reduce((sum, { count }) => sum + count, 0))).toEqual([4, 5])
})

it('a class’s sentence about one thing may quote its readings, and no others', () => {
  const plan = classOf(5)
  const evidence = evidenceOf(plan, recordOf(plan, [40, 44, 48, 52, 66]))!
  const codes = (text: string) => doubtsOfConclusion(text, plan, evidence).map(({ code }) => code)
  expect(codes('Kitchen roll came to 50 mm on average, and most of us are sure of 44 mm to 52 mm.')).toEqual([])
  expect(codes('Kitchen roll came to 75 mm on average, we are sure.')).toEqual(['wrong-number'])
})
