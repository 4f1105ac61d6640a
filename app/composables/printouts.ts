import type { Stop } from '../../core/lesson'

export type PrintoutName =
  | 'trays'
  | 'labels'
  | 'picking'
  | 'shopping'
  | 'getting-ready'
  | 'count-back'
  | 'rota'
  | 'jobs'
  | 'visit-slips'
  | 'codes'
  | 'planning'
  | 'planning-blank'
  | 'slips'
  | 'record'
  | 'home'
  | 'words'
  | 'warm-ups'
  | 'squared'
  | 'squared-blank'
  | 'report'
  | 'group-report'
  | 'poster-a3'
  | 'poster-4a4'
  | 'teacher-notes'

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
  'visit-slips': { name: 'Visit slips', label: 'Slips for after a visit', from: 'agree' },
  codes: { name: 'Code strips', label: 'Strips with the children’s codes', from: 'test' },
  planning: { name: 'Group sheets', label: 'Group sheets, filled in', from: 'plan' },
  'planning-blank': { name: 'Planning sheet', label: 'Planning sheet to fill in', from: 'plan' },
  slips: { name: 'Prediction slips', label: 'Prediction slips', from: 'predict' },
  record: { name: 'Record sheets', label: 'Record sheets for the groups', from: 'test' },
  home: { name: 'Home sheets', label: 'Home sheets, one for each child', from: 'test' },
  words: { name: 'Word mat', label: 'Word mat for the wall', from: 'plan' },
  'warm-ups': { name: 'Warm-ups', label: 'Scales to read, with answers', from: 'plan' },
  squared: { name: 'Squared paper', label: 'Squared paper, axes numbered', from: 'results' },
  'squared-blank': { name: 'Blank squared paper', label: 'Squared paper, axes blank', from: 'results' },
  report: { name: 'Report', label: 'Class report, one page', from: 'agree' },
  'group-report': { name: 'Group reports', label: 'Group reports, a page each', from: 'agree' },
  'poster-a3': { name: 'Poster', label: 'Wall poster on A3', from: 'agree' },
  'poster-4a4': { name: 'Poster on four sheets', label: 'Wall poster on four A4 sheets', from: 'agree' },
  'teacher-notes': { name: 'Teacher’s notes', label: 'Teacher’s notes, not for the wall', from: 'agree' },
}

export const PRINTOUT_NAMES = Object.keys(PRINTOUTS) as PrintoutName[]
