import { deskBodySchemas } from '../../../../schemas/rows'
import { readJsonBody } from '../../../access/body'
import { requireDesk } from '../../../access/door'
import { checked, guarded, lessonOf } from '../../../access/route'
import { useDatabase } from '../../../database/connection'
import { answerFor, rowsIn } from '../../../record/answer'
import { kindOf } from '../../../record/kindOf'
import { writeRows } from '../../../record/write'

/** Rows of any kind, written down at the desk: keyed in, corrected, set aside, said. */
export default guarded(async (event) => {
  const at = await requireDesk(event)
  const kind = kindOf(event, 'desk')
  const lesson = await lessonOf(event, at)
  const body = checked<object>(deskBodySchemas[kind.list], await readJsonBody(event, 'plain'))
  const stamp = { by: 'desk', at: new Date().toISOString() } as const
  return answerFor(kind, body, await writeRows(await useDatabase(), lesson, kind, rowsIn(kind, body), stamp))
})
