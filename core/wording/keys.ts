import type { Stop } from '../lesson'

interface KeyWords {
  key: string
  what: string
}
export interface KeyGroup {
  title: string
  keys: KeyWords[]
}
export type KeysView = Stop | 'shelf'

const keys = (...pairs: [key: string, what: string][]): KeyWords[] => pairs.map(([key, what]) => ({ key, what }))

const GRID = keys(['Enter', 'in a table: down, and keep what was typed'], ['Tab', 'to the right'])
const CARDS = keys(['n', 'a new one'], ['Delete', 'on the dots of a card: take it away'])

const OF_STOP: Record<Stop, KeyWords[]> = {
  wonder: [...CARDS, ...keys(['t', 'on the dots of a wondering: could we test it?'], ['l', 'on them: keep it for next time'])],
  plan: [...CARDS, ...keys(['c  m  k', 'on the dots of a card: change, measure, keep the same']), ...GRID],
  kit: [...keys(['n', 'another thing']), ...GRID],
  clock: keys(['← →', 'on the end of a phase: a minute less or more']),
  predict: keys(['↑ ↓', 'on the end of a line: higher or lower']),
  test: [
    ...keys(
      ['t', 'start or stop the clock'],
      ['q', 'numbers on the board, or hidden'],
      ['o', 'the odd numbers; then k keeps, f puts right, a sets aside'],
    ),
    ...GRID,
    ...keys(['Esc', 'take back what was typed; again: leave the table']),
  ],
  results: keys(['← →', 'on a part: the one before or after']),
  agree: [],
}
const DESK = keys(
  ['1 to 8', 'the eight stops'],
  ['/', 'find a stop, a finding or a print'],
  ['b', 'open the board'],
  ['Ctrl Z', 'undo in the plan'],
  ['Ctrl Shift Z', 'do it again'],
  ['?', 'these keys'],
)
const BOARD = keys(
  ['← →', 'the view before or after'],
  ['Esc', 'the view that fits'],
  ['s', 'start or stop the clock'],
  ['q', 'numbers shown or hidden'],
  ['m', 'sound on or off'],
  ['d', 'dark or light'],
)
const SHELF = keys(['n', 'a new lesson'], ['/', 'find a lesson'], ['?', 'these keys'])

/** The keys of what is in front, and at the desk those of the board too. */
export function keysOf(view: KeysView): KeyGroup[] {
  if (view === 'shelf') return [{ title: 'On the shelf', keys: SHELF }]
  return [
    { title: 'Here', keys: OF_STOP[view] },
    { title: 'Everywhere at the desk', keys: DESK },
    { title: 'On the board, when its window is in front', keys: BOARD },
  ].filter((group) => group.keys.length > 0)
}
