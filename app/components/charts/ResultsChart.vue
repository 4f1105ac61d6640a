<script setup lang="ts">
import VChart from 'vue-echarts'
import type { LessonRecord, Plan } from '~~/core/lesson'
import { optionOf, wordsOf } from './optionOf'
import { useChartParts } from './parts'

/** The results graph, every reading as a dot. Loaded only where it is shown. */
useChartParts()
const props = defineProps<{ plan: Plan; record: LessonRecord; big?: boolean; dark?: boolean }>()
const option = computed(() =>
  optionOf(props.plan, props.record, { big: props.big ?? false, dark: props.dark ?? false, paper: false }),
)
</script>

<template>
  <div v-if="option" class="results-chart w-full h-full min-h-200px" role="img" :aria-label="wordsOf(plan, record)">
    <VChart
      :option="option"
      :update-options="{ notMerge: true }"
      :init-options="{ renderer: 'svg' }"
      autoresize
      aria-hidden="true"
    />
  </div>
</template>
