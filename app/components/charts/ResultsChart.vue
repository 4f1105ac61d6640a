<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { useWindowSize } from '@vueuse/core'
import VChart from 'vue-echarts'
import type { LessonRecord } from '~~/core/lesson'
import { optionOf, wordsOf } from './optionOf'
import { useChartParts } from './parts'

/** The results graph, every reading as a dot. Loaded only where it is shown. */
useChartParts()
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; big?: boolean; dark?: boolean }>()
/** The board's letters grow with the wall, as far as those of its text (BoardFrame.vue). */
const { width } = useWindowSize()
const wide = computed(() => Math.min(1.93, Math.max(0.86, width.value / 1280)))
const option = computed(() =>
  optionOf(plan.value, props.record, {
    big: props.big ?? false,
    dark: props.dark ?? false,
    paper: false,
    wide: props.big ? wide.value : 1,
  }),
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
