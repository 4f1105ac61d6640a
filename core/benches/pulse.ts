import type { Bench } from './bench'

/** Beats in half a minute: sitting, children of primary age have about 88 a minute; after a minute of stepping about 120 (the size that tables for nurses and for exercise give). */
const BEATS = { before: 44, after: 60 }

/** Children differ by a tenth and more, whatever they do; who counts a pulse misses a beat or two. */
export const stepPulse: Bench = {
  measures: {
    beats: {
      unit: 'count',
      truth: ({ moment }) => moment.half && BEATS[moment.half],
      trialShare: 0.04,
      readingSd: 1.8,
      thingSd: 5,
    },
  },
}
