import type { Stop } from '~~/core/lesson'

export type PrintoutName = 'trays' | 'planning' | 'planning-blank' | 'slips' | 'words' | 'report'

/** What can be printed of a lesson, in the order a lesson needs it; `from` is the stop it belongs to. */
export const PRINTOUTS: Record<PrintoutName, { name: string; label: string; from: Stop }> = {
  trays: { name: 'Tray lists', label: 'Tray lists for the kit', from: 'kit' },
  planning: { name: 'Group sheets', label: 'Group sheets, filled in', from: 'plan' },
  'planning-blank': { name: 'Planning sheet', label: 'Planning sheet to fill in', from: 'plan' },
  slips: { name: 'Prediction slips', label: 'Prediction slips', from: 'predict' },
  words: { name: 'Word mat', label: 'Word mat for the wall', from: 'plan' },
  report: { name: 'Report', label: 'Class report, one page', from: 'agree' },
}

export const PRINTOUT_NAMES = Object.keys(PRINTOUTS) as PrintoutName[]
