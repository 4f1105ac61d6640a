import { turnOff } from '../../access/classMode'
import { deskRoute } from '../../access/route'
import { endStreams } from '../../live/stream'

/** This computer only again. */
export default deskRoute<'DELETE /api/class-mode'>({}, async () => {
  await turnOff()
  // Whoever watches comes back by itself, if it still may.
  endStreams()
  return { on: false }
})
