import type { Clash, Plan } from '../lesson'

const PLACES: Record<string, string> = {
  title: 'the title',
  className: 'the class',
  children: 'how many children',
  date: 'the day',
  repeats: 'how many repeats',
  practice: 'how many practice trials',
  changed: 'what is changed',
  measured: 'what is measured',
  kind: 'the kind of test',
  resetList: 'the reset list',
  notes: 'the notes',
  wonder: 'Wonder',
  factors: 'things we could change',
  measures: 'things we could measure',
  conditions: 'conditions',
  groups: 'groups',
  materials: 'the kit',
  clock: 'the clock',
  arrangement: 'the arrangement',
  watch: 'when it is read',
}

/** Which place of the plan a clash is about. `'the kit, ruler, amount'` */
export function clashPlace(plan: Plan, { path }: Clash): string {
  let within: unknown = plan
  const words: string[] = []
  for (const step of path) {
    const card = Array.isArray(within) ? (within as { id: string }[]).find(({ id }) => id === step) : undefined
    within = card ?? (within as Record<string, unknown> | undefined)?.[step]
    words.push(card ? nameOf(card) : (PLACES[step] ?? spaced(step)))
  }
  return words.join(', ')
}

/** A value of a plan as one reads it. */
export function clashValue(value: unknown): string {
  if (value === '' || value === null || value === undefined) return 'nothing'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value)) return value.length === 0 ? 'nothing' : value.map(clashValue).join(', ')
  return typeof value === 'object' ? nameOf(value) : String(value as string | number)
}

function nameOf(card: object): string {
  const { name, label, text, caption } = card as Partial<Record<'name' | 'label' | 'text' | 'caption', string>>
  return name ?? label ?? text ?? caption ?? 'a change'
}

function spaced(field: string): string {
  return field.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
}
