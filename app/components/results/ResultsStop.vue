<script setup lang="ts">
import { evidenceOf } from '~~/core/evidence'
import { measuredCard, momentsOf } from '~~/core/lesson'

/** How sure we can be, every reading on one graph, and the table behind it. */
const ResultsChart = defineAsyncComponent(() => import('~/components/charts/ResultsChart.vue'))
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const known = computed(() => new Set(plan.value.conditions.map(({ id }) => id)))
const evidence = computed(() => evidenceOf(plan.value, lesson.record))
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Results</h2>
      <p class="soft">What the class found, and how sure it can be.</p>
    </div>
    <template v-if="evidence && evidence.summaries.length > 0">
      <GradeBanner :plan="plan" :evidence="evidence" />
      <div class="chart"><ResultsChart :plan="plan" :record="lesson.record" /></div>
      <MomentTable v-if="momentsOf(plan).length > 1" class="section" :plan="plan" :record="lesson.record" />
      <WordTable v-if="measuredCard(plan)?.method.instrument === 'words'" class="section" :plan="plan" :record="lesson.record" />
      <ResultsTable
        v-else-if="plan.kind !== 'over-time' && evidence.summaries.some(({ condition }) => known.has(condition))"
        class="section"
        :plan="plan"
        :evidence="evidence"
        :record="lesson.record"
      />
    </template>
    <div v-else class="empty-note">
      <strong>No readings yet</strong>
      Here the averages, every reading as a dot, and how sure the class can be will stand, such as “Clear: the gap is 2.1 times the
      wobble”.
      <NuxtLink :to="`/lesson/${lesson.id}/test`">Key readings in</NuxtLink>, or take a table in from CSV.
    </div>
  </div>
</template>

<style scoped>
.chart {
  height: 330px;
  margin: 12px 0 4px;
  padding: 8px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
}
</style>
