import { dayAfter, USUAL_CALENDAR, type Calendar } from '../core/clock'
import type { Thing } from '../core/kit'
import type { UnitCode } from '../core/quantity'

type Row = [
  name: string,
  stock: number,
  unit: UnitCode,
  place: string,
  minimum: number | null,
  pack: number | null,
  price: number | null,
]

const ROWS: Row[] = [
  ['30 cm ruler', 30, 'pieces', 'drawer 1', 20, 10, 3.5],
  ['Shallow tray', 8, 'pieces', 'shelf 2', 8, 1, 2.2],
  ['Floor cloth', 6, 'pieces', 'under the sink', 8, 5, 4],
  ['Clothes peg and stick to hang the strip', 9, 'pieces', 'box “pegs”', null, null, null],
  ['Stopwatch', 8, 'pieces', 'drawer 1', 8, 1, 6.9],
  ['Thermometer', 9, 'pieces', 'drawer 2', 8, 5, 18],
  ['Digital kitchen scale', 3, 'pieces', 'shelf 3', 3, 1, 14.5],
  ['Measuring jug', 7, 'pieces', 'shelf 3', null, 1, 3],
  ['Cress seeds', 900, 'pieces', 'box “garden”', 500, 1000, 1.4],
  ['Cotton wool pad', 64, 'pieces', 'box “garden”', 40, 80, 1.1],
  ['Dish', 40, 'pieces', 'shelf 2', 30, 20, 4.8],
  ['Golden syrup', 350, 'mL', 'top shelf', 500, 325, 2.3],
  ['Sugar', 1.4, 'kg', 'top shelf', 1, 1, 1.15],
  ['Guillotine, for cutting beforehand', 1, 'pieces', 'office', null, null, null],
]

/** What stands in the prep room of the demo school: enough for most lessons, and a few things that run low. */
export function demoCupboard(newId: () => string): Thing[] {
  return ROWS.map(([name, stock, unit, place, minimum, pack, price]) => ({
    id: newId(),
    name,
    unit,
    stock,
    place,
    minimum,
    pack,
    price,
  }))
}

/** A term around today with a short holiday in it three weeks from now. */
export function demoCalendar(today: string): Calendar {
  return {
    ...USUAL_CALENDAR,
    terms: [{ name: 'This term', from: dayAfter(today, -40), to: dayAfter(today, 50) }],
    holidays: [{ name: 'Half term', from: dayAfter(today, 21), to: dayAfter(today, 25) }],
  }
}
