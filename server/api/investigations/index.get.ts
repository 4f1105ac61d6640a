import { deskRoute } from '../../access/route'
import { loadInvestigations } from '../../views/investigations'

/** The ready investigations of the library, as cards. */
export default deskRoute<'GET /api/investigations'>({}, ({ database, desk }) => loadInvestigations(database, desk))
