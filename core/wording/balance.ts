import type { Plan } from '../lesson'
import type { Weighing } from '../record'
import { conditionWithLetter } from './names'

/** What one weighing said. `'A stone is heavier than C cork'` */
export function weighingWords(plan: Plan, { left, right, down }: Weighing): string {
  const [one, other] = [conditionWithLetter(plan, left), conditionWithLetter(plan, right)]
  if (down === 'same') return `${one} and ${other} stay level: closer than this balance can tell`
  return down === 'left' ? `${one} is heavier than ${other}` : `${other} is heavier than ${one}`
}
