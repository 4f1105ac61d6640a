import { expect, it } from 'vitest'
import { seededRandom } from '../chance'
import { soakUpPlan } from '../../test/soakUp'
import { chanceNothingRunsOut, failedShare, sparesNeeded, sparesOf, withSpares } from '.'

const bare = soakUpPlan({ materials: soakUpPlan().materials.map((material) => ({ ...material, spare: 0 })) })

it('without spares something runs out in nearly every class, and with what is advised in one of ten', () => {
  const spares = sparesOf(bare)
  expect(spares.length).toBeGreaterThan(2)
  expect(chanceNothingRunsOut(spares, failedShare(bare))).toBeLessThan(0.1)
  const enough = withSpares(bare)
  const chance = chanceNothingRunsOut(sparesOf(enough), failedShare(enough))
  expect(chance).toBeGreaterThanOrEqual(0.9)
  expect(withSpares(enough)).toEqual(enough)
})

it('the chance is what made-up classes find', () => {
  const random = seededRandom(11)
  const spares = sparesOf(bare).map((spare) => ({ ...spare, lasts: 2 }))
  let lasted = 0
  const classes = 4000
  for (let drawn = 0; drawn < classes; drawn += 1) {
    const failed = spares.map(({ trials }) => Array.from({ length: trials }, random).filter((value) => value < 0.04).length)
    if (failed.every((count, place) => count <= spares[place]!.lasts)) lasted += 1
  }
  expect(Math.abs(chanceNothingRunsOut(spares, 0.04) - lasted / classes)).toBeLessThan(0.025)
})

it('a class whose trials fail more often needs more', () => {
  const most = (share: number) => Math.max(...sparesNeeded(sparesOf(bare), share).values())
  expect(most(0.15)).toBeGreaterThan(most(0.04))
  expect(failedShare({ clock: { ...bare.clock, pace: { times: 1, failed: 0.15, lessons: 2, trials: 90 } } })).toBe(0.15)
})
