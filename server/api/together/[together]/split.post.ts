import { MOST_TOGETHER } from '../../../../core/together'
import { splitSchema } from '../../../../schemas/together'
import { refusal } from '../../../access/refusal'
import { togetherRoute } from '../../../access/route'
import { splitOff } from '../../../record/together'

/** Some groups of a lesson go into a lesson of their own, with all that they wrote down. */
export default togetherRoute<'POST /api/together/[together]/split'>({ body: splitSchema }, async ({ database, together, body }) => {
  if (together.lessons.length >= MOST_TOGETHER) throw refusal(409, 'together-full', undefined, { most: MOST_TOGETHER })
  return { id: await splitOff(database, together, body) }
})
