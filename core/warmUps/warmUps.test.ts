import { describe, expect, it } from 'vitest'
import { soakUpPlan } from '../../test/ready'
import { seededRandom } from '../chance'
import { testOf, withMethod } from '../test'
import {
  drawFair,
  drawMoving,
  drawScale,
  drawWobble,
  hasParallax,
  judgeFair,
  judgeScale,
  LEVELS,
  movedTo,
  seenFrom,
  readingSkill,
  SCALE_KINDS,
  scaleOf,
  skillChange,
  withReadingSkill,
} from '.'

describe('scales', () => {
  it('have marks at 1, 2 or 5 in three sizes, and the large ones have numbers', () => {
    const ruler = scaleOf({ kind: 'ruler', unit: 'cm', from: 0, to: 30, step: 0.1 })
    const sizes = (size: string) => ruler.marks.filter((mark) => mark.size === size).map(({ value }) => value)
    expect(sizes('large')).toEqual(Array.from({ length: 31 }, (_, cm) => cm))
    expect(sizes('middle').slice(0, 2)).toEqual([0.5, 1.5])
    expect(ruler.marks.filter(({ label }) => label !== undefined)).toHaveLength(31)
    const fives = scaleOf({ kind: 'thermometer', unit: 'degC', from: -20, to: 100, step: 5 })
    expect(fives.marks.filter(({ size }) => size === 'large').map(({ value }) => value)).toEqual([0, 50, 100])
    const short = scaleOf({ kind: 'syringe', unit: 'mL', from: 0, to: 1, step: 0.1 })
    expect(short.marks.filter(({ label }) => label !== undefined).map(({ value }) => value)).toEqual([0, 0.5, 1])
  })

  it('are fresh for every child, within their range, and of the level that was asked for', () => {
    const random = seededRandom(9)
    for (const kind of SCALE_KINDS)
      for (const level of LEVELS) {
        const tasks = Array.from({ length: 40 }, () => drawScale(kind, level, random, { eyes: true }))
        expect(new Set(tasks.map(({ eye }) => eye)).size).toBe(hasParallax(kind) ? 3 : 1)
        expect(new Set(tasks.map(({ value, scale }) => `${value}/${scale.step}/${scale.from}`)).size).toBeGreaterThan(8)
        for (const { scale, value } of tasks) {
          expect(value).toBeGreaterThan(scale.from)
          expect(value).toBeLessThan(scale.to)
          const mark = scale.marks.find((one) => Math.abs(one.value - value) < scale.step / 10)
          expect(mark !== undefined).toBe(level !== 'between')
          if (level === 'numbers') expect(mark!.label).toBe(value)
        }
      }
  })

  it('an eye that is too high or too low reads the wrong mark, one that is level the right one', () => {
    const task = { scale: scaleOf({ kind: 'thermometer', unit: 'degC', from: 0, to: 50, step: 1 }), value: 21 }
    expect([seenFrom(task, 'above'), seenFrom(task, 'level'), seenFrom(task, 'below')]).toEqual([23, 21, 19])
    expect(judgeScale(task, 21.4)).toEqual({ right: true, error: 0.4 })
    expect(judgeScale(task, 19)).toEqual({ right: false, error: -2 })
  })
})

describe('what the class’s tries teach', () => {
  it('is its own wobble in marks, with slips left out, and goes into the plan in the instrument’s unit', () => {
    expect(readingSkill([0, 1, 0])).toBeUndefined()
    const skill = readingSkill([0, 0, 1, -1, 0, 0.5, -0.5, 0, 0, 20])!
    expect(skill.slips).toBeCloseTo(0.1, 9)
    expect(skill.wobble).toBeCloseTo(0.559, 3)
    const method = testOf(soakUpPlan()).method!
    expect(withReadingSkill({ ...method, resolution: 2 }, skill).readingWobble).toBeCloseTo(1.12, 2)
  })

  it('is told with what it changes, and not where nothing is read from marks or where it stands in the plan already', () => {
    const skill = { tries: 20, wobble: 40, slips: 0 }
    const change = skillChange(soakUpPlan(), skill)!
    expect(change).toEqual({ foreseen: true, before: 2, after: 4 })
    const taken = withMethod(soakUpPlan(), (method) => withReadingSkill(method, skill))
    expect(skillChange(taken, skill)).toBeUndefined()
    for (const none of [{ readingWobble: 0 }, { unit: 's' as const }, { unit: 'count' as const }, { way: 'words' as const }])
      expect(
        skillChange(
          withMethod(soakUpPlan(), (method) => ({ ...method, ...none })),
          skill,
        ),
        JSON.stringify(none),
      ).toBeUndefined()
    const unsaid = withMethod(soakUpPlan(), (method) => ({ ...method, expected: {}, expectedLow: null, expectedHigh: null }))
    expect(skillChange(unsaid, skill)).toEqual({ foreseen: false, before: undefined, after: undefined })
  })
})

describe('puzzles', () => {
  it('is it fair: exactly what differs is right, what was missed and what was pointed at wrongly is named', () => {
    const random = seededRandom(2)
    const puzzles = Array.from({ length: 60 }, () => drawFair(soakUpPlan(), random)!)
    const counts = puzzles.map(({ factors }) => factors.filter(({ differs }) => differs).length)
    expect(new Set(counts)).toEqual(new Set([0, 1, 2]))
    for (const puzzle of puzzles) {
      expect(puzzle.conditions[0]).not.toBe(puzzle.conditions[1])
      for (const { values, differs } of puzzle.factors) expect(values[0] !== values[1]).toBe(differs)
      const right = puzzle.factors.filter(({ differs }) => differs).map(({ id }) => id)
      expect(judgeFair(puzzle, right).right).toBe(true)
      const all = judgeFair(
        puzzle,
        puzzle.factors.map(({ id }) => id),
      )
      expect(all.wrongly).toHaveLength(puzzle.factors.length - right.length)
    }
    expect(drawFair({ ...soakUpPlan(), conditions: [] }, random)).toBeUndefined()
  })

  it('real or wobble: half come out of one hat, and their averages differ all the same', () => {
    const random = seededRandom(4)
    const puzzles = Array.from({ length: 400 }, () => drawWobble(random))
    const same = puzzles.filter(({ difference }) => difference === 0)
    expect(same.length / puzzles.length).toBeGreaterThan(0.4)
    expect(same.length / puzzles.length).toBeLessThan(0.6)
    const middle = (heap: number[]) => heap.reduce((sum, value) => sum + value, 0) / heap.length
    expect(same.some(({ heaps: [a, b] }) => Math.abs(middle(a) - middle(b)) > 5)).toBe(true)
  })

  it('what moves turns back at the edge and never leaves the field', () => {
    const random = seededRandom(6)
    for (const one of Array.from({ length: 20 }, () => drawMoving(random)).flat())
      for (const seconds of [0, 1, 7.3, 60]) {
        const { x, y } = movedTo(one, seconds)
        expect(x >= 0 && x <= 100 && y >= 0 && y <= 60).toBe(true)
      }
  })
})
