import { classModeIsOn } from '../../access/classMode'
import { mayUseDesk } from '../../access/door'
import { network } from '../../access/network'
import { openRoute } from '../../access/route'

/** Is class mode on, may this page use the desk, and where stations find the server. */
export default openRoute<'GET /api/class-mode'>({}, async ({ event }) => {
  const desk = await mayUseDesk(event)
  const { addresses, port } = network() ?? { addresses: () => [], port: undefined }
  return { on: await classModeIsOn(), desk, addresses: desk ? addresses().map((address) => `${address}:${port}`) : [] }
})
