import { byCondition, byNumber, type Bench } from './bench'

const LIGHTS = 1
const STAYS_DARK = 2

/** What closes a circuit of two cells and a bulb: metals and graphite do, nothing else of these. A loose clip keeps the bulb dark now and then. */
export const gapFinder: Bench = {
  measures: {
    bulb: {
      unit: 'sorts',
      truth: byCondition({
        ...{ spoon: LIGHTS, foil: LIGHTS, key: LIGHTS, lead: LIGHTS },
        ...{ stick: STAYS_DARK, ruler: STAYS_DARK, rubber: STAYS_DARK, thread: STAYS_DARK },
      }),
      trialShare: 0,
      readingSd: 0.22,
    },
  },
}

const CELLS_VOLTS = 3
const BULB = { volts: 2.5, amperes: 0.3 }
/** Of pencil leads of 2 mm, HB to 2B, a centimetre has 0.3 to 2 ohms. */
const LEAD_OHMS_A_CM = 0.8
/** A filament that gets hotter lets less through: its current grows with the 0.55th power of the voltage, its light with the 3.4th (rules of lamp makers). */
const [CURRENT_POWER, LIGHT_POWER] = [0.55, 3.4]
/** So many layers hide the bulb at its full light, and each lets so much through: baking paper, an estimate. */
const [FULL_LAYERS, LET_THROUGH] = [14, 0.65]

/**
 * What a bulb in one line with a pencil lead still has of its voltage: what the bulb and the lead take adds up to what the cells give.
 * `bulbVolts(0).toFixed(2) // '3.00'`
 */
function bulbVolts(centimetres: number): number {
  let [low, high] = [0, CELLS_VOLTS]
  for (let step = 0; step < 50; step += 1) {
    const volts = (low + high) / 2
    const amperes = BULB.amperes * (volts / BULB.volts) ** CURRENT_POWER
    if (volts + amperes * LEAD_OHMS_A_CM * centimetres > CELLS_VOLTS) high = volts
    else low = volts
  }
  return (low + high) / 2
}

/** Light fades by the same share in every layer (Lambert), so that the layers that hide it go by its logarithm. */
function layersThatHide(centimetres: number): number {
  const light = LIGHT_POWER * Math.log(bulbVolts(centimetres) / BULB.volts)
  return Math.max(0, FULL_LAYERS + light / -Math.log(LET_THROUGH))
}

export const pencilDimmer: Bench = {
  numbersIn: 'cm',
  measures: {
    layers: {
      unit: 'count',
      truth: byNumber(layersThatHide),
      trialShare: 0.04,
      readingSd: 0.5,
      thingShare: 0.03,
      habitShare: 0.05,
    },
  },
}
