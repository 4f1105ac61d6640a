<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import VChart from 'vue-echarts'
import type { GapDrawing } from '~~/core/charts'
import type { Evidence } from '~~/core/evidence'
import { gapSentence } from '~~/core/wording'
import { gapOption } from '~/components/charts/gapOption'
import { useChartParts } from '~/components/charts/parts'

/** The gap between two averages, drawn beside the wobble of one reading. */
useChartParts()
const plan = useLessonPlan()
const props = defineProps<{ evidence: Evidence; drawing: GapDrawing }>()
const option = computed(() => gapOption(plan.value, props.evidence, props.drawing))
</script>

<template>
  <div class="w-full max-w-860px h-210px" role="img" :aria-label="evidence.spread ? gapSentence(plan, evidence.spread) : ''">
    <VChart
      :option="option"
      :update-options="{ notMerge: true }"
      :init-options="{ renderer: 'svg' }"
      autoresize
      aria-hidden="true"
    />
  </div>
</template>
