import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { counter, emptyRecord, reading } from '../../test/soakUp'
import { evidenceOf, gradeBetween, type Evidence } from '../evidence'
import { emptyPlan, type LessonRecord, type Plan } from '../lesson'
import { newMeasure } from '../test'
import { isChecked, readConclusion } from '.'

const NAMES = ['sawdust', 'woodchip', 'gravel', 'clay pebbles', 'moss']

interface Lesson {
  plan: Plan
  record: LessonRecord
  evidence: Evidence
}

/** Three to five soils in which cress grows: six groups, three readings each, so far apart that some pairs are clear and some are not. */
const anyLesson = fc
  .record({
    heights: fc.uniqueArray(fc.integer({ min: 12, max: 90 }), { minLength: 3, maxLength: 5 }),
    wobbles: fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 90, maxLength: 90 }),
    wide: fc.constantFrom(1, 4, 12),
    best: fc.constantFrom('most', 'least', 'none' as const),
  })
  .map(({ heights, wobbles, wide, best }): Lesson => {
    const begun = emptyPlan('Heron', 24, counter('g'))
    const conditions = heights.map((_, place) => ({ id: `c${place}`, label: NAMES[place]!, baseline: false, leftOut: false }))
    let plan: Plan = {
      ...begun,
      ...{
        repeats: 3,
        gapsStay: true,
        groups: begun.groups.slice(0, 6),
        conditions,
        conditionsAs: 'kinds',
        changed: 'soil',
        measured: 'tall',
      },
      factors: [
        { id: 'soil', name: 'the soil', how: '', exceptions: {}, comesWith: false },
        { id: 'jug', name: 'the jug', how: 'the same jug', exceptions: {}, comesWith: false },
      ],
      measures: [newMeasure('tall', 'how tall the cress is')],
    }
    plan = { ...plan, measures: measuredSo(plan, { unit: 'mm', resolution: 1, best, differenceThatMatters: 0 }).measures }
    const readings = plan.groups.flatMap(({ id: group }, g) =>
      conditions.flatMap(({ id: condition }, c) =>
        [1, 2, 3].map((repeat) => {
          const value = Math.max(1, Math.round(heights[c]! + wide * wobbles[(g * 15 + c * 3 + repeat) % 90]!))
          return reading({ group, condition, repeat, value, unit: 'mm', entered: String(value) })
        }),
      ),
    )
    const record = { ...emptyRecord, readings }
    return { plan, record, evidence: evidenceOf(plan, record)! }
  })

const nameOf = (id: string) => NAMES[Number(id.slice(1))]!
const averageOf = ({ evidence }: Lesson, id: string) => evidence.summaries.find(({ condition }) => condition === id)!.evened
const said = (value: number) => value.toFixed(1)

interface Sentence {
  text: string
  /** What the table says of it. */
  isTrue: boolean
}

/** Sentences that are true of a lesson, and the same the other way round; only pairs that are clear or told apart are spoken of surely. */
function sentencesOf(lesson: Lesson): Sentence[] {
  const { evidence } = lesson
  const order = evidence.order
  const [first, last] = [order[0]!, order.at(-1)!]
  const clear = (a: string, b: string) => gradeBetween(evidence, a, b) === 'clear'
  const figures = order.flatMap((id): Sentence[] => {
    const average = averageOf(lesson, id)
    return [
      { text: `On average ${nameOf(id)} came to ${said(average)} mm.`, isTrue: true },
      { text: `The cress in ${nameOf(id)} was ${said(average)} mm tall on average.`, isTrue: true },
      { text: `On average ${nameOf(id)} came to ${said(average + 31)} mm.`, isTrue: false },
    ]
  })
  const pairs = order.flatMap((more, at) =>
    order.slice(at + 1).flatMap((less): Sentence[] => {
      if (!clear(more, less)) return []
      const gap = averageOf(lesson, more) - averageOf(lesson, less)
      const other = gap + 40
      return [
        { text: `The cress in ${nameOf(more)} was taller than in ${nameOf(less)}.`, isTrue: true },
        { text: `The cress in ${nameOf(less)} was taller than in ${nameOf(more)}.`, isTrue: false },
        { text: `The cress in ${nameOf(less)} was shorter than in ${nameOf(more)}.`, isTrue: true },
        { text: `${nameOf(less)} did not grow as high as ${nameOf(more)}.`, isTrue: true },
        { text: `${nameOf(more)} did not grow as high as ${nameOf(less)}.`, isTrue: false },
        { text: `${nameOf(less)} was not taller than ${nameOf(more)}.`, isTrue: true },
        { text: `${nameOf(more)} and ${nameOf(less)} grew the same.`, isTrue: false },
        { text: `The cress in ${nameOf(more)} was ${said(gap)} mm taller than in ${nameOf(less)}.`, isTrue: true },
        { text: `The cress in ${nameOf(more)} was ${said(other)} mm taller than in ${nameOf(less)}.`, isTrue: false },
        { text: `The difference between ${nameOf(more)} and ${nameOf(less)} was ${said(gap)} mm.`, isTrue: true },
        { text: `The difference between ${nameOf(more)} and ${nameOf(less)} was ${said(other)} mm.`, isTrue: false },
        {
          text: `${nameOf(more)} grew ten times as high as ${nameOf(less)}.`,
          isTrue: averageOf(lesson, more) / averageOf(lesson, less) > 9,
        },
      ]
    }),
  )
  const [third] = order.slice(2)
  const both: Sentence[] =
    third !== undefined && clear(first, third) && clear(order[1]!, third)
      ? [
          { text: `${nameOf(first)} and ${nameOf(order[1]!)} were both taller than ${nameOf(third)}.`, isTrue: true },
          { text: `${nameOf(third)} and ${nameOf(first)} were both taller than ${nameOf(order[1]!)}.`, isTrue: false },
        ]
      : []
  const ends: Sentence[] = clear(first, order[1]!)
    ? [
        { text: `${nameOf(first)} was highest.`, isTrue: true },
        { text: `${nameOf(last)} was highest.`, isTrue: false },
        { text: `${nameOf(first)} was not highest.`, isTrue: false },
        {
          text: `${evidence.agreement!.agreeing.length} of 6 groups found ${nameOf(first)} highest.`,
          isTrue: evidence.agreement!.asked.length === 6,
        },
        { text: `${evidence.agreement!.agreeing.length - 1} of 6 groups found ${nameOf(first)} highest.`, isTrue: false },
        { text: `The soil really makes a difference.`, isTrue: true },
      ]
    : []
  const surer: Sentence[] =
    evidence.grade === 'cannot-tell' ? [{ text: 'It is clear that the soil changes how tall the cress is.', isTrue: false }] : []
  const beside: Sentence[] = [
    { text: `${nameOf(first)} is the strongest soil.`, isTrue: false },
    { text: `Every soil makes cress taller, always.`, isTrue: false },
    { text: `A bigger jug makes cress taller.`, isTrue: false },
    { text: `${nameOf(first)} was nice to touch.`, isTrue: false },
  ]
  return [...figures, ...pairs, ...both, ...ends, ...surer, ...beside]
}

/** What may be said against a true sentence: that something is left out. */
const REMINDERS = ['no-numbers', 'does-not-say-how-sure', 'cause-without-reason']

describe('of any table', () => {
  it('nothing false is ticked, and nothing true is called wrong', () => {
    const told = { ticked: 0, tickable: 0, flagged: 0, wrong: 0 }
    fc.assert(
      fc.property(anyLesson, (lesson) => {
        for (const { text, isTrue } of sentencesOf(lesson)) {
          const read = readConclusion(text, lesson.plan, lesson.evidence)
          const against = read.doubts.filter(({ code }) => !REMINDERS.includes(code)).map(({ code }) => code)
          const about = `${text} ${JSON.stringify(lesson.evidence.summaries.map(({ condition, evened }) => [nameOf(condition), evened]))}`
          if (!isTrue) {
            expect(isChecked(read), `ticked: ${about}`).toBe(false)
            told.wrong += 1
            if (against.length > 0) told.flagged += 1
          } else {
            expect(against, `called wrong: ${about}`).toEqual([])
            told.tickable += 1
            if (isChecked(read)) told.ticked += 1
          }
        }
      }),
      { numRuns: 50, seed: 35 },
    )
    console.log(`${told.ticked} of ${told.tickable} true ones ticked, ${told.flagged} of ${told.wrong} false ones flagged`)
    expect(told.ticked / told.tickable).toBeGreaterThan(0.85)
  })
})
