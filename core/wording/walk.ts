import type { Stop } from '../lesson'

export interface WalkStep {
  stop: Stop
  /** What carries this name is meant. */
  target: string
  title: string
  text: string
}

/** A walk of three minutes through the demo lesson. */
export const WALK: WalkStep[] = [
  {
    stop: 'wonder',
    target: 'path',
    title: 'A lesson has eight stops',
    text: 'Down the left, from wondering to agreeing. A bead fills as a stop is done, and says what is open. Keys 1 to 8 go there.',
  },
  {
    stop: 'plan',
    target: 'trays',
    title: 'Cards make the question',
    text: 'One card is changed, one is measured, the rest is kept the same. Drag a card, or press c, m or k on its dots. Ctrl Z takes anything back.',
  },
  {
    stop: 'plan',
    target: 'second-look',
    title: 'A second look, always there',
    text: 'On the right stands what sums can find: what is unfair, short, too long or odd. Each has a reason and a button that mends it.',
  },
  {
    stop: 'kit',
    target: 'kit-table',
    title: 'The kit is multiplied for you',
    text: 'Say what one trial or group takes; trays, spares, packs and the shopping follow. Tray labels print eight to a page.',
  },
  {
    stop: 'clock',
    target: 'time-bar',
    title: 'Does it fit before the bell?',
    text: 'One trial, times conditions, times repeats, with setting up and clearing away. What is too long gets ways out, each with its minutes.',
  },
  {
    stop: 'predict',
    target: 'predictions',
    title: 'First a prediction, then a number',
    text: 'Groups predict at a tablet, on a slip, or by hands up. It is kept from the first reading on, and shown beside what came out.',
  },
  {
    stop: 'test',
    target: 'odd',
    title: 'Numbers come in, odd ones are asked about',
    text: 'Tablets join with the code, or you key in the sheets. Birch’s 7 mm looks like 7 cm: “Make it 70 mm” settles it. Nothing is altered unasked.',
  },
  {
    stop: 'results',
    target: 'grade',
    title: 'How sure can the class be?',
    text: 'The gap against the wobble, in plain words, and what would make it surer. The board shows it without names.',
  },
  {
    stop: 'agree',
    target: 'conclusion',
    title: 'One sentence to defend',
    text: 'It is read against the table while you write. Then print the report, and the next question is waiting. That was all: the shelf is up on the left.',
  },
]
