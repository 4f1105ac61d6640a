<script setup lang="ts">
import { evidenceOf, trendOf } from '~~/core/evidence'
import { oddResults } from '~~/core/record'

/** How sure we can be in one line, then one thing at a time: graph, table, pattern, what is odd, predictions, by hand, another class. */
const PARTS = ['graph', 'sure', 'table', 'pattern', 'odd', 'predictions', 'by-hand', 'other-class'] as const
type Part = (typeof PARTS)[number]
const route = useRoute()
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const evidence = computed(() => evidenceOf(plan.value, lesson.record))
const trend = computed(() => trendOf(plan.value, lesson.record))
const odd = computed(() => oddResults(plan.value, lesson.record).length)
const names = computed<Record<Part, string>>(() => ({
  graph: 'Graph',
  sure: 'How sure',
  table: 'Table',
  pattern: 'Pattern',
  odd: odd.value > 0 ? `Odd ones (${odd.value})` : 'Odd ones',
  predictions: 'Predictions',
  'by-hand': 'By hand',
  'other-class': 'Another class',
}))
const shown = computed(() => PARTS.filter((part) => part !== 'pattern' || trend.value))
const part = computed<Part>(() => shown.value.find((one) => one === route.query.part) ?? 'graph')
const turn = (to: unknown) => void navigateTo({ query: to === 'graph' ? {} : { part: String(to) } }, { replace: true })
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Results</h2>
      <p class="soft">What the class found, and how sure it can be.</p>
      <VBtn size="small" class="ml-auto" :to="`/print/${lesson.id}/report`" target="_blank">Class report</VBtn>
    </div>
    <template v-if="evidence && evidence.summaries.length > 0">
      <GradeLine data-target="grade" :plan="plan" :record="lesson.record" :evidence="evidence" />
      <VTabs :model-value="part" class="parts my-wide mx-0" aria-label="Parts of the results" @update:model-value="turn">
        <VTab v-for="one in shown" :key="one" :value="one">{{ names[one] }}</VTab>
      </VTabs>
      <GraphPanel v-if="part === 'graph'" :plan="plan" :record="lesson.record" />
      <OneThing
        v-else-if="part === 'sure' && evidence.grade === 'one-condition'"
        :plan="plan"
        :record="lesson.record"
        :evidence="evidence"
      />
      <HowSure v-else-if="part === 'sure'" :plan="plan" :record="lesson.record" :evidence="evidence" />
      <ResultsTable v-else-if="part === 'table'" :plan="plan" :record="lesson.record" />
      <PatternPanel v-else-if="part === 'pattern' && trend" :plan="plan" :trend="trend" />
      <OddPanel v-else-if="part === 'odd'" :plan="plan" :record="lesson.record" />
      <PredictionsPanel v-else-if="part === 'predictions'" :plan="plan" :record="lesson.record" />
      <ByHandPanel v-else-if="part === 'by-hand'" :plan="plan" :record="lesson.record" />
      <OtherClassPanel v-else :plan="plan" :record="lesson.record" />
    </template>
    <EmptyNote v-else title="No readings yet" begin="Key readings in" :to="`/lesson/${lesson.id}/test`">
      Here the averages, every reading as a dot, and how sure the class can be will stand, such as “Clear: the gap is 2.1 times the
      wobble”.
    </EmptyNote>
  </div>
</template>
