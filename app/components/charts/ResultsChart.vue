<script setup lang="ts">
import VChart from 'vue-echarts'
import { resultsGraph } from '~~/core/charts'
import type { LessonRecord, Plan } from '~~/core/lesson'
import { chartWords } from '~~/core/wording'
import { chartOption } from './chartOption'
import { useChartParts } from './parts'

/** The results graph, every reading as a dot. Loaded only where it is shown. */
useChartParts()
const props = defineProps<{ plan: Plan; record: LessonRecord; big?: boolean; dark?: boolean }>()
const graph = computed(() => resultsGraph(props.plan, props.record))
const option = computed(
  () => graph.value && chartOption(props.plan, graph.value, { big: props.big ?? false, dark: props.dark ?? false, paper: false }),
)
</script>

<template>
  <div v-if="graph && option" class="results-chart w-full h-full min-h-200px" role="img" :aria-label="chartWords(plan, graph)">
    <VChart
      :option="option"
      :update-options="{ notMerge: true }"
      :init-options="{ renderer: 'svg' }"
      autoresize
      aria-hidden="true"
    />
  </div>
</template>
