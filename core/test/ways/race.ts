import { mean } from 'simple-statistics'
import type { Plan } from '../../lesson'
import type { EntryResult, WayOfReading } from './way'

/** A place in an order of finishing, side by side. */
export const race: WayOfReading = {
  code: 'race',
  isAmount: false,
  fromWords: false,
  isPlace: true,
  ranks: true,
  turnsInto: false,
  weighsTwo: false,
  sideBySide: true,
  unit: 'place',
  expectedUnit: 's',
  begun: {},
  parts: [],
  read: (_method, text, _options, plan) => readPlace(plan, text.trim()),
  // A place in an order that is put right is typed.
  devices: () => ['pad'],
  screen: 'order',
  middle: mean,
  graph: () => ({ best: 'places', reason: 'places' }),
}

/** Ties share a place, halves are the usual way to write them: two seconds are both 2.5. */
function readPlace(plan: Plan, text: string): EntryResult {
  const digits = /^(\d{1,2}(?:[.,]5)?)(?:st|nd|rd|th)?$/i.exec(text)?.[1]
  const value = Number(digits?.replace(',', '.'))
  const fits = value >= 1 && value <= plan.conditions.length
  return fits ? { ok: true, value, unit: 'place' } : { ok: false, code: text === '' ? 'empty' : 'not-a-place', position: 0 }
}
