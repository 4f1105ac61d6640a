import { passphraseSchema } from '../../../schemas/requests'
import { turnOn } from '../../access/classMode'
import { openDesk } from '../../access/door'
import { headRoute } from '../../access/route'

/** Lets stations in; this page gets the desk's cookie. Once more with class mode on gives it another passphrase. */
export default headRoute<'PUT /api/class-mode'>({ body: passphraseSchema }, async ({ event, body }) => {
  await turnOn(body.passphrase)
  await openDesk(event, null)
  return { on: true }
})
