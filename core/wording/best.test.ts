import { describe, expect, it } from 'vitest'
import { recordOf, soakUpPlan } from '../../test/soakUp'
import { doubtsOfConclusion } from '../agree'
import { bestFirst, evidenceOf } from '../evidence'
import { type Plan } from '../lesson'
import { withMethod } from '../test'
import {
  agreementSentence,
  bestChoices,
  bestIs,
  endsOf,
  foresight,
  podiumLines,
  predictionPrompt,
  sentenceStarters,
  writeFigure,
} from '.'

const conditions = ['thin', 'medium', 'thick'].map((label) => ({ id: label, label, baseline: false, leftOut: false }))
/** How long a bead takes to sink in three syrups, read in seconds. */
const syrup = (method: Partial<Plan['measures'][number]['method']> = {}) =>
  withMethod(
    soakUpPlan({ conditions, measures: soakUpPlan().measures.map((card) => ({ ...card, name: 'how long the bead sinks' })) }),
    (old) => ({ ...old, unit: 's', resolution: 0.1, best: null, ...method }),
  )
const times = { thin: [2.1, 2.3, 2, 2.2, 2.4, 2.1], medium: [4.2, 4.4, 4.1, 4.3, 4.5, 4.2], thick: [6.4, 6.6, 6.3, 6.9, 6.7, 6.5] }
const inMillimetres = recordOf(times, 3)
const record = { ...inMillimetres, readings: inMillimetres.readings.map((one) => ({ ...one, unit: 's' as const })) }
const weighed = (plan: Plan) => evidenceOf(plan, record)!

describe('what is best', () => {
  it('is asked in the words of what is measured, and nobody says “most” of a time', () => {
    expect(endsOf(syrup())).toEqual({ most: 'longest', least: 'shortest' })
    expect(predictionPrompt({ ...syrup(), predictAs: 'order' })).toContain('Put them in order, the longest first.')
    expect(bestChoices(syrup()).map(({ title }) => title)).toEqual([
      'the longest',
      'the shortest',
      'nearest to a number',
      'none: they only differ',
    ])
    expect([bestIs(syrup()), bestIs(syrup({ best: 'least' })), bestIs(soakUpPlan())]).toEqual([
      '',
      'the shortest is best',
      'the highest is best',
    ])
  })

  it('says who came first only where something is best, and lets the shortest win', () => {
    const plan = syrup()
    expect(agreementSentence(plan, weighed(plan))).toMatch(/found thick the longest/)
    expect(foresight(plan, weighed(plan), [['thick', 'medium', 'thin']])).toBe('1 of 1 group predicted that thick is the longest.')
    expect(sentenceStarters(plan, weighed(plan))[0]).toMatch(/Thick was the longest with an average of 6\.57.s, thin the shortest/)
    const quick = syrup({ best: 'least' })
    expect(sentenceStarters(quick, weighed(quick))[0]).toMatch(/Thin came first with an average of 2\.18.s, thick last/)
    expect(podiumLines(quick, weighed(quick)).map((line) => line.slice(0, 9))).toEqual(['1st thin,', '2nd mediu', '3rd thick'])
    expect(podiumLines(plan, weighed(plan))).toEqual([])
  })

  it('can be what comes nearest to a number', () => {
    const plan = syrup({ best: 'nearest', bestNumber: 4 })
    expect(bestFirst(plan, weighed(plan))).toEqual(['medium', 'thin', 'thick'])
    expect(bestFirst(syrup({ best: 'nearest' }), weighed(syrup({ best: 'nearest' })))).toBeUndefined()
  })

  it('decides what a sentence may call the winner', () => {
    const codes = (text: string, plan: Plan) => doubtsOfConclusion(text, plan, weighed(plan)).map(({ code }) => code)
    expect(codes('Thin was best with 2.2 s. We are sure.', syrup({ best: 'least' }))).toEqual([])
    expect(codes('Thick was best with 6.6 s. We are sure.', syrup({ best: 'least' }))).toEqual(['names-another-winner'])
    expect(codes('Thick was best with 6.6 s. We are sure.', syrup({ best: 'none' }))).toEqual([])
  })
})

it('an average is no finer than the hand that stops the clock', () => {
  const by = (method: Partial<Plan['measures'][number]['method']>) =>
    writeFigure(syrup({ resolution: 0.01, ...method }), 1.28049, 's')
  expect(by({ timingWobble: 0.15 })).toBe('1.28\u202fs')
  expect(by({ timingWobble: 0.15, atOnce: 10 })).toBe('1.280\u202fs')
  expect(by({ timingWobble: 0 })).toBe('1.280\u202fs')
})
