<script setup lang="ts">
import WithPlan from '~/components/pieces/WithPlan.vue'
import type { Component } from 'vue'
import { everyTable, trendOf } from '~~/core/evidence'
import { oddResults } from '~~/core/record'
import { tableName } from '~~/core/wording'
import { kindOf, unweighed } from '~~/core/test'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import MeasureInHand from '~/components/pieces/MeasureInHand.vue'
import { useSecondLook } from '~/stores/secondLook'
import ByHandPanel from '~/components/results/ByHandPanel.vue'
import ChallengePanel from '~/components/results/ChallengePanel.vue'
import GradeLine from '~/components/results/GradeLine.vue'
import GraphPanel from '~/components/results/GraphPanel.vue'
import HowSure from '~/components/results/HowSure.vue'
import OddPanel from '~/components/results/OddPanel.vue'
import OneThing from '~/components/results/OneThing.vue'
import OtherClassPanel from '~/components/results/OtherClassPanel.vue'
import PatternPanel from '~/components/results/PatternPanel.vue'
import PredictionsPanel from '~/components/results/PredictionsPanel.vue'
import ResultsTable from '~/components/results/ResultsTable.vue'
import SideBySide from '~/components/results/SideBySide.vue'
import TriesPanel from '~/components/results/TriesPanel.vue'
import { madeUpAddress } from '~/following/madeUp'
import { useLesson } from '~/stores/lesson'
import { useMadeUp } from '~/stores/madeUp'

/** How sure we can be in one line, then one thing at a time: graph, table, pattern, what is odd, predictions, by hand, another class. */
const PARTS = [
  'together',
  'graph',
  'tries',
  'sure',
  'table',
  'pattern',
  'odd',
  'predictions',
  'check',
  'by-hand',
  'other-class',
] as const
type Part = (typeof PARTS)[number]
const route = useRoute()
const lesson = useLesson()
const look = useSecondLook()
const madeUp = useMadeUp()
const plan = computed(() => lesson.plan!)
const tables = computed(() => everyTable(plan.value, lesson.record))
/** Which of several measures and series is looked at. */
const chosen = ref<number>(0)
const table = computed(() => tables.value[chosen.value] ?? tables.value[0])
const view = computed(() => table.value?.plan ?? plan.value)
const record = computed(() => table.value?.record ?? lesson.record)
const evidence = computed(() => table.value?.evidence)
const trend = computed(() => trendOf(view.value, record.value))
const odd = computed(() => oddResults(view.value, record.value).length)
const names = computed<Record<Part, string>>(() => ({
  together: 'Side by side',
  graph: 'Graph',
  tries: 'Try by try',
  sure: 'How sure',
  table: 'Table',
  pattern: 'Pattern',
  odd: odd.value > 0 ? `Odd ones (${odd.value})` : 'Odd ones',
  predictions: 'Predictions',
  check: 'Check it',
  'by-hand': 'By hand',
  'other-class': 'Another class',
}))
const shown = computed(() =>
  PARTS.filter((part) => {
    if (part === 'tries') return kindOf(plan.value).improves
    if (part === 'together') return tables.value.length > 1
    if (part === 'predictions') return record.value === lesson.record
    // Until somebody asks for it, a lesson shows nothing of it.
    if (part === 'check') return record.value === lesson.record && (plan.value.challenge !== null || route.query.part === 'check')
    return part !== 'pattern' || trend.value
  }),
)
const part = computed<Part>(() => shown.value.find((one) => one === route.query.part) ?? shown.value[0]!)
/** What each part shows, and what that has to know. */
const panels = computed<Record<Part, { shows: Component; told: object }>>(() => {
  const told = { record: record.value }
  const judged = { ...told, evidence: evidence.value }
  return {
    together: { shows: SideBySide, told: { record: lesson.record } },
    graph: { shows: GraphPanel, told },
    tries: { shows: TriesPanel, told },
    sure: { shows: evidence.value?.grade === 'one-condition' ? OneThing : HowSure, told: judged },
    table: { shows: ResultsTable, told },
    pattern: { shows: PatternPanel, told: { trend: trend.value } },
    odd: { shows: OddPanel, told },
    predictions: { shows: PredictionsPanel, told },
    check: { shows: ChallengePanel, told },
    'by-hand': { shows: ByHandPanel, told },
    'other-class': { shows: OtherClassPanel, told },
  }
})
const panel = computed(() => panels.value[part.value])
const turn = (to: unknown) => void navigateTo({ query: to === shown.value[0] ? {} : { part: String(to) } }, { replace: true })
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Results</h2>
      <p class="soft">What the class found, and how sure it can be.</p>
      <VBtn size="small" class="ml-auto" :to="madeUpAddress(madeUp.drawn, `/print/${lesson.id}/report`)" target="_blank"
        >Class report</VBtn
      >
    </div>
    <template v-if="evidence && evidence.summaries.length > 0">
      <MeasureInHand
        v-if="part !== 'together'"
        v-model="chosen"
        label="Which table"
        :options="tables.map((one, value) => ({ value, title: tableName(one, tables) }))"
      />
      <WithPlan v-if="part !== 'together'" :plan="view">
        <GradeLine data-target="grade" :record="record" :evidence="evidence" />
      </WithPlan>
      <VTabs :model-value="part" class="parts my-wide mx-0" aria-label="Parts of the results" @update:model-value="turn">
        <VTab v-for="one in shown" :key="one" :value="one">{{ names[one] }}</VTab>
      </VTabs>
      <WithPlan :plan="part === 'together' ? plan : view"><component :is="panel.shows" v-bind="panel.told" /></WithPlan>
    </template>
    <EmptyNote
      v-else-if="unweighed(view).length > 0 && record.readings.length > 0"
      title="No results yet"
      begin="Weigh the empty containers"
      @begin="look.apply({ code: 'go', stop: 'test', target: { place: 'empties' } })"
    >
      There are readings, and what is read has its container with it: say what each weighs empty.
    </EmptyNote>
    <EmptyNote v-else title="No readings yet" begin="Key readings in" :to="`/lesson/${lesson.id}/test`">
      Here the averages, every reading as a dot, and how sure the class can be will stand, such as “Clear: the gap is 2.1 times the
      wobble”.
    </EmptyNote>
  </div>
</template>
