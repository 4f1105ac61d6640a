import type { Plan } from '../../core/lesson'

/** A header that saves the answer under the lesson's name, in letters every disk takes. */
export function attachment(plan: Plan, ending: string): string {
  const name = plan.title
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
  return `attachment; filename="${name || 'lesson'}.${ending}"`
}
