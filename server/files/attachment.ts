import type { Plan } from '../../core/lesson'
import { fileNameOf } from '../../core/wording'

/** A header that saves the answer under the lesson's name. */
export function attachment(plan: Plan, ending: string): string {
  return `attachment; filename="${fileNameOf(plan.title, ending)}"`
}
