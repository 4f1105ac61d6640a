import { newProposalSchema } from '../../../schemas/record'
import { otherGroup, stationRoute } from '../../access/route'
import { addConclusion, findConclusion } from '../../database/conclusions'
import { idTaken } from '../../lesson/checkRows'

/** A sentence that the station's own group offers the class, or a further wording of it. */
export default stationRoute({ body: newProposalSchema }, async ({ database, lesson, station, body, entered }) => {
  const earlier = body.from === null ? undefined : await findConclusion(database, lesson.id, body.from)
  if (earlier && earlier.group !== station.group) throw otherGroup('from')
  const from = earlier?.id ?? null
  const sentence = { ...body, from, group: station.group, hands: null, agreed: false, by: 'station' as const, at: entered }
  const result = await addConclusion(database, lesson.id, sentence)
  if (!result.ok) throw idTaken()
  return { conclusion: result.conclusion }
})
