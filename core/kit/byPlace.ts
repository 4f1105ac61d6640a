import type { Supply } from './supply'

/**
 * What is fetched, place by place in their order, so that nobody walks twice; what has no place written down comes last.
 * @example byPlace([{ supply: { place: '' } }, { supply: { place: 'shelf ' } }]).map(({ place }) => place) // => ['shelf', '']
 */
export function byPlace<Row extends { supply: Pick<Supply, 'place'> }>(rows: Row[]): { place: string; rows: Row[] }[] {
  const placeOf = ({ supply }: Row) => supply.place.trim()
  const places = [...new Set(rows.map(placeOf))].sort((a, b) => (a === '' ? 1 : b === '' ? -1 : a.localeCompare(b)))
  return places.map((place) => ({ place, rows: rows.filter((row) => placeOf(row) === place) }))
}
