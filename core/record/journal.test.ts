import { visitedConditions } from '../arrangement'
import { describe, expect, it } from 'vitest'
import { emptyRecord, reading, soakUpPlan } from '../../test/soakUp'
import { FIRST_WATCH, USUAL_BOARD, type LessonEvent, type LessonRecord, type Observation, type Plan } from '../lesson'
import { withKind } from '../test'
import { journalGroup, journalWords } from '../wording'
import { filteredJournal, journalOf, missedReadings, nextTrial, progressOf, readersAgree, readTogether } from '.'

const plan = soakUpPlan()
const at = (minute: number, second = 0) =>
  `2026-03-12T10:${String(minute).padStart(2, '0')}:${String(second).padStart(2, '0')}.000Z`

describe('the journal', () => {
  const first = reading({ at: at(10), condition: 'tissue', value: 6.1, entered: '6,1' })
  const seen: Observation = {
    id: 'o',
    group: 'g2',
    condition: 'card',
    repeat: null,
    kind: 'sketch',
    text: 'it curls',
    picture: 'p',
    by: 'station',
    at: at(11),
  }
  const record: LessonRecord = {
    ...emptyRecord,
    readings: [
      first,
      reading({ at: at(12), condition: 'tissue', value: 61, supersedes: first.id, reason: 'was written as 6,1', confirmed: true }),
      reading({ at: at(14), status: 'set-aside', reason: 'it leaked', group: 'g3' }),
    ],
    observations: [seen],
  }
  const others: { at: string; body: LessonEvent }[] = [
    { at: at(0), body: { kind: 'plan', revision: 2 } },
    { at: at(2), body: { kind: 'plan', revision: 3 } },
    { at: at(9), body: { kind: 'station', change: 'moved', station: 's', group: 'g1', to: 'g2' } },
    { at: at(13), body: { kind: 'board', board: { ...USUAL_BOARD, view: 'results', results: 'live' } } },
    // The class's sentence grows on the board: no line of its own.
    { at: at(15), body: { kind: 'board', board: { ...USUAL_BOARD, view: 'results', results: 'live', draft: 'We found' } } },
    { at: at(20), body: { kind: 'plan', revision: 4 } },
  ]
  const lines = journalOf(record, others)

  it('tells everything in the order of time, quick changes of the plan in one line', () => {
    expect(lines.map((line) => journalWords(plan, line).replaceAll(/\s/g, ' '))).toEqual([
      'the plan was changed, 2 times',
      'a station moved to Birch',
      'B tissue, repeat 1, its trial 2: 6.1 mm',
      'D card: it curls (sketch)',
      'B tissue, repeat 1, its trial 2: 61 mm, put right: was written as 6,1',
      'board: results, clock by the timetable, numbers shown, sound on',
      'A kitchen roll, repeat 1, its trial 4: 61 mm, set aside: it leaked',
      'the plan was changed',
    ])
  })

  it('is filtered by what happened and by group', () => {
    expect(filteredJournal(lines, { kind: 'reading', group: undefined })).toHaveLength(3)
    const ofCedar = filteredJournal(lines, { kind: undefined, group: 'g3' })
    expect(ofCedar.map((line) => journalGroup(plan, line))).toEqual(['Cedar'])
  })
})

describe('reading at the station', () => {
  it('one mark apart, two readers agree', () => {
    expect([readersAgree(61, 62, { resolution: 1 }), readersAgree(61, 63, { resolution: 1 })]).toEqual([true, false])
    expect(readersAgree(0.3, 0.2, { resolution: 0.1 })).toBe(true)
  })

  it('all open places of a jar are read together, at one time of one trial', () => {
    const jars: Plan = {
      ...withKind(plan, 'over-time'),
      watch: { ...FIRST_WATCH, times: [0, 5], places: ['top', 'middle', 'bottom'] },
    }
    const progress = progressOf(jars, [reading({ moment: 't0p2' })])[0]!
    expect(readTogether(jars, progress, nextTrial(jars, progress)!).map(({ moment }) => moment)).toEqual(['t0p1', 't0p3'])
  })

  it('in a circuit a group is asked for all trials of the station it is at, in the order of its rota', () => {
    const circuit: Plan = { ...plan, arrangement: { ...plan.arrangement, way: 'circuit' } }
    const progress = progressOf(circuit, [])[1]!
    const order = visitedConditions(circuit, progress.group)
    expect([...order].sort()).toEqual(circuit.conditions.map(({ id }) => id).sort())
    const readings = [1, 2].map((repeat) => reading({ group: progress.group, condition: order[0]!, repeat }))
    const after = (count: number) => nextTrial(circuit, progressOf(circuit, readings.slice(0, count))[1]!)
    expect([after(0), after(1), after(2)].map((cell) => [cell?.condition, cell?.repeat])).toEqual(
      [1, 2, 3].map((repeat) => [order[0], repeat]),
    )
    const done = [...readings, reading({ group: progress.group, condition: order[0]!, repeat: 3 })]
    expect(nextTrial(circuit, progressOf(circuit, done)[1]!)).toMatchObject({ condition: order[1], repeat: 1 })
    expect(nextTrial(plan, progressOf(plan, readings.slice(0, 1))[1]!)?.repeat).toBe(1)
  })

  it('a day that nobody read is missed and not asked for later', () => {
    const cress: Plan = { ...withKind(plan, 'over-time'), watch: { ...FIRST_WATCH, unit: 'day', times: [0, 2, 4] }, repeats: 1 }
    const progress = progressOf(
      cress,
      cress.conditions.map(({ id }) => reading({ condition: id, moment: 't0' })),
    )[0]!
    expect(nextTrial(cress, progress, 5)).toMatchObject({ moment: 't4' })
    expect(missedReadings(cress, progress, 5).map(({ moment }) => moment)).toEqual(cress.conditions.map(() => 't2'))
    expect(missedReadings(cress, progress, 3)).toEqual([])
    expect(missedReadings(cress, progress, undefined)).toEqual([])
  })
})
