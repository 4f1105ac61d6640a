import type { Stop } from '~~/core/lesson'

export type PrintoutName =
  | 'trays'
  | 'labels'
  | 'picking'
  | 'shopping'
  | 'getting-ready'
  | 'count-back'
  | 'rota'
  | 'jobs'
  | 'planning'
  | 'planning-blank'
  | 'slips'
  | 'record'
  | 'words'
  | 'report'

/** What can be printed of a lesson, in the order a lesson needs it; `from` is the stop it belongs to. */
export const PRINTOUTS: Record<PrintoutName, { name: string; label: string; from: Stop }> = {
  trays: { name: 'Tray lists', label: 'Tray lists for the kit', from: 'kit' },
  labels: { name: 'Tray labels', label: 'Tray labels, eight to a page', from: 'kit' },
  picking: { name: 'Picking list', label: 'Picking list by place', from: 'kit' },
  shopping: { name: 'Shopping list', label: 'Shopping list', from: 'kit' },
  'getting-ready': { name: 'Getting ready', label: 'Getting-ready list', from: 'kit' },
  'count-back': { name: 'Counting back', label: 'Count-back sheet', from: 'kit' },
  rota: { name: 'Who does what', label: 'Who does what, and when', from: 'clock' },
  jobs: { name: 'Jobs', label: 'Jobs and sharing', from: 'clock' },
  planning: { name: 'Group sheets', label: 'Group sheets, filled in', from: 'plan' },
  'planning-blank': { name: 'Planning sheet', label: 'Planning sheet to fill in', from: 'plan' },
  slips: { name: 'Prediction slips', label: 'Prediction slips', from: 'predict' },
  record: { name: 'Record sheets', label: 'Record sheets for the groups', from: 'test' },
  words: { name: 'Word mat', label: 'Word mat for the wall', from: 'plan' },
  report: { name: 'Report', label: 'Class report, one page', from: 'agree' },
}

export const PRINTOUT_NAMES = Object.keys(PRINTOUTS) as PrintoutName[]
