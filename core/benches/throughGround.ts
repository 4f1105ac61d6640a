import { byCondition, type Bench } from './bench'

/** What is poured, in millilitres, onto a layer so deep and so wide, in centimetres, and for how many seconds it is caught. */
const [POURED, DEEP, AREA, STOOD, SECONDS] = [100, 5, 38, 1.25, 180]

/**
 * Centimetres a second that water sinks through it when it is full (Darcy), and millilitres that stay in it. Sand is of the size that tables of soil give; loam and clay are
 * loose crumbs here, which let far more through than they do in the ground: estimates.
 */
const GROUND = {
  sand: { sinks: 0.03, keeps: 25 },
  loam: { sinks: 0.01, keeps: 35 },
  clay: { sinks: 0.005, keeps: 38 },
}

/**
 * Millilitres (or grams) of water that have come through: first the ground drinks, then it lets the rest pass at its own speed.
 * `throughGround('sand') // 75`
 */
function throughGround(kind: keyof typeof GROUND): number {
  const { sinks, keeps } = GROUND[kind]
  const pressed = (DEEP + STOOD) / DEEP
  return Math.max(0, Math.min(POURED - keeps, sinks * AREA * pressed * SECONDS - keeps))
}

export const thirstyGround: Bench = {
  measures: {
    through: {
      unit: 'g',
      truth: byCondition({ sand: throughGround('sand'), loam: throughGround('loam'), clay: throughGround('clay') }),
      trialShare: 0.1,
      readingSd: 1.5,
      habitShare: 0.04,
    },
  },
}

/** How clear water gets, in places of the plan’s four words: each further layer helps, the first by most. Estimates. */
export const clearWaterFilter: Bench = {
  measures: {
    clear: { unit: 'words', truth: byCondition({ first: 1.8, second: 2.7, third: 3.4 }), trialShare: 0.1, habitShare: 0.08 },
  },
}
