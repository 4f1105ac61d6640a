import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { counter, emptyRecord, reading } from '../../test/soakUp'
import { evidenceOf } from '../evidence'
import { emptyPlan, type Group, type LessonRecord, type Plan } from '../lesson'
import { newMeasure, withKind, withMethod, withNamedMoments, type Best } from '../test'
import type { ResultUnit, UnitCode } from '../quantity'
import { isChecked, readConclusion } from '.'

interface Fixture {
  kind?: 'moments' | 'places'
  change: string
  measure: string
  unit: ResultUnit
  mark: number
  conditions: string[]
  conditionUnit?: UnitCode
  moments?: string[]
  places?: string[]
  differenceThatMatters?: number
  best: Best
  keptTheSame: Record<string, string>
  exceptions?: Record<string, Record<string, string>>
  readings: { group: string; condition: string; value: number; moment?: string; place?: string }[]
}
interface Judged {
  fixture: string
  text: string
  tick: boolean
  /** Any one of them will do; none: it may not be called wrong. */
  flags: string[]
}
const read = (path: string) => JSON.parse(readFileSync(path, 'utf8')) as { fixtures: Record<string, Fixture>; sentences: Judged[] }
const { fixtures, sentences } = read('test/golden/conclusions.json')
/** Others of the same lessons, judged before the reader saw them. */
const ours = read('test/ourConclusions.json').sentences

/** What was read in a lesson of our own: by condition, and by moment or place where it has some, a row for each group. */
type ByGroup = number[][]
interface OurLesson extends Omit<Fixture, 'readings'> {
  groups: Record<string, ByGroup | Record<string, ByGroup>>
}
/** Lessons of other words and units, with sentences of the same kind. */
const elsewhere = JSON.parse(readFileSync('test/ourLessons.json', 'utf8')) as {
  lessons: Record<string, OurLesson>
  sentences: Judged[]
}
for (const [name, { groups, ...rest }] of Object.entries(elsewhere.lessons))
  fixtures[name] = { ...rest, readings: Object.entries(groups).flatMap(([condition, of]) => readingsIn(condition, of, rest)) }

function readingsIn(
  condition: string,
  of: OurLesson['groups'][string],
  { moments, places }: Omit<OurLesson, 'groups'>,
): Fixture['readings'] {
  const parts: [string, ByGroup][] = Array.isArray(of) ? [['', of]] : Object.entries(of)
  return parts.flatMap(([part, byGroup]) =>
    byGroup.flatMap((values, place) =>
      values.map((value) => ({
        ...{ group: `G${place + 1}`, condition, value },
        ...(moments ? { moment: part } : places ? { place: part } : {}),
      })),
    ),
  )
}

/** A lesson of a fixture: its ids are its names. */
function lessonOf(fixture: Fixture): { plan: Plan; record: LessonRecord } {
  const begun = emptyPlan('Puffin', 24, counter('g'))
  const groups = [...new Set(fixture.readings.map(({ group }) => group))]
  const of = fixture.readings.filter(({ group, condition }) => group === groups[0] && condition === fixture.conditions[0])
  const repeats = of.length / (fixture.moments?.length ?? fixture.places?.length ?? 1)
  const kept = Object.entries(fixture.keptTheSame).map(([name, how]) => ({
    ...{ id: name, name, how, comesWith: false },
    exceptions: fixture.exceptions?.[name] ?? {},
  }))
  let plan: Plan = {
    ...begun,
    repeats,
    gapsStay: true,
    groups: groups.map((id): Group => ({ ...begun.groups[0]!, id, name: id })),
    factors: [{ id: 'changed', name: fixture.change || 'nothing', how: '', exceptions: {}, comesWith: false }, ...kept],
    changed: 'changed',
    conditionsAs: fixture.conditions.every((name) => /^\d/.test(name)) ? 'numbers' : 'kinds',
    conditionUnit: fixture.conditionUnit ?? 'cm',
    conditions: fixture.conditions.map((label) => ({ id: label, label, baseline: false, leftOut: false })),
    measures: [newMeasure('measured', fixture.measure)],
    measured: 'measured',
  }
  if (fixture.kind) plan = withKind(plan, 'over-time')
  if (fixture.moments)
    plan = withNamedMoments(
      plan,
      fixture.moments.map((name, place) => ({ id: `n${place + 1}`, name, atHome: false })),
    )
  if (fixture.places) plan = { ...plan, watch: { ...plan.watch, times: [0], places: fixture.places } }
  const { unit, best, mark: resolution, differenceThatMatters = 0 } = fixture
  plan = { ...plan, measures: measuredSo(plan, { unit: unit as UnitCode, best, resolution, differenceThatMatters }).measures }
  const nth = new Map<string, number>()
  const readings = fixture.readings.map(({ group, condition, value, moment, place }) => {
    const cell = `${group} ${condition} ${moment} ${place}`
    nth.set(cell, (nth.get(cell) ?? 0) + 1)
    const at = moment ? `n${fixture.moments!.indexOf(moment) + 1}` : place ? `t0p${fixture.places!.indexOf(place) + 1}` : ''
    return reading({ group, condition, value, moment: at, unit: unit as UnitCode, entered: String(value), repeat: nth.get(cell)! })
  })
  return { plan: withMethod(plan, (method) => ({ ...method, bySize: false })), record: { ...emptyRecord, readings } }
}

/** Whatever a sentence leaves out is no fault of what it says. */
const LEFT_OUT = ['no-numbers', 'does-not-say-how-sure', 'cause-without-reason', 'unfinished']

describe.each([
  ['judged by others', sentences],
  ['judged by ourselves', ours],
  ['of other lessons', elsewhere.sentences],
])('sentences %s', (_, judgedSo) => {
  const all = judgedSo.map((judged) => {
    const { plan, record } = lessonOf(fixtures[judged.fixture]!)
    const readOf = readConclusion(judged.text, plan, evidenceOf(plan, record)!)
    const found = [...new Set(readOf.doubts.map(({ code }) => code as string))].filter((code) => !LEFT_OUT.includes(code))
    return { ...judged, found, ticked: isChecked(readOf), unread: readOf.unread.map(({ from, to }) => judged.text.slice(from, to)) }
  })
  const isFlagged = ({ flags, found }: (typeof all)[number]) => flags.some((flag) => found.includes(flag))
  const [wrong, true_, tickable] = [
    all.filter(({ flags }) => flags.length > 0),
    all.filter(({ flags }) => flags.length === 0),
    all.filter(({ tick }) => tick),
  ]

  it('none is ticked that may not be', () => {
    expect(all.filter(({ tick, ticked }) => ticked && !tick)).toEqual([])
  })

  it('none is called wrong that is true, or that nobody can check', () => {
    expect(true_.filter(({ found }) => found.length > 0)).toEqual([])
  })

  it('false ones are flagged in nine of ten', () => {
    console.log(
      `${wrong.filter(isFlagged).length} of ${wrong.length} false ones flagged, ${tickable.filter(({ ticked }) => ticked).length} of ${tickable.length} true ones ticked`,
    )
    const missed = wrong.filter((one) => !isFlagged(one))
    expect(missed.length, JSON.stringify(missed, null, 2)).toBeLessThanOrEqual(wrong.length / 10)
  })

  it('true ones are ticked in 85 of 100', () => {
    const missed = tickable.filter(({ ticked }) => !ticked)
    expect(missed.length, JSON.stringify(missed, null, 2)).toBeLessThanOrEqual(tickable.length * 0.15)
  })
})

/** Words by which a figure may be far from every average, and what is said holds all the same. */
const BOUND = /\b(?:never|at least|at most|over|under|below|above|more than|less than|past|up to|not one|none|about|nearly|just)\b/
const OPPOSITES = ['highest lowest', 'most least', 'best worst', 'higher lower', 'warmest coldest', 'heaviest lightest'].flatMap(
  (pair) => {
    const [one, other] = pair.split(' ') as [string, string]
    return [
      [one, other],
      [other, one],
    ] as const
  },
)

it('what is ticked is not ticked with another figure, or with the contrary word', () => {
  const held = [...sentences, ...ours, ...elsewhere.sentences].flatMap(({ fixture, text, tick }) => {
    const { plan, record } = lessonOf(fixtures[fixture]!)
    const evidence = evidenceOf(plan, record)!
    if (!tick || evidence.grade !== 'clear' || !isChecked(readConclusion(text, plan, evidence))) return []
    const figures = BOUND.test(text) ? [] : [...text.matchAll(/(?<![\w.,/])\d+(?:\.\d+)?(?![\w/]|[.,]\d| \d\/)/g)]
    const changed = [
      ...figures.map(
        ({ 0: said, index }) => text.slice(0, index) + String(Math.round(Number(said) * 1.7 + 3)) + text.slice(index + said.length),
      ),
      ...OPPOSITES.flatMap(([one, other]) =>
        new RegExp(`(?<!\\bat )\\b${one}\\b`).test(text) ? [text.replace(new RegExp(`\\b${one}\\b`), other)] : [],
      ),
    ]
    return changed.map((altered) => ({ altered, ticked: isChecked(readConclusion(altered, plan, evidence)) }))
  })
  expect(held.length).toBeGreaterThan(500)
  expect(held.filter(({ ticked }) => ticked)).toEqual([])
})

it('what is ticked is not ticked with a word put in that nobody checked: another kind of what was tested, another way to what came out', () => {
  const held = [...sentences, ...ours, ...elsewhere.sentences].flatMap(({ fixture, text, tick }) => {
    const { plan, record } = lessonOf(fixtures[fixture]!)
    const evidence = evidenceOf(plan, record)!
    if (!tick || plan.conditionsAs === 'numbers' || plan.conditions.length === 1) return []
    if (!isChecked(readConclusion(text, plan, evidence))) return []
    const put = (word: string, place: number) => (place < 0 ? [] : [`${text.slice(0, place)}${word} ${text.slice(place)}`])
    // "Smallest small ones": the word is one of the names.
    const names = plan.conditions.map(({ label }) => label).filter((label) => !/^(?:small|medium)/i.test(label))
    const [figure] = text.matchAll(/(?<= )\d[\d.]* ?\p{L}*/gu)
    const changed = [
      ...names.flatMap((name) => {
        const place = text.toLowerCase().search(new RegExp(`(?<![\\p{L}-])${name.toLowerCase()}(?![\\p{L}-])`, 'u'))
        return ['bigger', 'smallest', 'spotted'].flatMap((word) => put(word, place))
      }),
      ...['twice', 'secretly'].flatMap((word) => put(word, figure?.index ?? -1)),
    ]
    return changed.map((altered) => ({ altered, ticked: isChecked(readConclusion(altered, plan, evidence)) }))
  })
  expect(held.length).toBeGreaterThan(500)
  expect(held.filter(({ ticked }) => ticked)).toEqual([])
})
