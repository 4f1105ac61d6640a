import { expect, it } from 'vitest'
import { soakUpPlan } from '../../test/soakUp'
import { newRemark, type Plan } from '../lesson'
import { tellingWords } from '../wording'
import { newMeasure } from '../test'
import { asksForBest, tellingsOf } from '.'

it('“best” is laid out as the measures that could tell it: a time, a distance and a race, each with its wobble, chance and minutes', () => {
  const [height] = soakUpPlan().measures
  const time = newMeasure('time', 'how long the water takes to the line')
  const plan: Plan = soakUpPlan({
    wonder: { ...soakUpPlan().wonder, wondered: [newRemark('w', 'Which paper is best for wiping up?')] },
    asked: { whose: 'class', chosen: 'w' },
    measures: [
      height!,
      { ...time, method: { ...time.method, tool: 'stopwatch', unit: 's', timingWobble: 0.15, expectedLow: 10, expectedHigh: 30 } },
    ],
  })
  expect(asksForBest(plan)).toBe(true)
  expect(asksForBest(soakUpPlan())).toBe(false)
  const tellings = tellingsOf(plan)
  expect(tellings.map(({ measure, race }) => [measure.id, race])).toEqual([
    [height!.id, false],
    ['time', false],
    ['time', true],
  ])
  const words = tellings.map(tellingWords)
  expect(words[2]).toMatchObject({ name: 'how long the water takes to the line, as a race', wobble: 'only an order' })
  expect(words[0]!.clear).toMatch(/in 100$/)
  expect(tellings[2]!.plan).toMatchObject({ kind: 'order', measured: 'time' })
  expect(tellingsOf({ ...plan, kind: 'describe' })).toEqual([])
})
