import { togetherRoute } from '../../../access/route'
import { schoolFor } from '../../../views/school'

/** The cupboard and what others have booked of it, as the first of the lessons sees it. */
export default togetherRoute<'GET /api/together/[together]/school'>({}, async ({ database, together }) => {
  const [first] = together.lessons
  return { school: (await schoolFor(database))(first?.id ?? '', first?.plan.className ?? '') }
})
