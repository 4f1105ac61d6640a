import { expect, it } from 'vitest'
import { inTwoPlaces, soakUpPlan } from '../../test/ready'
import { homeReadingWords } from '../wording'
import { homeSheet } from '.'

it('a home sheet has a line for each reading with its day, and says which lie on a weekend', () => {
  const plan = {
    ...inTwoPlaces,
    date: '2026-03-12',
    watch: { ...inTwoPlaces.watch, unit: 'day' as const, places: [], times: [0, 2, 4] },
  }
  const { readings } = homeSheet(plan)
  expect(readings.map((one) => homeReadingWords(plan, one))).toEqual([
    'day 0, Thu 12 Mar',
    'day 2, Sat 14 Mar (weekend)',
    'day 4, Mon 16 Mar',
  ])
  // A plan without a day leaves it to the child.
  expect(homeSheet({ ...plan, date: '' }).readings.map(({ day }) => day)).toEqual([undefined, undefined, undefined])
})

it('what gets less is read at the start, and what is left', () => {
  const plan = soakUpPlan({ kind: 'before-after' })
  const method = plan.measures[0]!.method!
  const losing = { ...plan, measures: [{ ...plan.measures[0]!, method: { ...method, counts: 'loss' as const } }] }
  expect(homeSheet(losing).readings.map((one) => homeReadingWords(losing, one))).toEqual(['start', 'left'])
  expect(homeSheet(plan).readings.map((one) => homeReadingWords(plan, one))).toEqual(['before', 'after'])
})
