<script setup lang="ts">
import WithPlan from '~/components/pieces/WithPlan.vue'
import { useLessonPlan } from '~/composables/lessonPlan'
import { acrossSeries, everyTable } from '~~/core/evidence'
import { type LessonRecord, type Plan } from '~~/core/lesson'
import { eachMeasure, testOf } from '~~/core/test'
import { acrossFigures, acrossSentences, gradeName, sureSentences } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'

/** What was found of each measure, the graphs beside each other; of several series all on one graph, and whether they differ. */
const ResultsChart = defineAsyncComponent(() => import('~/components/charts/ResultsChart.vue'))
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const measures = computed(() => {
  const tables = everyTable(plan.value, props.record)
  return eachMeasure(plan.value).map((view) => ({
    view,
    name: testOf(view).measure?.name.trim() || 'no name yet',
    tables: tables.filter(({ plan }) => plan.measured === view.measured),
    across: acrossSeries(view, props.record),
  }))
})
const saidAcross = (view: Plan, across: (typeof measures.value)[number]['across']) => (across ? acrossSentences(view, across) : [])
</script>

<template>
  <div class="measures">
    <section
      v-for="{ view, name, tables, across } in measures"
      :key="name"
      class="flex flex-col min-w-0 gap-close"
      :aria-label="name"
    >
      <h3 v-if="measures.length > 1" class="text-lead">{{ name }}</h3>
      <template v-if="tables.some(({ evidence }) => evidence.summaries.length > 0)">
        <div class="chart">
          <WithPlan :plan="view"><ResultsChart :record="record" /></WithPlan>
        </div>
        <p v-for="sentence in saidAcross(view, across)" :key="sentence" class="font-heading text-lead">
          {{ sentence }}
        </p>
        <p v-for="table in tables" :key="table.series?.id ?? ''">
          <strong>{{ table.series ? `${table.series.name}: ` : '' }}{{ gradeName(table.evidence) }}.</strong>
          {{ sureSentences(table.plan, table.evidence)[0] }}
        </p>
        <AppFold v-if="across && !('code' in across)" title="For the teacher" hint="the figures behind it">
          <p v-for="line in acrossFigures(across)" :key="line">{{ line }}</p>
        </AppFold>
      </template>
      <p v-else class="soft">No numbers yet.</p>
    </section>
  </div>
</template>

<style scoped>
.measures {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 340px), 1fr));
  gap: var(--gap-block);
}
.chart {
  min-height: 260px;
}
</style>
