import { groupTogetherSchema } from '../../../../schemas/together'
import { notFound } from '../../../access/refusal'
import { togetherRoute } from '../../../access/route'
import { takePart } from '../../../record/splitAndJoin'

/** A group of the class takes part in one of the lessons, or not any more. */
export default togetherRoute<'PUT /api/together/[together]/groups'>(
  { body: groupTogetherSchema },
  async ({ database, together, body }) => {
    if (!together.lessons.some(({ id }) => id === body.lesson)) throw notFound('lesson')
    await takePart(database, together, body)
    return { done: true as const }
  },
)
