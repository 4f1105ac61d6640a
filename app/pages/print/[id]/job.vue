<script setup lang="ts">
import { useLocalStorage, useResizeObserver } from '@vueuse/core'
import { inPile, printJob, type InAJob, type PileChoices } from '~~/core/reports'
import { counted, lessonName, printJobLine, PRINT_JOB_WORDS } from '~~/core/wording'
import MadeUpMark from '~/components/pieces/MadeUpMark.vue'
import { sheets, told } from '~/components/print/sheets'
import { useClassMode } from '~/composables/classMode'
import { pagesOf } from '~/composables/fitInside'
import { usePrintedLesson } from '~/composables/printedLesson'
import { PRINTOUTS } from '~/composables/printouts'
import TickField from '~/forms/TickField.vue'

/** All that a lesson needs on paper as one pile: what belongs to it is ticked, and what a class ticks off or on stays so for it. */
const { plan, record, own, school, code, madeUp, trouble } = usePrintedLesson(() => true)
const { mode } = useClassMode()
const job = computed(() => plan.value && printJob(plan.value, record.value!, school.value, mode.value?.on ?? false))
const chosen = useLocalStorage<Record<string, PileChoices>>('print-job', {})
const ofClass = computed(() => chosen.value[plan.value?.className ?? ''] ?? {})
const printed = computed(() => (job.value ? inPile(job.value, ofClass.value) : []))
const line = computed(() => {
  const names = printed.value.map((name) => PRINTOUTS[name].name)
  return plan.value ? printJobLine(plan.value, names) : ''
})
const of = (name: InAJob) => told(name, { record: record.value, own: own.value, school: school.value, code: code.value })
function choose(name: InAJob, on: boolean): void {
  chosen.value = { ...chosen.value, [plan.value!.className]: { ...ofClass.value, [name]: on } }
}
const pile = ref<HTMLElement>()
const pages = ref(0)
useResizeObserver(pile, () => {
  pages.value = [...pile.value!.children].reduce((sum, one) => sum + pagesOf(one as HTMLElement), 0)
})
useHead({ title: () => `${PRINT_JOB_WORDS[job.value?.when ?? 'before']} · ${lessonName(plan.value?.title)}` })
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
    <MadeUpMark v-if="madeUp" />
    <template v-if="job && plan">
      <section class="screen-only choice">
        <h1 class="text-large">{{ PRINT_JOB_WORDS[job.when] }}</h1>
        <ul>
          <li v-for="name in [...job.needed, ...job.more]" :key="name">
            <TickField
              :model-value="printed.includes(name)"
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
@media screen {
  .new-page {
    margin-top: 14mm;
  }
}
</style>
