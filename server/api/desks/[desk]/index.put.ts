import { deskSchema } from '../../../../schemas/requests'
import { keptOf } from '../../../access/passphrase'
import { notFound, refusal } from '../../../access/refusal'
import { headRoute } from '../../../access/route'
import { findDesk, saveDesk } from '../../../database/desks'

/** Another name or passphrase for a class's desk; who has it open needs the new one. */
export default headRoute<'PUT /api/desks/[desk]'>({ body: deskSchema }, async ({ database, path, body }) => {
  if (!(await findDesk(database, path.desk))) throw notFound('desk')
  if (!(await saveDesk(database, { id: path.desk, name: body.name, ...(await keptOf(body.passphrase)) })))
    throw refusal(409, 'desk-name-taken', 'name')
  return { id: path.desk }
})
