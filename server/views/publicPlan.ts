import type { Plan } from '../../core/lesson'

/** The plan as board and stations see it: without the teacher's notes and without the cupboard. */
export function publicPlan(plan: Plan): Plan {
  return {
    ...plan,
    notes: '',
    groupNotes: {},
    materials: plan.materials.map((material) => ({
      ...material,
      thing: null,
      stock: '',
      pack: '',
      price: '',
      place: '',
      toBuy: false,
    })),
  }
}
