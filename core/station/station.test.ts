import { describe, expect, it } from 'vitest'
import { measuredSo } from '../../test/measuredSo'
import { reading, soakUpPlan } from '../../test/soakUp'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { EMPTY_RECORD, USUAL_BOARD, type LessonRecord, type Plan, type Reading } from '../lesson'
import { planFrom } from '../test'
import { nextTrial, progressOf, withEvents } from '../record'
import { foreseen, seesAfter, stationState, type StationWish } from '.'

const AT = '2026-03-12T10:00:00.000Z'
const NOTHING: StationWish = { doing: 'testing', skipped: { prediction: false, practice: false } }
const LATER: StationWish = { ...NOTHING, skipped: { prediction: true, practice: true } }
const state = (plan: Plan, record: LessonRecord, wish = NOTHING, today = '2026-03-12') =>
  stationState(plan, record, plan.groups[0]!.id, today, wish)!
const predicted = (plan: Plan): LessonRecord =>
  withEvents(
    EMPTY_RECORD,
    foreseen('prediction', { id: 'p', group: plan.groups[0]!.id, as: 'order', order: [], values: {}, reason: '' }, 'g1', AT),
  )

/** A group that does whatever its station shows, until it shows nothing more. */
function wholeLesson(plan: Plan, today: string): { shown: string[]; record: LessonRecord } {
  let record = predicted(plan)
  const shown: string[] = []
  for (let step = state(plan, record, NOTHING, today).step; step.show !== 'done'; step = state(plan, record, NOTHING, today).step) {
    shown.push(step.show)
    if (step.show === 'improve') {
      const said = { id: `i${shown.length}`, group: plan.groups[0]!.id, condition: step.condition, what: 'folded', why: '' }
      record = withEvents(record, foreseen('improvement', said, said.group, AT))
      continue
    }
    const cells = 'cells' in step ? step.cells : 'trial' in step ? [step.trial] : []
    if (cells.length === 0 || shown.length > 200) throw new Error(`It stays at ${step.show}`)
    const readings: Reading[] = cells.map(({ group, condition, repeat, moment, practice }, place) =>
      reading({ id: `${shown.length}-${place}`, group, condition, repeat, moment, practice, value: 3 }),
    )
    record = withEvents(
      record,
      readings.map((one) => ({ kind: 'reading', reading: one })),
    )
  }
  return { shown, record }
}

describe('what a station does next', () => {
  const plan = soakUpPlan({ practice: 1 })

  it('predicts first, then practises, then does the trials in the group’s own order', () => {
    expect(state(plan, EMPTY_RECORD).step.show).toBe('predict')
    const practice = state(plan, predicted(plan)).step
    expect(practice).toMatchObject({ show: 'trial', trial: { practice: true } })
    const begun = state(plan, predicted(plan), LATER)
    const progress = progressOf(plan, []).find(({ group }) => group === plan.groups[0]!.id)!
    expect(begun.step).toEqual({ show: 'trial', trial: nextTrial(plan, progress) })
  })

  it('a prediction can wait, and is not asked for any more once the group has a number that counts', () => {
    const trial = state(plan, EMPTY_RECORD, LATER)
    expect([trial.step.show, trial.begun]).toEqual(['trial', false])
    const counted = { ...EMPTY_RECORD, readings: [reading({ group: plan.groups[0]!.id })] }
    expect(state(plan, counted)).toMatchObject({ begun: true, step: { show: 'trial', trial: { practice: false } } })
  })

  it('goes through every trial once and is done', () => {
    const { shown, record } = wholeLesson(plan, '2026-03-12')
    const { progress } = state(plan, record)
    expect(progress.done).toBe(progress.all)
    expect(shown).toHaveLength(progress.all + plan.practice * plan.conditions.length)
    expect(shown.every((show) => show === 'trial')).toBe(true)
  })

  it('of every investigation that ships comes to an end, each trial asked for in the way it is read', () => {
    const ways = Object.keys(INVESTIGATIONS).map((id) => {
      let count = 0
      const own = planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, () => `id-${(count += 1)}`)
      return new Set(wholeLesson(own, '').shown)
    })
    expect(new Set(ways.flatMap((shown) => [...shown]))).toEqual(new Set(['trial', 'balance', 'order', 'improve']))
  })

  it('reads places of one time at one go, and puts runners in an order', () => {
    const watched = soakUpPlan({
      kind: 'over-time',
      practice: 0,
      watch: { ...plan.watch, times: [0, 2], places: ['top', 'bottom'] },
    })
    expect(new Set(wholeLesson(watched, '').shown)).toEqual(new Set(['places']))
    const { measures } = measuredSo(plan, { way: 'race' })
    expect(new Set(wholeLesson(soakUpPlan({ kind: 'order', measures, practice: 0 }), '').shown)).toEqual(new Set(['order']))
  })

  it('does what the group wants instead: says, observes its trial, offers a sentence, chooses or puts right a trial', () => {
    expect(state(plan, EMPTY_RECORD, { ...LATER, doing: 'saying' }).step.show).toBe('say')
    const observing = state(plan, EMPTY_RECORD, { ...LATER, doing: 'observing' }).step
    expect(observing).toEqual({ show: 'observe', condition: expect.any(String) })
    expect(state(plan, EMPTY_RECORD, { ...LATER, doing: 'proposing' }).step.show).toBe('propose')
    const wrong = reading({ group: plan.groups[0]!.id, condition: plan.conditions[2]!.id, repeat: 2 })
    const record = { ...EMPTY_RECORD, readings: [wrong] }
    expect(state(plan, record, { ...LATER, fixing: wrong }).step).toMatchObject({
      show: 'trial',
      trial: { condition: plan.conditions[2]!.id, repeat: 2 },
    })
  })

  it('is for saying only while there is nothing to measure, and for nobody when the group is gone', () => {
    expect(state(soakUpPlan({ measured: null }), EMPTY_RECORD)).toMatchObject({ testing: false, step: { show: 'say' } })
    expect(stationState(plan, EMPTY_RECORD, 'gone', '', NOTHING)).toBeUndefined()
  })
})

describe('what is shown before the server has it', () => {
  it('is a whole row of the station’s own group, of every kind', () => {
    const entries = [
      foreseen('reading', { readings: [{ id: 'a' }, { id: 'b' }] }, 'g1', AT),
      foreseen('prediction', { id: 'c' }, 'g1', AT),
      foreseen('conclusion', { id: 'd', from: null, text: 'It was the felt.' }, 'g1', AT),
      foreseen('remark', { id: 'e', list: 'noticed', text: 'it drips' }, 'g1', AT),
      foreseen('observation', { id: 'f' }, 'g1', AT),
    ].flat()
    expect(entries).toEqual([
      { kind: 'reading', reading: { id: 'a', group: 'g1', by: 'station', at: AT } },
      { kind: 'reading', reading: { id: 'b', group: 'g1', by: 'station', at: AT } },
      { kind: 'prediction', prediction: { id: 'c', group: 'g1', late: false, by: 'station', at: AT } },
      {
        kind: 'conclusion',
        conclusion: {
          id: 'd',
          group: 'g1',
          from: null,
          text: 'It was the felt.',
          hands: null,
          agreed: false,
          by: 'station',
          at: AT,
        },
      },
      { kind: 'remark', remark: { id: 'e', group: 'g1', list: 'noticed', text: 'it drips', at: AT } },
      { kind: 'observation', observation: { id: 'f', group: 'g1', by: 'station', at: AT } },
    ])
  })
})

describe('what a station may see once something has happened', () => {
  const sight = { station: 's1', group: 'g1', all: true, live: false, alone: false }
  const board = (results: 'live' | 'quiet') => ({ kind: 'board' as const, board: { ...USUAL_BOARD, results } })

  it('stays all while nobody has anything left to measure, whatever the board turns to', () => {
    expect(seesAfter(sight, board('quiet'))).toEqual(sight)
  })

  it('turns with the teacher’s show of numbers, both ways', () => {
    const shown = seesAfter({ ...sight, all: false }, board('live'))
    expect(shown).toMatchObject({ all: true, live: true })
    expect(seesAfter(shown, board('quiet'))).toMatchObject({ all: false, live: false })
  })

  it('follows its own move to another group, and nobody else’s', () => {
    const move = (station: string) => ({ kind: 'station' as const, station, group: 'g1', change: 'moved' as const, to: 'g2' })
    expect(seesAfter(sight, move('s1')).group).toBe('g2')
    expect(seesAfter(sight, move('s2')).group).toBe('g1')
  })
})
