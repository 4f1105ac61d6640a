import { getRequestIP } from 'h3'
import { typedPassphraseSchema } from '../../../schemas/requests'
import { isPassphrase } from '../../access/classMode'
import { openDesk } from '../../access/door'
import { refusal } from '../../access/refusal'
import { openRoute } from '../../access/route'
import { requireNoWait, wasWrong } from '../../access/slowDown'

/** Opens the desk for a page that knows the passphrase. */
export default openRoute<'POST /api/desk'>({ body: typedPassphraseSchema }, async ({ event, body }) => {
  const who = `passphrase ${getRequestIP(event)}`
  requireNoWait(who)
  if (!(await isPassphrase(body.passphrase))) {
    wasWrong(who)
    throw refusal(401, 'wrong-passphrase', 'passphrase')
  }
  await openDesk(event)
  return { desk: true }
})
