import { byCondition, type Bench } from './bench'

/** White clover bears being trodden on and cut short, and is crowded out in tall grass and in shade: most of it at the edge of a path. Heads in a hoop of half a metre, estimates; they fall as chance has it. */
export const cloverHoops: Bench = {
  measures: {
    clover: {
      unit: 'count',
      truth: byCondition({ edge: 6, middle: 1, trees: 0.3 }),
      trialShare: 0.35,
      byChance: true,
      habitShare: 0.1,
    },
  },
}
