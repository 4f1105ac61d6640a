import { turnOff } from '../../access/classMode'
import { headRoute } from '../../access/route'

/** This computer only again. */
export default headRoute<'DELETE /api/class-mode'>({}, async () => {
  await turnOff()
  return { on: false }
})
