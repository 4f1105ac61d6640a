import { newMaterial, NOTHING_SAID } from '../core/lesson'
import { conditions, factor, investigation, measure } from './investigation'

export const paperBridge = investigation('paper-bridge', {
  topic: 'movement',
  ages: ['7-9', '9-11'],
  summary: 'How much can a bridge of one sheet hold? Three tries, each a little better than the last.',
  kind: 'improve',
  title: 'Paper bridge',
  wonder: { ...NOTHING_SAID, hook: 'A flat sheet over a gap bends under its own weight. A folded one does not.' },
  factors: [
    factor('folding', 'the bridge'),
    factor('sheet', 'the paper', 'one sheet, nothing else'),
    factor('gap', 'the gap', '20 cm between two books'),
    factor('load', 'the load', 'steel washers, one at a time, in the middle'),
  ],
  changed: 'folding',
  measures: [
    measure('washers', 'how many washers it holds', {
      tool: 'counting',
      unit: 'count',
      resolution: 1,
      readingWobble: 0,
      trialWobble: 3,
      expectedLow: 3,
      expectedHigh: 25,
    }),
  ],
  measured: 'washers',
  conditions: conditions({ first: 'first try', second: 'second try', third: 'third try' }),
  repeats: 2,
  things: 'fresh',
  practice: 0,
  predictAs: 'number',
  resetList: ['fresh sheet', 'gap 20 cm', 'washers back in the pot'],
  materials: [
    { ...newMaterial('sheets', 'sheet of paper'), per: 'trial', spare: 0.2 },
    { ...newMaterial('books', 'book, all the same height', '2'), use: 'again' },
    { ...newMaterial('washers', 'steel washers', '40'), use: 'again', cautions: ['small-parts'] },
  ],
  clock: {
    start: '',
    minutes: 60,
    phases: { gather: 3, wonder: 5, plan: 6, predict: 4, fetch: 3, clearAway: 3, results: 6, agree: 6 },
    trial: { setUp: 120, run: 60, read: 10, reset: 20 },
    sideBySide: 1,
    fetchWhilePredicting: false,
  },
})
