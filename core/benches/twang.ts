import { byNumber, type Bench } from './bench'

/** A clear plastic ruler: 2.5 mm thick, polystyrene of 3 GPa and 1,050 kg a cubic metre. */
const [THICK, STIFF, DENSE] = [0.0025, 3e9, 1050]

/**
 * Seconds of one swing of a ruler that is held at one end: the first note of a beam, f = 0.1615 d / L^2 sqrt(E / rho) (Euler and Bernoulli).
 * `(1 / twangPeriod(10)).toFixed(0) // '68'`
 */
function twangPeriod(overhang: number): number {
  const length = overhang / 100
  return length ** 2 / (0.1615 * THICK * Math.sqrt(STIFF / DENSE))
}

const SWINGS = 100

/** Who sounds highest is first through a hundred swings. By ear two notes are taken one for the other where they lie within a tone or so of each other. */
export const twang: Bench = {
  numbersIn: 'cm',
  measures: { high: { unit: 's', truth: byNumber((overhang) => SWINGS * twangPeriod(overhang)), trialShare: 0.09 } },
}
