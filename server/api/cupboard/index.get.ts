import { deskRoute } from '../../access/route'
import { customsOf, heldDaysOf, listMoves, listThings } from '../../database/cupboard'
import { bookingsOfShelf } from '../../views/school'

/** The cupboard with what happened in it and who has booked it. */
export default deskRoute<'GET /api/cupboard'>({}, async ({ database }) => {
  const things = await listThings(database)
  const held = await heldDaysOf(database)
  const customs = await customsOf(database)
  const bookings = await bookingsOfShelf(database, { things, held, customs })
  return { things, held, moves: await listMoves(database), bookings }
})
