import { describe, expect, it } from 'vitest'
import { conclusion, counter, emptyRecord, reading, soakUpPlan } from '../../test/soakUp'
import { smallBars } from '../charts'
import { takesOf } from '../kit'
import { emptyPlan, FIRST_WATCH, type LessonRecord, type Plan } from '../lesson'
import { firstStepWords, matterWords, openWords } from '../wording'
import { NOT_JUDGED, waitsFor as withCountBack, type LessonFace } from '../lists'
import { firstSteps, hourOf, mattersOf, readinessOf, secondLook, sortedByHour } from '.'

/** Every place of a plan, but for the last so many. */
function measured(plan: Plan, open = 0): LessonRecord {
  const readings = plan.groups.flatMap(({ id: group }) =>
    plan.conditions.flatMap(({ id: condition }, kind) =>
      [1, 2, 3].map((repeat) =>
        reading({ id: `${group}-${condition}-${repeat}`, group, condition, repeat, value: 60 - 10 * kind }),
      ),
    ),
  )
  return { ...emptyRecord, readings: readings.slice(0, readings.length - open) }
}
const plan = soakUpPlan({ date: '2026-03-12', gapsStay: false })
const waitsFor = (plan: Plan, record: LessonRecord) => {
  const findings = secondLook(plan, record)
  return mattersOf(plan, record, findings, readinessOf(plan, record, findings)).map((matter) => matterWords(matter, plan))
}

describe('a lesson that has only begun', () => {
  const empty = emptyPlan('Puffin', 26, counter('e'))

  it('has first steps and no faults, and waits for its first step', () => {
    expect(secondLook(empty, emptyRecord)).toEqual([])
    expect(waitsFor(empty, emptyRecord)).toEqual([{ text: 'Find the question', stop: 'wonder', target: 'noticed' }])
    const { stops, level } = readinessOf(empty, emptyRecord, [])
    expect([level, stops.map(({ troubles }) => troubles)]).toEqual([0, [0, 0, 0, 0, 0, 0, 0, 0]])
    expect(stops.map(({ open }) => open && openWords(open))).toContain('nothing noticed yet')
  })

  it('goes from step to step until there is something to compare, and keeps what is really wrong', () => {
    const chosen = { ...plan, conditions: [] }
    expect(firstSteps(chosen, emptyRecord)?.map(({ code, done }) => [code, done])).toEqual([
      ['wonder', false],
      ['change', true],
      ['measure', true],
      ['conditions', false],
    ])
    expect(firstStepWords('conditions', chosen).title).toBe('Conditions: at least two')
    expect(firstSteps(plan, emptyRecord)).toBeUndefined()
    const spilt = { ...chosen, materials: chosen.materials.map((one) => ({ ...one, amount: 'some' })) }
    expect(secondLook(spilt, emptyRecord).map(({ code }) => code)).toContain('amount-unreadable')
  })
})

describe('the hour of a lesson', () => {
  it('is before, during and after testing, and a sentence ends it even with gaps', () => {
    expect(hourOf(plan, emptyRecord)).toBe('before')
    expect(hourOf(plan, { ...emptyRecord, readings: [reading({ practice: true })] })).toBe('before')
    expect(hourOf(plan, measured(plan, 3))).toBe('during')
    expect(hourOf(plan, measured(plan))).toBe('after')
    expect(hourOf(plan, { ...measured(plan, 3), conclusions: [conclusion({ text: 'Kitchen roll came first.' })] })).toBe('after')
  })

  it('opens five at most, folds the plan once it has run, and keeps cautions while it is hot', () => {
    const faulty = soakUpPlan({ materials: [], groups: plan.groups.slice(0, 1), things: 'same', title: '', repeats: 1 })
    const before = sortedByHour(secondLook(faulty, emptyRecord), 'before', 'plan')
    expect(before.open).toHaveLength(5)
    expect(before.past).toEqual([])
    const record = measured(plan, 3)
    const during = sortedByHour(secondLook(plan, record), 'during', 'test')
    expect(during.open.map(({ code }) => code)).toEqual(['caution', 'caution', 'gaps'])
    expect(during.past.map(({ code }) => code)).toContain('nothing-wondered')
    expect([...during.open, ...during.more, ...during.past, ...during.coming]).toHaveLength(secondLook(plan, record).length)
    expect(sortedByHour(secondLook(plan, record), 'after', 'agree').open.map(({ code }) => code)).toContain('conclusion-missing')
  })
})

describe('what matters now', () => {
  it('is the odd number first, then gaps, then the sentence, then nothing', () => {
    const calm = { ...plan, cautionsAcknowledged: ['spill', 'blade'] as Plan['cautionsAcknowledged'] }
    expect(waitsFor(calm, emptyRecord)).toEqual([{ text: 'Take predictions', stop: 'predict', target: null }])
    const whole = measured(calm)
    const slip = whole.readings.map((one, place) => (place === 4 ? { ...one, value: 5, entered: '5' } : one))
    expect(waitsFor(calm, { ...whole, readings: slip })[0]).toMatchObject({
      text: expect.stringMatching(/^Answer for Alder’s 5.mm$/) as string,
      target: expect.stringMatching(/^cell-/) as string,
    })
    expect(waitsFor(calm, measured(calm, 3))).toEqual([{ text: 'Take 3 more readings', stop: 'test', target: null }])
    expect(waitsFor(calm, whole).map(({ text }) => text)).toEqual(['Write a conclusion'])
    const agreed = conclusion({ text: 'Kitchen roll came first with 60 mm, card last with 30 mm.', agreed: true })
    expect(waitsFor(calm, { ...whole, conclusions: [agreed] })).toEqual([])
  })

  it('is the next reading while a class watches over days, though nothing is missing today', () => {
    const watching = {
      ...soakUpPlan({
        date: '2026-03-12',
        gapsStay: false,
        repeats: 1,
        kind: 'over-time',
        cautionsAcknowledged: ['spill', 'blade'],
      }),
      watch: { ...FIRST_WATCH, unit: 'day' as const, times: [0, 4] },
    }
    const today = watching.groups.flatMap(({ id: group }) =>
      watching.conditions.map(({ id: condition }, kind) => reading({ group, condition, moment: 't0', value: 60 - 10 * kind })),
    )
    expect(waitsFor(watching, { ...emptyRecord, readings: today })).toEqual([{ text: 'Take readings', stop: 'test', target: null }])
  })

  it('is counting the kit back once all is agreed, where something came out of the cupboard', () => {
    const judged = { ...NOT_JUDGED, hour: 'after' as const }
    const takes = { takes: { ...takesOf(plan), of: [{ thing: 'ruler', amount: 7, again: true }] } } as unknown as LessonFace
    expect(matterWords(withCountBack(judged, takes, false).first!, plan)).toMatchObject({ text: 'Count the kit back', stop: 'kit' })
    expect(withCountBack(judged, takes, true).first).toBeNull()
    expect(withCountBack({ ...judged, hour: 'during' }, takes, false).first).toBeNull()
    const sentence = { code: 'agree' as const, written: false }
    expect(withCountBack({ ...judged, matters: { first: sentence, more: 0 } }, takes, false)).toEqual({ first: sentence, more: 1 })
  })

  it('is shown with a picture once two conditions have an average', () => {
    expect(smallBars(plan, [reading({ value: 30 })])).toEqual([])
    const bars = smallBars(plan, measured(plan).readings)
    expect(bars.map(({ letter, share }) => letter + share.toFixed(2))).toEqual(['A1.00', 'B0.83', 'C0.67', 'D0.50'])
  })
})
