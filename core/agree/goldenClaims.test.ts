import { readFileSync } from 'node:fs'
import { measuredSo } from '../../test/measuredSo'
import { describe, expect, it } from 'vitest'
import { counter, emptyRecord, reading } from '../../test/soakUp'
import { evidenceOf } from '../evidence'
import { emptyPlan, type Group, type LessonRecord, type Plan } from '../lesson'
import { newMeasure, type Best } from '../test'
import type { UnitCode } from '../quantity'
import { doubtsOfConclusion } from '.'

interface Fixture {
  change: string
  measure: string
  unit: UnitCode
  mark: number
  conditions: string[]
  differenceThatMatters?: number
  best: Best
  keptTheSame: Record<string, string>
  exceptions?: Record<string, Record<string, string>>
  readings: { group: string; condition: string; value: number }[]
}
interface Judged {
  fixture: string
  text: string
  flags: string[]
}
const read = (path: string) => JSON.parse(readFileSync(path, 'utf8')) as { fixtures: Record<string, Fixture>; sentences: Judged[] }
const { fixtures, sentences } = read('test/golden/claims.json')
/** Others of the same lessons, judged before the reader saw them. */
const ours = read('test/ourClaims.json').sentences

/** A lesson of a fixture: its ids are its names. */
function lessonOf(fixture: Fixture): { plan: Plan; record: LessonRecord } {
  const begun = emptyPlan('Puffin', 24, counter('g'))
  const groups = [...new Set(fixture.readings.map(({ group }) => group))]
  const numbers = fixture.conditions.every((name) => /^\d/.test(name))
  const repeats = fixture.readings.filter(
    ({ group, condition }) => group === groups[0] && condition === fixture.conditions[0],
  ).length
  const plan: Plan = {
    ...begun,
    repeats,
    gapsStay: true,
    groups: groups.map((id): Group => ({ ...begun.groups[0]!, id, name: id })),
    factors: [
      { id: 'changed', name: fixture.change, how: '', exceptions: {}, comesWith: false },
      ...Object.entries(fixture.keptTheSame).map(([name, how]) => ({
        id: name,
        name,
        comesWith: false,
        how,
        exceptions: fixture.exceptions?.[name] ?? {},
      })),
    ],
    changed: 'changed',
    conditionsAs: numbers ? 'numbers' : 'kinds',
    conditionUnit: 'cm',
    conditions: fixture.conditions.map((label) => ({ id: label, label, baseline: false, leftOut: false })),
    measures: [newMeasure('measured', fixture.measure)],
    measured: 'measured',
  }
  plan.measures = measuredSo(plan, {
    unit: fixture.unit,
    best: fixture.best,
    resolution: fixture.mark,
    differenceThatMatters: fixture.differenceThatMatters ?? 0,
  }).measures
  const nth = new Map<string, number>()
  const readings = fixture.readings.map(({ group, condition, value }) => {
    const cell = `${group} ${condition}`
    nth.set(cell, (nth.get(cell) ?? 0) + 1)
    return reading({ group, condition, value, unit: fixture.unit, entered: String(value), repeat: nth.get(cell)! })
  })
  return { plan, record: { ...emptyRecord, readings } }
}

/** Whatever a sentence leaves out is no fault of what it says. */
const LEFT_OUT = ['no-numbers', 'does-not-say-how-sure', 'cause-without-reason', 'unfinished']

describe.each([
  ['judged by others', sentences],
  ['judged by ourselves', ours],
])('sentences %s', (_, judged) => {
  const all = judged.map(({ fixture, text, flags }) => {
    const { plan, record } = lessonOf(fixtures[fixture]!)
    const doubts = doubtsOfConclusion(text, plan, evidenceOf(plan, record)!)
    const found = [...new Set(doubts.map(({ code }) => code as string))].filter((code) => !LEFT_OUT.includes(code)).sort()
    return { fixture, text, flags: [...flags].sort(), found }
  })
  const misread = all.filter(({ flags, found }) => flags.join() !== found.join())

  it('are read as the hand read them, in nine of ten', () => {
    console.log(`${all.length - misread.length} of ${all.length} sentences read as by hand`)
    expect(misread.length, JSON.stringify(misread, null, 2)).toBeLessThanOrEqual(all.length / 10)
  })

  it('are never called wrong where they are true', () => {
    expect(misread.filter(({ flags }) => flags.length === 0)).toEqual([])
  })
})
