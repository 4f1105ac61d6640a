import type { Plan } from '../lesson'
import { heldDays, inUnitOf, type Booking, type School } from './cupboard'
import { needsOf } from './needs'

/** What a lesson takes out of the cupboard and when; nothing while it has no day. */
export function bookingsOf(lesson: { id: string; plan: Plan }, things: School['things'], held: School['held']): Booking[] {
  const { id, plan } = lesson
  const days = heldDays(plan, held)
  const linked = plan.materials.filter((material) => material.thing !== null)
  if (!days || linked.length === 0) return []
  return needsOf({ ...plan, materials: linked }).flatMap((need, place): Booking[] => {
    const material = linked[place]!
    const thing = things.find((one) => one.id === material.thing)
    const amount = thing && inUnitOf(thing, need.forClass, need.unit, material.density)
    if (!thing || amount === undefined) return []
    const { date, title } = plan
    return [{ thing: thing.id, lesson: id, title, date, start: plan.clock.start, ...days, amount, use: material.use }]
  })
}
