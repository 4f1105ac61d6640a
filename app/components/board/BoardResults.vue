<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { everyTable, evidenceOf } from '~~/core/evidence'
import type { LessonRecord } from '~~/core/lesson'
import { doneByAll, progressOf } from '~~/core/record'
import { gradeName, sureSentences } from '~~/core/wording'
import SideBySide from '~/components/results/SideBySide.vue'

/** The graph and how sure the class can be. */
const ResultsChart = defineAsyncComponent(() => import('~/components/charts/ResultsChart.vue'))
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; dark: boolean; shown: boolean }>()
const emit = defineEmits<{ show: [] }>()
const done = computed(() => doneByAll(progressOf(plan.value, props.record.readings)))
const several = computed(() => {
  const tables = everyTable(plan.value, props.record)
  return tables.length > 1 && tables.some((table) => table.evidence.summaries.length > 0)
})
const evidence = computed(() => evidenceOf(plan.value, props.record))
</script>

<template>
  <div v-if="!shown" class="covered">
    <p class="large text-figure">Numbers stay hidden until every group is done.</p>
    <p>{{ done.done }} of {{ done.all }} written down. What do you expect now?</p>
    <VBtn class="show justify-self-start text-title" @click="emit('show')">Show them now</VBtn>
  </div>
  <SideBySide v-else-if="several" big :dark="dark" :record="record" />
  <div v-else-if="evidence && evidence.summaries.length > 0" class="results flex flex-col gap-near h-full">
    <div class="flex-1 min-h-0"><ResultsChart big :dark="dark" :record="record" /></div>
    <p>
      <strong>{{ gradeName(evidence) }}.</strong>
      {{ sureSentences(plan, evidence).join(' ') }}
    </p>
  </div>
  <p v-else>No numbers yet.</p>
</template>

<style scoped>
.covered {
  display: grid;
  gap: var(--gap-block);
  height: 100%;
  place-content: center;
}
</style>
