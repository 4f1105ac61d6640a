import { FIRST_ARRANGEMENT, FIRST_JOBS, FIRST_WATCH, newMaterial, NOTHING_SAID, type Plan } from '../core/lesson'
import type { Investigation } from './investigation'

export const soakUpStrips: Investigation = {
  summary: 'Which paper drinks water highest? Strips stand in a little water for a minute; a ruler shows the wet edge.',
  schemaVersion: 5,
  words: 'change-measure',
  frame: 'i-think',
  predictAs: 'order',
  asked: { whose: 'teacher', chosen: null },
  kind: 'fair-test',
  title: 'Soak-up strips',
  investigation: 'soak-up-strips',
  wonder: {
    ...NOTHING_SAID,
    hook: 'Dip the corner of a kitchen towel into a glass of coloured water and wait.',
  },
  factors: [
    { id: 'paper', name: 'the kind of paper', how: '', exceptions: {} },
    { id: 'width', name: 'the width of the strip', how: '2 cm, cut on the guillotine', exceptions: {} },
    { id: 'depth', name: 'the depth in the water', how: '1 cm, to the pencil line', exceptions: {} },
    { id: 'water', name: 'the water', how: 'tap water from one jug', exceptions: {} },
    { id: 'time', name: 'the time in the water', how: '60 s, by the class bell', exceptions: {} },
  ],
  changed: 'paper',
  measures: [
    {
      id: 'height',
      name: 'how high water climbs in 60 s',
      method: {
        instrument: 'number',
        tool: 'ruler',
        unit: 'mm',
        words: [],
        resolution: 1,
        readingWobble: 1,
        timingWobble: 0,
        atOnce: 1,
        trialWobble: 5,
        expectedLow: 14,
        expectedHigh: 62,
        expected: {},
        expectedFrom: 'guess',
        warmUp: [],
        wordPictures: {},
        differenceThatMatters: 0,
      },
    },
  ],
  measured: 'height',
  conditionsAs: 'kinds',
  conditionUnit: 'cm',
  conditions: [
    { id: 'kitchen-roll', label: 'kitchen roll', baseline: false, leftOut: false },
    { id: 'tissue', label: 'tissue', baseline: false, leftOut: false },
    { id: 'writing-paper', label: 'writing paper', baseline: false, leftOut: false },
    { id: 'card', label: 'card', baseline: false, leftOut: false },
  ],
  watch: FIRST_WATCH,
  repeats: 3,
  practice: 1,
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
  ownCautions: [],
  cautionsAcknowledged: [],
  cautionsNotHere: {},
  clock: {
    start: '',
    minutes: 75,
    phases: { gather: 4, wonder: 6, plan: 6, predict: 5, fetch: 4, clearAway: 5, results: 8, agree: 7 },
    trial: { setUp: 20, run: 60, read: 10, reset: 15 },
    sideBySide: 1,
    fetchWhilePredicting: false,
  },
  arrangement: FIRST_ARRANGEMENT,
  jobs: FIRST_JOBS,
  secondReader: false,
}

function strip(id: string, name: string, condition: string): Plan['materials'][number] {
  const preparation = { kind: 'cut' as const, words: '', minutes: 2, secondsEach: 12, hours: 0 }
  return { ...newMaterial(id, name, '1 strip'), per: 'trial', condition, spare: 0.1, preparation }
}
