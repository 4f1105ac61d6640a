import { randomUUID } from 'node:crypto'
import { deskSchema } from '../../../schemas/requests'
import { classModeIsOn } from '../../access/classMode'
import { keptOf } from '../../access/passphrase'
import { refusal } from '../../access/refusal'
import { headRoute } from '../../access/route'
import { saveDesk } from '../../database/desks'

/** Gives a class a desk of its own. */
export default headRoute<'POST /api/desks'>({ body: deskSchema }, async ({ database, body }) => {
  if (!(await classModeIsOn())) throw refusal(409, 'class-mode-first')
  const id = randomUUID()
  if (!(await saveDesk(database, { id, name: body.name, ...(await keptOf(body.passphrase)) })))
    throw refusal(409, 'desk-name-taken', 'name')
  return { id }
})
