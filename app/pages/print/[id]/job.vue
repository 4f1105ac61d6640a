<script setup lang="ts">
import { useLocalStorage, useResizeObserver } from '@vueuse/core'
import { provideLessonPlan } from '~/composables/lessonPlan'
import { NO_SCHOOL, type School } from '~~/core/kit'
import { printJob, type InAJob } from '~~/core/reports'
import { counted, lessonName, printJobLine, PRINT_JOB_WORDS } from '~~/core/wording'
import type { WholeLesson } from '~~/schemas/contract'
import { sheets, told } from '~/components/print/sheets'
import { PRINTOUTS } from '~/composables/printouts'
import { useClassMode } from '~/composables/classMode'
import { pagesOf } from '~/composables/fitInside'
import TickField from '~/forms/TickField.vue'
import { callServer, messageOf } from '~/following/callServer'

/** All that a lesson needs on paper as one pile: what belongs to it is ticked, and what a class ticks off or on stays so for it. */
const route = useRoute()
const whole = shallowRef<WholeLesson>()
const school = shallowRef<School>(NO_SCHOOL)
const trouble = ref('')
const { mode } = useClassMode()
const plan = computed(() => whole.value?.lesson.plan)
const job = computed(() => plan.value && printJob(plan.value, whole.value!.record, school.value, mode.value?.on ?? false))
/** By class: what is wanted though it is not needed, and the other way round. */
const chosen = useLocalStorage<Record<string, Partial<Record<InAJob, boolean>>>>('print-job', {})
const ofClass = computed(() => chosen.value[plan.value?.className ?? ''] ?? {})
const isIn = (name: InAJob) => ofClass.value[name] ?? job.value?.needed.includes(name) ?? false
function choose(name: InAJob, on: boolean): void {
  chosen.value = { ...chosen.value, [plan.value!.className]: { ...ofClass.value, [name]: on } }
}
const offered = computed(() => (job.value ? [...job.value.needed, ...job.value.more] : []))
const printed = computed(() => offered.value.filter(isIn))
const line = computed(() =>
  plan.value
    ? printJobLine(
        plan.value,
        printed.value.map((name) => PRINTOUTS[name].name),
      )
    : '',
)
const of = (name: InAJob) => told(name, { record: whole.value!.record, school: school.value, code: whole.value!.lesson.code })
useHead({
  title: () => `${job.value ? PRINT_JOB_WORDS[job.value.when] : 'Print'} · ${plan.value ? lessonName(plan.value.title) : 'Lesson'}`,
})
onMounted(async () => {
  try {
    const path = { lesson: String(route.params.id) }
    school.value = (await callServer('GET /api/lessons/[lesson]/school', { path })).school
    whole.value = await callServer('GET /api/lessons/[lesson]', { path })
  } catch (error) {
    trouble.value = messageOf(error)
  }
})
const pile = ref<HTMLElement>()
const pages = ref(0)
useResizeObserver(pile, () => {
  pages.value = [...(pile.value?.children ?? [])].reduce((sum, one) => sum + pagesOf(one as HTMLElement), 0)
})
provideLessonPlan(() => plan.value)
const print = () => window.print()
</script>

<template>
  <main class="paper">
    <div class="screen-only row bar">
      <QuietBtn :to="`/lesson/${$route.params.id}/kit`">Back to the lesson</QuietBtn>
      <MainBtn :disabled="printed.length === 0" @click="print">Print</MainBtn>
      <span class="hint">A4 or Letter, made for black and white. The browser can also save it as PDF.</span>
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template v-if="job && plan">
      <section class="screen-only choice">
        <h1 class="text-large">{{ PRINT_JOB_WORDS[job.when] }}</h1>
        <ul>
          <li v-for="name in offered" :key="name">
            <TickField
              :model-value="isIn(name)"
              :label="PRINTOUTS[name].label"
              @update:model-value="choose(name, $event === true)"
            />
          </li>
        </ul>
        <p role="status">
          <strong>{{ pages === 0 ? 'Nothing is ticked.' : `About ${counted(pages, 'page')}.` }}</strong>
        </p>
        <p class="hint">Ticks that you change stay so for class {{ plan.className }}.</p>
      </section>
      <p v-if="printed.length > 0" class="text-9pt">{{ line }}</p>
      <div ref="pile">
        <div v-for="(name, place) in printed" :key="name" :class="{ 'new-page': place > 0 }">
          <component :is="sheets[name]" v-bind="of(name)" />
        </div>
      </div>
    </template>
  </main>
</template>

<style scoped>
.choice {
  margin-bottom: 10mm;
  padding-bottom: 6mm;
  border-bottom: 2px solid var(--ink);
}
.choice ul {
  columns: 2;
}
</style>
