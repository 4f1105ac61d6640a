import { FIRST_WATCH, newMaterial, NOTHING_SAID } from '../core/lesson'
import { conditions, factor, investigation, measure } from './investigation'

export const sproutWatch = investigation('sprout-watch', {
  topic: 'living-things',
  ages: ['5-7', '7-9', '9-11'],
  summary: 'How does cress grow in five places? Read every few days for ten days.',
  kind: 'over-time',
  title: 'Sprout watch',
  wonder: { ...NOTHING_SAID, hook: 'Cress on damp cotton wool, three days old. What did it need to get this far?' },
  factors: [
    factor('place', 'the place'),
    factor('seeds', 'the seeds', '20 from one packet'),
    factor('water', 'the water', '10 mL at the start, then a squirt a day'),
    factor('dish', 'the dish', 'the same dish with two sheets of cotton wool'),
  ],
  changed: 'place',
  measures: [
    measure('tall', 'the height of the tallest three', {
      tool: 'ruler',
      unit: 'mm',
      resolution: 1,
      readingWobble: 1,
      trialWobble: 5,
      expectedLow: 20,
      expectedHigh: 65,
    }),
  ],
  measured: 'tall',
  watch: { ...FIRST_WATCH, unit: 'day', times: [0, 2, 4, 7, 9] },
  conditions: conditions({
    sill: 'windowsill',
    cupboard: 'dark cupboard',
    fridge: 'fridge door',
    shelf: 'shelf by the door',
    outside: 'outside, in the shade',
  }),
  repeats: 1,
  things: 'fresh',
  practice: 0,
  predictAs: 'order',
  resetList: ['cotton wool damp', 'ruler standing on the cotton wool'],
  materials: [
    { ...newMaterial('seeds', 'cress seeds', '20'), per: 'condition', cautions: ['soil'] },
    { ...newMaterial('dishes', 'dish'), per: 'condition', use: 'again' },
    { ...newMaterial('wool', 'cotton wool pad', '2'), per: 'condition', spare: 0.1 },
    { ...newMaterial('rulers', '30 cm ruler'), use: 'again' },
    { ...newMaterial('water', 'water', '60 mL'), cautions: ['spill'] },
  ],
  clock: {
    start: '',
    minutes: 45,
    phases: { gather: 3, wonder: 6, plan: 6, predict: 4, fetch: 3, clearAway: 4, results: 0, agree: 0 },
    trial: { setUp: 60, run: 0, read: 40, reset: 10 },
    sideBySide: 1,
    fetchWhilePredicting: false,
  },
})
