import { classModeIsOn } from '../../access/classMode'
import { deskOf } from '../../access/door'
import { network } from '../../access/network'
import { openRoute } from '../../access/route'
import { findDesk } from '../../database/desks'

/** Is class mode on, at which desk this page sits, and where stations find the server. */
export default openRoute<'GET /api/class-mode'>({}, async ({ event, database }) => {
  const at = await deskOf(event)
  const own = at?.desk ? await findDesk(database, at.desk) : undefined
  const { addresses, port } = network() ?? { addresses: () => [], port: undefined }
  return {
    on: await classModeIsOn(),
    desk: at !== undefined,
    own: own ? { id: own.id, name: own.name } : null,
    addresses: at ? addresses().map((address) => `${address}:${port}`) : [],
  }
})
