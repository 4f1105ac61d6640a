import type { H3Event } from 'h3'
import { typedPassphraseSchema } from '../../../schemas/requests'
import { classModeIsOn, headPassphrase } from '../../access/classMode'
import { openDesk } from '../../access/door'
import { isRight } from '../../access/passphrase'
import { refusal } from '../../access/refusal'
import { openRoute, type TakeBack } from '../../access/route'
import { countTry, takeBackTry, WRONG } from '../../access/slowDown'
import { addressOfCaller } from '../../access/who'
import { findDesk } from '../../database/desks'
import type { Database } from '../../database/open'

const whoTypes = (event: H3Event) => `passphrase ${addressOfCaller(event)}`

/** Without class mode there is no passphrase, and the desk is open. With it, a try is counted before anything of it is read. */
async function first(event: H3Event, database: Database): Promise<TakeBack> {
  if (!(await classModeIsOn())) throw refusal(409, 'desk-is-open')
  await countTry(database, whoTypes(event), WRONG)
  return () => takeBackTry(database, whoTypes(event))
}

/** Opens a desk for a page that knows its passphrase: a class's own, or the head desk where none is named. */
export default openRoute<'POST /api/desk'>({ body: typedPassphraseSchema, first }, async ({ event, database, body }) => {
  const kept = body.desk === null ? await headPassphrase() : await findDesk(database, body.desk)
  if (!kept || !(await isRight(body.passphrase, kept))) throw refusal(401, 'wrong-passphrase', 'passphrase')
  await takeBackTry(database, whoTypes(event))
  await openDesk(event, body.desk)
  return { desk: true }
})
