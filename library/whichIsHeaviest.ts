import { newMaterial, NOTHING_SAID, readBy } from '../core/lesson'
import { conditions, factor, investigation, measure } from './investigation'

const heaviness = measure('heavy', 'how heavy it is', { trialWobble: 1 })

export const whichIsHeaviest = investigation('which-is-heaviest', {
  topic: 'materials',
  ages: ['5-7', '7-9'],
  summary: 'Which is heaviest? Five things from the room, two at a time on a balance.',
  kind: 'order',
  title: 'Which is heaviest?',
  wonder: { ...NOTHING_SAID, hook: 'A large sponge and a small stone, one in each hand. Which is heavier? How could we be sure?' },
  factors: [factor('thing', 'the thing'), factor('balance', 'the balance', 'level before every weighing')],
  changed: 'thing',
  measures: [{ ...heaviness, method: { ...readBy(heaviness.method, 'balance'), tool: 'pan balance' } }],
  measured: 'heavy',
  conditions: conditions({
    stone: 'pebble',
    sponge: 'large sponge',
    clay: 'lump of clay',
    cork: 'bag of corks',
    glue: 'glue stick',
  }),
  repeats: 2,
  things: 'same',
  practice: 0,
  resetList: ['pans empty and level', 'one thing in each pan', 'wait until it stops swinging'],
  materials: [
    { ...newMaterial('balances', 'pan balance'), use: 'again' },
    { ...newMaterial('things', 'set of five things, numbered'), use: 'again', cautions: ['small-parts'] },
  ],
  clock: {
    start: '',
    minutes: 50,
    phases: { gather: 3, wonder: 6, plan: 4, predict: 5, fetch: 3, clearAway: 3, results: 6, agree: 6 },
    trial: { setUp: 30, run: 15, read: 10, reset: 15 },
    sideBySide: 1,
    fetchWhilePredicting: false,
  },
})
