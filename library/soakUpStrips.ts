import { newMaterial, NOTHING_SAID, type Plan } from '../core/lesson'
import { conditions, factor, investigation, measure } from './investigation'

export const soakUpStrips = investigation('soak-up-strips', {
  topic: 'materials',
  ages: ['7-9', '9-11'],
  summary: 'Which paper drinks water highest? Strips stand in a little water for a minute; a ruler shows the wet edge.',
  title: 'Soak-up strips',
  things: 'fresh',
  wonder: {
    ...NOTHING_SAID,
    hook: 'Dip the corner of a kitchen towel into a glass of coloured water and wait.',
  },
  factors: [
    factor('paper', 'the kind of paper'),
    factor('width', 'the width of the strip', '2 cm, cut on the guillotine'),
    factor('depth', 'the depth in the water', '1 cm, to the pencil line'),
    factor('water', 'the water', 'tap water from one jug'),
    factor('time', 'the time in the water', '60 s, by the class bell'),
  ],
  changed: 'paper',
  measures: [
    measure('height', 'how high water climbs in 60 s', {
      tool: 'ruler',
      unit: 'mm',
      resolution: 1,
      readingWobble: 1,
      timingWobble: 0,
      trialWobble: 5,
      expectedLow: 14,
      expectedHigh: 62,
    }),
  ],
  measured: 'height',
  conditions: conditions({ 'kitchen-roll': 'kitchen roll', tissue: 'tissue', 'writing-paper': 'writing paper', card: 'card' }),
  resetList: ['fresh, dry strip', 'ruler touching zero', 'in to the line, start at the bell'],
  materials: [
    strip('roll-strips', 'strips of kitchen roll, 2 x 12 cm', 'kitchen-roll'),
    strip('tissue-strips', 'strips of tissue, 2 x 12 cm', 'tissue'),
    strip('paper-strips', 'strips of writing paper, 2 x 12 cm', 'writing-paper'),
    strip('card-strips', 'strips of card, 2 x 12 cm', 'card'),
    { ...newMaterial('rulers', '30 cm ruler', '1'), use: 'again' },
    { ...newMaterial('trays', 'shallow tray', '1'), use: 'again' },
    { ...newMaterial('clips', 'clothes peg and stick to hang the strip', '1'), use: 'again', spare: 0.1 },
    { ...newMaterial('water', 'tap water', '300 mL'), cautions: ['spill'] },
    {
      ...newMaterial('cloths', 'floor cloth', '1'),
      use: 'again',
      substitutes: [{ id: 'towel', name: 'old towel', amount: '', stock: '', note: 'Soaks up more, dries slowly.' }],
    },
    { ...newMaterial('guillotine', 'guillotine, for cutting beforehand', '1'), per: 'class', use: 'again', cautions: ['blade'] },
  ],
  clock: {
    start: '',
    minutes: 75,
    phases: { gather: 4, wonder: 6, plan: 6, predict: 5, fetch: 4, clearAway: 5, results: 8, agree: 7 },
    trial: { setUp: 20, run: 60, read: 10, reset: 15 },
    sideBySide: 1,
    fetchWhilePredicting: false,
  },
})

function strip(id: string, name: string, condition: string): Plan['materials'][number] {
  const preparation = { kind: 'cut' as const, words: '', minutes: 2, secondsEach: 12, hours: 0 }
  return { ...newMaterial(id, name, '1 strip'), per: 'trial', condition, spare: 0.1, preparation }
}
