import { stockChange } from '../../../../core/kit'
import { countBackSchema } from '../../../../schemas/school'
import { lessonRoute } from '../../../access/route'
import { countBack, listThings } from '../../../database/cupboard'

/** What came back after the lesson and what broke. The cupboard's stocks follow; counting again replaces the count. */
export default lessonRoute({ body: countBackSchema }, async ({ database, lesson, body }) => {
  const things = new Map((await listThings(database)).map((thing) => [thing.id, thing]))
  const rows = body.rows.flatMap(({ material: id, taken, back, broken }) => {
    const material = lesson.plan.materials.find((one) => one.id === id)
    const thing = material?.thing ? things.get(material.thing) : undefined
    if (!material || !thing) return []
    return [{ thing: thing.id, change: stockChange({ use: material.use, taken, back, broken }), broken }]
  })
  await countBack(database, lesson.id, summed(rows))
  return { counted: rows.length }
})

/** Two materials of a lesson can be the same thing. */
function summed(rows: { thing: string; change: number; broken: number }[]) {
  const sums = new Map<string, { thing: string; change: number; broken: number }>()
  for (const { thing, change, broken } of rows) {
    const sum = sums.get(thing)
    sums.set(thing, { thing, change: change + (sum?.change ?? 0), broken: broken + (sum?.broken ?? 0) })
  }
  return [...sums.values()]
}
