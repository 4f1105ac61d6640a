import { COUNTED, type Plan } from '../../lesson'
import type { Moment } from '../moments'
import { ONCE, USUAL, type KindOfTest } from './kind'

/** The same thing read again and again, at one place or several. */
export const overTime: KindOfTest = {
  ...USUAL,
  code: 'over-time',
  fewestConditions: 1,
  needsChange: false,
  ways: ['number', 'words', 'sorts'],
  predictions: ['line', 'order', 'most-least', 'number', 'change'],
  arrangements: ['every-group', 'share-out', 'together'],
  watches: true,
  // Over days nobody runs out of time, and what is read by the class's clock ends with it.
  cutShort: false,
  needsRepeats: false,
  order: () => 'as-written',
  moments: timesOf,
  counted: ({ watch }, { isAmount, turnsInto, addsUp, sums }) => {
    if (watch.times.length === 0) return ['reading']
    if (watch.times.length === 1) return ['last']
    // Moments with names have no time between them that anything could be reckoned by.
    const named = watch.named.length > 0
    if (!isAmount) return turnsInto && !named ? ['until', 'last'] : ['last']
    return COUNTED.filter(
      (one) =>
        (addsUp || one !== 'of-100') && (one !== 'total' || (sums && !named)) && (!named || (one !== 'rate' && one !== 'until')),
    )
  },
  graph: ({ watch }) => (watch.times.length > 1 ? { best: 'lines', reason: 'over-time' } : undefined),
}

function timesOf({ watch }: Plan): Moment[] {
  if (watch.times.length === 0) return ONCE
  if (watch.named.length > 0)
    return watch.named.map(({ id, name, atHome }, time) => ({
      id,
      half: undefined,
      time,
      place: undefined,
      name: `${name.trim() || 'a moment without a name'}${atHome ? ' (at home)' : ''}`,
    }))
  const places = watch.places.filter((place) => place.trim() !== '')
  const times = [...watch.times].sort((a, b) => a - b)
  return times.flatMap((time): Moment[] =>
    places.length < 2
      ? [{ id: `t${time}`, half: undefined, time, place: places[0] }]
      : places.map((place, index) => ({ id: `t${time}p${index + 1}`, half: undefined, time, place })),
  )
}
