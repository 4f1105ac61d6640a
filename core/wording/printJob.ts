import type { PrintJob } from '../reports'
import type { Plan } from '../lesson'
import { dayWords } from './days'
import { lessonName, list } from './names'

export const PRINT_JOB_WORDS: Record<PrintJob['when'], string> = {
  before: 'What this lesson needs tonight',
  after: 'What is left to print of this lesson',
}

/** The line above a pile of printed sheets: whose it is and what lies in it. `'Soak-up strips · class Puffin: tray lists and record sheets'` */
export function printJobLine(plan: Plan, names: string[]): string {
  const day = plan.date === '' ? '' : `, ${dayWords(plan.date)}`
  return `${lessonName(plan.title)} · class ${plan.className}${day}: ${list(names.map((name) => name.toLowerCase()))}`
}
