<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { graphChoices, resultsGraph } from '~~/core/charts'
import type { GraphKind, LessonRecord } from '~~/core/lesson'
import { fileNameOf, GRAPH_NAMES, graphLoss, graphReason } from '~~/core/wording'
import GraphTable from '~/components/results/GraphTable.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import { saveFile } from '~/composables/saveFile'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** The right graph and why; any other can be chosen, and what it loses is said. */
const ResultsChart = defineAsyncComponent(() => import('~/components/charts/ResultsChart.vue'))
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const lesson = useLesson()
const notices = useNotices()
const asTable = ref(false)
const choices = computed(() => graphChoices(plan.value, props.record))
const graph = computed(() => resultsGraph(plan.value, props.record))
const chosen = computed(() => choices.value.choices.find(({ kind }) => kind === graph.value?.kind))

function choose(kind: GraphKind): void {
  lesson.edit((draft) => (draft.graph = kind === choices.value.best ? null : kind))
}
const DESK = { big: false, dark: false, paper: false }
const SLIDE = { big: true, dark: false, paper: false }

async function saveSvg(): Promise<void> {
  const { svgOf } = await import('~/components/charts/pictureOf')
  const svg = svgOf(plan.value, props.record, DESK, { width: 900, height: 480 })
  if (svg === undefined) return notices.trouble('There is no graph to save yet.')
  saveFile(fileNameOf(`${plan.value.title} graph`, 'svg'), svg, 'image/svg+xml')
}
async function savePng(): Promise<void> {
  const { pngOf } = await import('~/components/charts/pictureOf')
  const address = pngOf(plan.value, props.record, SLIDE, { width: 1600, height: 900 })
  if (address === undefined) return notices.trouble('There is no graph to save yet.')
  const bytes = Uint8Array.from(atob(address.slice(address.indexOf(',') + 1)), (letter) => letter.charCodeAt(0))
  saveFile(fileNameOf(`${plan.value.title} graph`, 'png'), new Blob([bytes], { type: 'image/png' }))
}
</script>

<template>
  <section aria-label="Graph">
    <div class="row mb-tight">
      <ChoiceField
        inline
        label="Graph"
        :model-value="graph?.kind ?? choices.best"
        @update:model-value="choose($event)"
        :options="
          choices.choices.map((one) => ({
            value: one.kind,
            title: `${GRAPH_NAMES[one.kind]}${one.kind === choices.best ? ' (fits)' : ''}`,
          }))
        "
      />
      <span class="grow" />
      <VBtn size="small" :aria-pressed="asTable" @click="asTable = !asTable">
        {{ asTable ? 'As a graph' : 'As a table' }}
      </VBtn>
      <VBtn size="small" @click="saveSvg">Save as SVG</VBtn>
      <VBtn size="small" @click="savePng">Save as PNG</VBtn>
    </div>
    <p v-if="chosen?.loss" class="py-close px-wide edge-left-4-brass-mark bg-brass-light">
      <strong>What is lost:</strong>
      {{ graphLoss(chosen.loss) }}
      <VBtn size="small" @click="choose(choices.best)"> Back to {{ GRAPH_NAMES[choices.best].toLowerCase() }} </VBtn>
    </p>
    <p v-else class="soft">{{ graphReason(plan, choices.reason) }}</p>
    <GraphTable v-if="asTable && graph" :graph="graph" />
    <div
      v-show="!asTable"
      class="h-380px mt-near p-near edge-1-line rounded bg-card"
      :class="{ tall: graph?.kind === 'by-group' && plan.groups.length > 4 }"
    >
      <ResultsChart :record="record" />
    </div>
  </section>
</template>

<style scoped>
.tall {
  height: 480px;
}
</style>
