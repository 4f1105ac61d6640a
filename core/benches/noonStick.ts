import type { Bench } from './bench'

const DEGREE = Math.PI / 180
const STICK = 30
/** In the middle of spring (the sun 12° over the equator), half way between equator and pole and a little beyond. */
const [LATITUDE, DECLINATION] = [50, 12]
/** By the sun: 12 is when it stands highest. */
const HOURS: Record<string, number> = { nine: 9, 'half-ten': 10.5, noon: 12, 'half-one': 13.5, three: 15, home: 17 }

/**
 * The shadow of an upright stick, as long as the stick in its unit: the height of the sun by the hour angle, sin h = sin(lat) sin(dec) + cos(lat) cos(dec) cos(15° (hour - 12)).
 * `stickShadow(30, 12).toFixed(1) // '23.4'`
 */
function stickShadow(stick: number, hour: number): number {
  const [latitude, declination, turned] = [LATITUDE, DECLINATION, 15 * (hour - 12)].map((degrees) => degrees * DEGREE) as [
    number,
    number,
    number,
  ]
  const sine = Math.sin(latitude) * Math.sin(declination) + Math.cos(latitude) * Math.cos(declination) * Math.cos(turned)
  return stick / Math.tan(Math.asin(sine))
}

/** The edge of a shadow is soft, and a stick never stands quite upright. */
export const noonStick: Bench = {
  measures: {
    shadow: {
      unit: 'cm',
      truth: ({ moment }) => (HOURS[moment.id] === undefined ? undefined : stickShadow(STICK, HOURS[moment.id]!)),
      trialShare: 0.02,
      readingSd: 0.6,
    },
  },
}
