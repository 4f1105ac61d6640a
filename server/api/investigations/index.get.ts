import { INVESTIGATIONS } from '../../../library'
import { deskRoute } from '../../access/route'

/** The ready investigations of the library. */
export default deskRoute<'GET /api/investigations'>({}, async () => ({
  investigations: Object.entries(INVESTIGATIONS).map(([id, { title, summary }]) => ({ id, title, summary })),
}))
