import { leaveDesk } from '../../access/door'
import { openRoute } from '../../access/route'

/** Leaves the desk on this device; it opens again with the passphrase. */
export default openRoute<'DELETE /api/desk'>({}, async ({ event }) => {
  await leaveDesk(event)
  return { done: true }
})
