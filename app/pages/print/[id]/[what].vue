<script setup lang="ts">
import { provideLessonPlan } from '~/composables/lessonPlan'
import { NO_SCHOOL, type School } from '~~/core/kit'
import type { WholeLesson } from '~~/schemas/contract'
import { PRINTOUT_NAMES, PRINTOUTS, type PrintoutName } from '~/composables/printouts'
import { sheets, told, WITH_CUPBOARD } from '~/components/print/sheets'
import MadeUpMark from '~/components/pieces/MadeUpMark.vue'
import { drawnFrom } from '~/following/madeUp'
import { callServer, messageOf } from '~/following/callServer'

/** A printout: shown as it will look, with one button that prints it. */
const route = useRoute()
const whole = shallowRef<WholeLesson>()
const school = shallowRef<School>(NO_SCHOOL)
const trouble = ref('')
/** A made-up class takes the place of the real one, drawn from the same seed as on the screen. */
const madeUp = computed(() => whole.value && drawnFrom(route.query, whole.value.lesson.plan))
const shown = computed(() =>
  madeUp.value
    ? { plan: madeUp.value.plan, record: madeUp.value.record }
    : whole.value && { plan: whole.value.lesson.plan, record: whole.value.record },
)
const what = computed(() => PRINTOUT_NAMES.find((one) => one === route.params.what) ?? 'trays')
const more = computed(() =>
  told(what.value, {
    record: shown.value?.record,
    school: school.value,
    code: whole.value?.lesson.code ?? '',
    squares: Number(route.query.squares) || undefined,
  }),
)
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
    if (WITH_CUPBOARD.includes(what.value)) school.value = (await callServer('GET /api/lessons/[lesson]/school', { path })).school
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
