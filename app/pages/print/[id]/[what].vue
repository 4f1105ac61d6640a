<script setup lang="ts">
import { provideLessonPlan } from '~/composables/lessonPlan'
import type { Component } from 'vue'
import { NO_SCHOOL, type School } from '~~/core/kit'
import type { WholeLesson } from '~~/schemas/contract'
import { PRINTOUT_NAMES, PRINTOUTS, type PrintoutName } from '~/composables/printouts'
import MadeUpMark from '~/components/pieces/MadeUpMark.vue'
import { drawnFrom } from '~/following/madeUp'
import { callServer, messageOf } from '~/following/callServer'

/** A printout: shown as it will look, with one button that prints it. */
const route = useRoute()
const whole = shallowRef<WholeLesson>()
const school = shallowRef<School>(NO_SCHOOL)
const trouble = ref('')
/** What is counted with the cupboard in mind. */
const KIT: PrintoutName[] = ['trays', 'picking', 'shopping', 'getting-ready', 'count-back']
const WITH_CODE: PrintoutName[] = ['codes']
const REPORTS: PrintoutName[] = ['report', 'group-report', 'teacher-notes']
const sheets: Record<PrintoutName, Component> = {
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
/** A made-up class takes the place of the real one, drawn from the same seed as on the screen. */
const madeUp = computed(() => whole.value && drawnFrom(route.query, whole.value.lesson.plan))
const shown = computed(() =>
  madeUp.value
    ? { plan: madeUp.value.plan, record: madeUp.value.record }
    : whole.value && { plan: whole.value.lesson.plan, record: whole.value.record },
)
const what = computed(() => PRINTOUT_NAMES.find((one) => one === route.params.what) ?? 'trays')
const more = computed(() => {
  const record = shown.value?.record
  const squares = Number(route.query.squares) || undefined
  if (what.value === 'squared' || what.value === 'squared-blank') return { record, squares, blank: what.value === 'squared-blank' }
  if (what.value === 'poster-a3' || what.value === 'poster-4a4')
    return { record, sheets: what.value === 'poster-a3' ? 'a3' : 'four-a4' }
  if (REPORTS.includes(what.value)) return { record }
  if (WITH_CODE.includes(what.value)) return { code: whole.value?.lesson.code ?? '' }
  if (KIT.includes(what.value)) return { school: school.value }
  return what.value === 'planning-blank' ? { blank: true } : {}
})
/** Posters have sheets of their own. */
const SHEETS: Partial<Record<PrintoutName, string>> = {
  'poster-a3': '@page { size: A3 portrait; margin: 12mm; }',
  'poster-4a4': '@page { size: A4 portrait; margin: 8mm; }',
}
useHead({
  style: () => (SHEETS[what.value] === undefined ? [] : [SHEETS[what.value]!]),
  title: () => `${PRINTOUTS[what.value].name} · ${whole.value?.lesson.plan.title || 'Lesson'}`,
})

onMounted(async () => {
  try {
    const path = { lesson: String(route.params.id) }
    if (KIT.includes(what.value)) school.value = (await callServer('GET /api/lessons/[lesson]/school', { path })).school
    whole.value = await callServer('GET /api/lessons/[lesson]', { path })
  } catch (error) {
    trouble.value = messageOf(error)
  }
})
provideLessonPlan(() => shown.value?.plan)
const print = () => window.print()
</script>

<template>
  <main class="paper">
    <div class="screen-only row bar">
      <QuietBtn :to="`/lesson/${$route.params.id}/${PRINTOUTS[what].from}`">Back to the lesson</QuietBtn>
      <MainBtn @click="print">Print</MainBtn>
      <span class="hint">A4 or Letter, made for black and white. The browser can also save it as PDF.</span>
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <MadeUpMark v-if="madeUp" />
    <component :is="sheets[what]" v-if="shown" v-bind="more" />
  </main>
</template>
