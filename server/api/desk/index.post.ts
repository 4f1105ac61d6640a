import { typedPassphraseSchema } from '../../../schemas/requests'
import { headPassphrase } from '../../access/classMode'
import { openDesk } from '../../access/door'
import { isRight } from '../../access/passphrase'
import { refusal } from '../../access/refusal'
import { openRoute } from '../../access/route'
import { countTry, takeBackTry, WRONG } from '../../access/slowDown'
import { addressOfCaller } from '../../access/who'
import { findDesk } from '../../database/desks'

/** Opens a desk for a page that knows its passphrase: a class's own, or the head desk where none is named. */
export default openRoute<'POST /api/desk'>({ body: typedPassphraseSchema }, async ({ event, database, body }) => {
  const who = `passphrase ${addressOfCaller(event)}`
  await countTry(database, who, WRONG)
  const kept = body.desk === null ? await headPassphrase() : await findDesk(database, body.desk)
  if (!kept || !(await isRight(body.passphrase, kept))) throw refusal(401, 'wrong-passphrase', 'passphrase')
  await takeBackTry(database, who)
  await openDesk(event, body.desk)
  return { desk: true }
})
