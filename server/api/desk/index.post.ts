import { getRequestIP } from 'h3'
import { typedPassphraseSchema } from '../../../schemas/requests'
import { isPassphrase } from '../../access/classMode'
import { openDesk } from '../../access/door'
import { Refusal } from '../../access/refusal'
import { openRoute } from '../../access/route'
import { requireNoWait, wasWrong } from '../../access/slowDown'

/** Opens the desk for a page that knows the passphrase. */
export default openRoute({ body: typedPassphraseSchema }, async ({ event, body }) => {
  const who = `passphrase ${getRequestIP(event)}`
  requireNoWait(who)
  if (!(await isPassphrase(body.passphrase))) {
    wasWrong(who)
    throw new Refusal(401, {
      code: 'wrong-passphrase',
      message: 'This is not the passphrase. If nobody knows it, stop Jolly Beaker and start it with: npm start -- --class-mode-off',
      field: 'passphrase',
    })
  }
  await openDesk(event)
  return { desk: true }
})
