import { newMaterial, NOTHING_SAID } from '../core/lesson'
import { conditions, factor, investigation, measure } from './investigation'

export const bounceBack = investigation('bounce-back', {
  topic: 'movement',
  ages: ['7-9', '9-11'],
  summary: 'Does a ball that falls further bounce higher? One ball, a wall with a tape on it, five heights.',
  title: 'Bounce back',
  wonder: { ...NOTHING_SAID, hook: 'Let a ball go without pushing it, and listen: the bounces get quicker and lower.' },
  factors: [
    factor('drop', 'the height it falls from'),
    factor('ball', 'the ball', 'the same tennis ball for all'),
    factor('floor', 'the floor', 'the same hard floor, away from the mat'),
    factor('start', 'how it starts', 'let go with two fingers, never pushed'),
  ],
  changed: 'drop',
  measures: [
    measure('height', 'how high it bounces back', {
      tool: 'tape on the wall',
      unit: 'cm',
      resolution: 1,
      readingWobble: 2,
      trialWobble: 2,
      expectedLow: 44,
      expectedHigh: 66,
    }),
    measure('time', 'the time until it lands again', {
      tool: 'stopwatch, in a child’s hand',
      unit: 's',
      resolution: 0.01,
      readingWobble: 0,
      timingWobble: 0.15,
      trialWobble: 0.02,
      expectedLow: 1,
      expectedHigh: 1.23,
    }),
  ],
  measured: 'height',
  conditionsAs: 'numbers',
  conditionUnit: 'cm',
  conditions: conditions([80, 90, 100, 110, 120]),
  repeats: 3,
  things: 'same',
  practice: 1,
  resetList: ['ball at rest', 'bottom of the ball at the mark', 'eye level with the tape'],
  materials: [
    { ...newMaterial('balls', 'tennis ball'), use: 'again' },
    { ...newMaterial('tapes', 'tape measure, fixed to the wall'), use: 'again' },
    { ...newMaterial('notes', 'sticky note for marking', '2'), spare: 0.1 },
  ],
  clock: {
    start: '',
    minutes: 70,
    phases: { gather: 4, wonder: 6, plan: 6, predict: 5, fetch: 3, clearAway: 3, results: 8, agree: 7 },
    trial: { setUp: 20, run: 5, read: 15, reset: 10 },
    sideBySide: 1,
    fetchWhilePredicting: false,
  },
})
