import { newMaterial, NOTHING_SAID } from '../core/lesson'
import { conditions, factor, investigation, measure } from './investigation'

export const iceInABag = investigation('ice-in-a-bag', {
  topic: 'hot-and-cold',
  ages: ['7-9', '9-11'],
  summary: 'Does a closed bag of ice weigh less when the ice has melted? Weighed before and after.',
  kind: 'before-after',
  title: 'Ice in a bag, weighed',
  wonder: { ...NOTHING_SAID, hook: 'Two closed bags, one with ice and one with water from melted ice: which feels heavier?' },
  factors: [
    factor('melting', 'melting'),
    factor('bag', 'the bag', 'a zip bag, closed all the time'),
    factor('outside', 'the outside of the bag', 'wiped dry before every weighing'),
    factor('scale', 'the scale', 'the same one, at 0 before each weighing'),
  ],
  changed: 'melting',
  measures: [
    measure('mass', 'the mass of the closed bag', {
      tool: 'digital kitchen scale',
      unit: 'g',
      resolution: 1,
      readingWobble: 0,
      trialWobble: 0.8,
      differenceThatMatters: 2,
    }),
  ],
  measured: 'mass',
  conditions: conditions({ ice: 'a bag of ice' }),
  repeats: 2,
  things: 'fresh',
  practice: 0,
  predictAs: 'change',
  resetList: ['bag closed', 'bag wiped dry', 'scale at 0'],
  materials: [
    { ...newMaterial('cubes', 'ice cubes', '4'), per: 'trial', spare: 0.2 },
    { ...newMaterial('bags', 'zip bag', '1'), per: 'trial', spare: 0.1 },
    { ...newMaterial('scales', 'digital kitchen scale'), use: 'again' },
    { ...newMaterial('cloths', 'cloth to wipe melted water', '1'), use: 'again', cautions: ['spill'] },
  ],
  clock: {
    start: '',
    minutes: 60,
    phases: { gather: 3, wonder: 6, plan: 5, predict: 4, fetch: 3, clearAway: 4, results: 6, agree: 6 },
    trial: { setUp: 40, run: 900, read: 20, reset: 10 },
    sideBySide: 1,
    fetchWhilePredicting: false,
  },
})
