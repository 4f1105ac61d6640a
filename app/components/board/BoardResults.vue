<script setup lang="ts">
import { evidenceOf } from '~~/core/evidence'
import type { LessonRecord, Plan } from '~~/core/lesson'
import { agreementSentence, GRADE_NAMES, gradeSentence } from '~~/core/wording'

/** The graph and how sure the class can be. */
const ResultsChart = defineAsyncComponent(() => import('~/components/charts/ResultsChart.vue'))
const props = defineProps<{ plan: Plan; record: LessonRecord; dark: boolean }>()
const evidence = computed(() => evidenceOf(props.plan, props.record))
</script>

<template>
  <div v-if="evidence && evidence.summaries.length > 0" class="results">
    <div class="chart"><ResultsChart big :dark="dark" :plan="plan" :record="record" /></div>
    <p>
      <strong>{{ GRADE_NAMES[evidence.grade] }}.</strong>
      {{ gradeSentence(plan, evidence) }} {{ agreementSentence(plan, evidence) }}
    </p>
  </div>
  <p v-else>No numbers yet.</p>
</template>

<style scoped>
.results {
  display: flex;
  flex-direction: column;
  gap: 8px;
  height: 100%;
}
.chart {
  flex: 1;
  min-height: 0;
}
</style>
