import type { Component } from 'vue'
import type { School } from '~~/core/kit'
import type { LessonRecord } from '~~/core/lesson'
import type { OwnQuestions } from '~~/core/wording/reports'
import type { PrintoutName } from '~/composables/printouts'

/** What draws each printout. Loaded when it is shown. */
export const sheets: Record<PrintoutName, Component> = {
  trays: defineAsyncComponent(() => import('~/components/print/TrayLists.vue')),
  labels: defineAsyncComponent(() => import('~/components/print/TrayLabels.vue')),
  picking: defineAsyncComponent(() => import('~/components/print/PickingList.vue')),
  shopping: defineAsyncComponent(() => import('~/components/print/ShoppingList.vue')),
  'getting-ready': defineAsyncComponent(() => import('~/components/print/GettingReadyList.vue')),
  'count-back': defineAsyncComponent(() => import('~/components/print/CountBackSheet.vue')),
  rota: defineAsyncComponent(() => import('~/components/print/WhoDoesWhat.vue')),
  jobs: defineAsyncComponent(() => import('~/components/print/JobsSheet.vue')),
  codes: defineAsyncComponent(() => import('~/components/print/CodeStrips.vue')),
  'visit-slips': defineAsyncComponent(() => import('~/components/print/VisitSlips.vue')),
  planning: defineAsyncComponent(() => import('~/components/print/PlanningSheet.vue')),
  'planning-blank': defineAsyncComponent(() => import('~/components/print/PlanningSheet.vue')),
  slips: defineAsyncComponent(() => import('~/components/print/PredictionSlips.vue')),
  record: defineAsyncComponent(() => import('~/components/print/RecordSheet.vue')),
  home: defineAsyncComponent(() => import('~/components/print/HomeSheet.vue')),
  words: defineAsyncComponent(() => import('~/components/print/WordMat.vue')),
  'warm-ups': defineAsyncComponent(() => import('~/components/print/WarmUpSheet.vue')),
  squared: defineAsyncComponent(() => import('~/components/print/SquaredPaper.vue')),
  'squared-blank': defineAsyncComponent(() => import('~/components/print/SquaredPaper.vue')),
  report: defineAsyncComponent(() => import('~/components/print/ClassReport.vue')),
  'group-report': defineAsyncComponent(() => import('~/components/print/GroupReports.vue')),
  'poster-a3': defineAsyncComponent(() => import('~/components/print/WallPoster.vue')),
  'poster-4a4': defineAsyncComponent(() => import('~/components/print/WallPoster.vue')),
  'teacher-notes': defineAsyncComponent(() => import('~/components/print/TeacherNotes.vue')),
}

/** What is counted with the cupboard in mind. */
export const WITH_CUPBOARD: PrintoutName[] = ['trays', 'picking', 'shopping', 'getting-ready', 'count-back']
const REPORTS: PrintoutName[] = ['group-report', 'teacher-notes']

/** What a printout has to be told beside the plan. */
export function told(
  what: PrintoutName,
  {
    record,
    school,
    code,
    squares,
    own,
  }: { record: LessonRecord | undefined; school: School; code: string; squares?: number; own?: OwnQuestions | undefined },
): Record<string, unknown> {
  if (what === 'squared' || what === 'squared-blank') return { record, squares, blank: what === 'squared-blank' }
  if (what === 'poster-a3' || what === 'poster-4a4') return { record, sheets: what === 'poster-a3' ? 'a3' : 'four-a4' }
  if (what === 'report') return { record, own }
  if (REPORTS.includes(what)) return { record }
  if (what === 'codes') return { code }
  if (WITH_CUPBOARD.includes(what)) return { school }
  return what === 'planning-blank' ? { blank: true } : {}
}
