import { passphraseSchema } from '../../../schemas/requests'
import { turnOn } from '../../access/classMode'
import { openDesk } from '../../access/door'
import { deskRoute } from '../../access/route'
import { endStreams } from '../../live/stream'

/** Lets stations in; this page gets the desk's cookie. Once more with class mode on gives it another passphrase. */
export default deskRoute<'PUT /api/class-mode'>({ body: passphraseSchema }, async ({ event, body }) => {
  await turnOn(body.passphrase)
  // Whoever watches comes back by itself, if it still may.
  endStreams()
  await openDesk(event)
  return { on: true }
})
