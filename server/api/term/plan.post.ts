import { termPlanSchema } from '../../../schemas/termPlan'
import { deskRoute } from '../../access/route'
import { loadTermPlan } from '../../views/termPlan'

/** Lays investigations over the weeks of a term; nothing is stored. */
export default deskRoute<'POST /api/term/plan'>({ body: termPlanSchema }, ({ database, body, desk }) =>
  loadTermPlan(database, body, desk),
)
