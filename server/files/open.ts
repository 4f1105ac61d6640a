import { randomUUID } from 'node:crypto'
import { MOST_IN_LIBRARY } from '../../schemas/library'
import type { Opened } from '../../schemas/contract'
import { refusal } from '../access/refusal'
import type { Database } from '../database/open'
import { addStartingPoint } from '../database/startingPoints'
import { Arrival } from '../record/arrival'
import { storeParts } from './partsBeside'

/**
 * Opens what somebody brought: a lesson file as a further lesson, all lessons of a file of several that run together, or a lesson to begin from as one of the school's own.
 * A file that is not whole changes nothing.
 */
export async function openFile(database: Database, bytes: Uint8Array[], desk: string | null): Promise<Opened> {
  const arrival = new Arrival(database, desk)
  const ids = new Map<string, string>()
  let current = ''
  let startingPoint: string | undefined
  let sets: string[] | undefined
  try {
    await storeParts('open', bytes, async (part) => {
      if (part.part === 'starting-point') {
        startingPoint = await addStartingPoint(database, part.startingPoint, desk)
        if (startingPoint === undefined) throw refusal(409, 'library-full', undefined, { most: MOST_IN_LIBRARY.startingPoints })
      }
      if (part.part === 'lesson') {
        current = randomUUID()
        ids.set(part.id, current)
        await arrival.begin(current, part.plan, false)
        return 'afresh'
      }
      if (part.part === 'rows') await arrival.addRows(current, part.list, part.rows)
      if (part.part === 'picture') await arrival.addPicture(current, part.picture)
      if (part.part === 'together') {
        const anew = <Value>(of: Record<string, Value>) =>
          Object.fromEntries(Object.entries(of).flatMap(([old, value]) => (ids.has(old) ? [[ids.get(old)!, value]] : [])))
        const { together, lessons } = part
        const own = lessons.flatMap((old) => ids.get(old) ?? [])
        arrival.runTogether(own, { ...together, waiting: anew(together.waiting), sets: anew(together.sets) })
      }
      return 'next'
    })
    if (startingPoint === undefined) sets = await arrival.complete()
  } finally {
    if (sets === undefined) await arrival.giveUp()
  }
  if (startingPoint !== undefined) return { id: startingPoint, startingPoint: true }
  const [first] = ids.values()
  return { id: first!, ...(sets?.[0] === undefined ? {} : { together: sets[0] }) }
}
