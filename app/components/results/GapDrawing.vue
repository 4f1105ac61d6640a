<script setup lang="ts">
import VChart from 'vue-echarts'
import type { GapDrawing } from '~~/core/charts'
import type { Evidence } from '~~/core/evidence'
import type { Plan } from '~~/core/lesson'
import { gapSentence } from '~~/core/wording'
import { gapOption } from '~/components/charts/gapOption'
import { useChartParts } from '~/components/charts/parts'

/** The gap between two averages, drawn beside the wobble of one reading. */
useChartParts()
const props = defineProps<{ plan: Plan; evidence: Evidence; drawing: GapDrawing }>()
const option = computed(() => gapOption(props.plan, props.evidence, props.drawing))
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
