import { describe, expect, it } from 'vitest'
import { conclusion, counter, emptyRecord, reading, recordOf, soakUpPlan } from '../../test/soakUp'
import { INVESTIGATIONS } from '../../schemas/investigations'
import type { LessonEvent, Plan } from '../lesson'
import { explanationWords, oddWords, workedOutWords, workingSteps } from '../wording'
import { planFrom } from '../test'
import { oddResults, progressOf, resultsTable, withoutOpenRetests, withRetests, workedOutFor } from '.'
import { withMethod } from '../test'

const plan = soakUpPlan()
const ready = (id: string): Plan => planFrom(INVESTIGATIONS[id]!, 'Puffin', 26, counter('g'))

describe('the table of results', () => {
  it('is the class’s or one group’s, with what was set aside in it and not counted', () => {
    const readings = [
      ...recordOf({ 'kitchen-roll': [60, 62], card: [14, 16] }, 2).readings,
      reading({ condition: 'card', repeat: 2, value: 50, status: 'set-aside', reason: 'leaked' }),
      reading({ condition: 'card', value: 9, practice: true }),
    ]
    const card = resultsTable(plan, readings)[3]!
    expect([card.results, card.readings.map(({ value }) => value), card.workedOut]).toEqual([[14, 16], [14, 16, 50], {}])
    expect(resultsTable(plan, readings)[0]!.workedOut).toEqual({ difference: 46 })
    expect(resultsTable(plan, readings, 'g1')[0]!.results).toEqual([60])
  })

  it('works out the change, per cent lost and per minute, and a total of what is new each time', () => {
    const ice = ready('ice-in-a-bag')
    const [before, after] = [412, 405].map((value, place) =>
      reading({ condition: ice.conditions[0]!.id, moment: place === 0 ? 'before' : 'after', value, unit: 'g' }),
    )
    const lost = resultsTable(ice, [before!, after!])[0]!
    expect(lost.results).toEqual([-7])
    expect(workedOutWords(ice, 'of-100', lost.workedOut['of-100']!)).toBe('1.7\u202f%')

    const sprouts = ready('sprout-watch')
    const grown = [0, 3, 9].map((value, place) =>
      reading({ condition: sprouts.conditions[0]!.id, moment: `t${[0, 2, 4][place]}`, value, unit: 'mm' }),
    )
    const worked = resultsTable(sprouts, grown)[0]!.workedOut
    expect(worked).toMatchObject({ change: 9, rate: 2.25 })
    // How tall a sprout was on four days is nothing to add up; how many seeds came up each day is.
    expect(workedOutFor(sprouts)).not.toContain('total')
    const counted = withMethod(sprouts, (method) => ({ ...method, unit: 'count' }))
    expect(workedOutFor(counted)).toContain('total')
  })

  it('shows the working of the average that the class uses', () => {
    const steps = (average: Plan['average']) => workingSteps({ ...plan, average }, [4, 5, 4], 'mm')
    expect(steps('mean')).toEqual(['4 + 5 + 4 = 13', '13 ÷ 3 = 4.3\u202fmm'])
    expect(steps('median')).toEqual(['In order: 4, 4, 5', 'The middle one is 4.0\u202fmm'])
    expect(steps('mode')).toEqual(['4 came 2 times, more than any other'])
    expect(steps('none')).toEqual([])
    expect(workingSteps({ ...plan, averageTo: 'mark' }, [4, 5, 4], 'mm')[1]).toBe('13 ÷ 3 = 4\u202fmm')
  })
})

describe('odd results', () => {
  const odd = reading({ id: 'odd', group: 'g2', condition: 'card', repeat: 2, value: 58, at: '2026-03-12T11:05:00.000Z' })
  const record = {
    ...emptyRecord,
    ...recordOf({ card: [14, 15, 14, 16, 15, 14], tissue: [50, 51, 49] }, 3),
    observations: [
      {
        id: 'o',
        group: 'g2',
        condition: 'card',
        repeat: 2,
        kind: 'words' as const,
        text: 'the strip leaned on the jar',
        picture: null,
        by: 'station' as const,
        at: '2026-03-12T11:05:00.000Z',
      },
    ],
    conclusions: [conclusion()],
  }
  const withOdd = { ...record, readings: [...record.readings, odd] }

  it('come with what was seen first, and the factors kept the same as questions', () => {
    const [one, ...none] = oddResults(plan, withOdd)
    expect(none).toEqual([])
    expect(one).toMatchObject({ state: 'open', retest: false, reading: { id: 'odd' } })
    expect(one!.explanations.map(({ code }) => code)).toEqual(['slip', 'observed', 'factor', 'factor', 'factor', 'factor'])
    expect(oddWords(plan, one!)).toContain('the others lie around 14.5')
    expect(explanationWords(plan, one!.explanations[2]!, 'g2')).toMatch(/^Was the width of the strip kept the same/)
  })

  it('name an unknown factor before the usual ones, and say what the group said', () => {
    const unknown = {
      ...plan,
      factors: plan.factors.map((one) => (one.id === 'depth' ? { ...one, exceptions: { card: '?' } } : one)),
    }
    const aside = { ...withOdd, readings: [...record.readings, { ...odd, status: 'set-aside' as const, reason: 'it leaked' }] }
    const [one] = oddResults(unknown, aside)
    expect(one!.explanations.map(({ code }) => code).slice(0, 3)).toEqual(['said', 'observed', 'factor-unknown'])
    expect(one!.state).toBe('set-aside')
  })

  it('are asked about with what the journal has between the group’s reading before and this one', () => {
    const at = (minute: number) => `2026-03-12T12:${String(minute).padStart(2, '0')}:00.000Z`
    const [own, late] = [
      { ...odd, id: 'own', repeat: 1, value: 14, at: at(10) },
      { ...odd, at: at(30) },
    ]
    const timed = { ...withOdd, readings: [...record.readings.filter(({ group }) => group !== 'g2'), own, late] }
    const moved = { kind: 'station' as const, change: 'moved' as const, station: 's', group: 'g1', to: 'g2' }
    const found = (others: { at: string; body: LessonEvent }[]) =>
      oddResults(plan, timed, others)
        .find(({ reading }) => reading.id === 'odd')!
        .explanations.map(({ code }) => code)
    expect(found([{ at: at(20), body: moved }])).toContain('station-moved')
    expect(found([{ at: at(20), body: { ...moved, to: 'g3' } }])).not.toContain('station-moved')
    expect(found([{ at: at(20), body: { kind: 'station', change: 'unlocked', station: 's', group: 'g2' } }])).toContain('paused')
    expect(found([{ at: at(20), body: { kind: 'plan', revision: 3 } }])).toContain('plan-changed')
    for (const minute of [9, 31])
      expect(found([{ at: at(minute), body: { kind: 'plan', revision: 3 } }])).not.toContain('plan-changed')
  })

  it('are planned once more with one click, for just these places, and the plan can be freed of it', () => {
    const again = withRetests(plan, [odd, odd])
    expect(again.retests).toEqual([{ group: 'g2', condition: 'card', repeat: 4 }])
    expect(withRetests(again, [odd]).retests).toHaveLength(1)
    const cells = (group: string) => progressOf(again, withOdd.readings).find((one) => one.group === group)!.all
    expect([cells('g1'), cells('g2')]).toEqual([12, 13])
    expect(oddResults(again, withOdd)[0]!.retest).toBe(true)
    const done = [...withOdd.readings, reading({ group: 'g2', condition: 'card', repeat: 4, value: 15 })]
    expect(withoutOpenRetests(again, done).retests).toHaveLength(1)
    expect(withoutOpenRetests(again, withOdd.readings).retests).toEqual([])
  })
})
