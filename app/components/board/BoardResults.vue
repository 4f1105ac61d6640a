<script setup lang="ts">
import WithPlan from '~/components/pieces/WithPlan.vue'
import { useLessonPlan } from '~/composables/lessonPlan'
import type { LessonRecord } from '~~/core/lesson'
import { eachMeasure, testOf } from '~~/core/test'
import { doneByAll, progressOf } from '~~/core/record'
import { boardFindings } from '~~/core/wording'

/** One picture of what was found and how sure the class can be of it; of several measures one after the other, and the rest in words behind a button. */
const ResultsChart = defineAsyncComponent(() => import('~/components/charts/ResultsChart.vue'))
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; dark: boolean; shown: boolean }>()
const emit = defineEmits<{ show: [] }>()
const done = computed(() => doneByAll(progressOf(plan.value, props.record.readings)))
const measures = computed(() => eachMeasure(plan.value))
const chosen = ref(0)
const view = computed(() => measures.value[Math.min(chosen.value, measures.value.length - 1)]!)
const found = computed(() => boardFindings(plan.value, view.value, props.record))
const inWords = ref(false)
watch(view, () => (inWords.value = false))
</script>

<template>
  <div v-if="!shown" class="covered">
    <p class="large text-figure">Numbers stay hidden until every group is done.</p>
    <p>{{ done.done }} of {{ done.all }} written down. What do you expect now?</p>
    <VBtn class="show justify-self-start text-title" @click="emit('show')">Show them now</VBtn>
  </div>
  <div v-else class="results flex flex-col gap-near h-full">
    <VTabs v-if="measures.length > 1" v-model="chosen" density="compact" aria-label="What was measured">
      <VTab v-for="(one, place) in measures" :key="one.measured ?? ''" :value="place" class="text-body">{{
        testOf(one).measure?.name.trim() || 'no name yet'
      }}</VTab>
    </VTabs>
    <template v-if="found">
      <ul v-if="inWords" class="words flex-1 min-h-0">
        <li v-for="(sentence, place) in found.more" :key="place">{{ sentence }}</li>
      </ul>
      <div v-else class="flex-1 min-h-0">
        <WithPlan :plan="view"><ResultsChart big :dark="dark" :record="record" /></WithPlan>
      </div>
      <div class="line">
        <p>
          <strong>{{ found.grade }}.</strong>
          {{ found.said }}
        </p>
        <VBtn v-if="found.more.length > 0" class="text-body" :aria-pressed="inWords" @click="inWords = !inWords">{{
          inWords ? 'The picture' : 'In words'
        }}</VBtn>
      </div>
    </template>
    <p v-else>No numbers yet.</p>
  </div>
</template>

<style scoped>
.covered {
  display: grid;
  gap: var(--gap-block);
  height: 100%;
  place-content: center;
}
.line {
  display: flex;
  gap: var(--gap-block);
  align-items: flex-end;
  justify-content: space-between;
  line-height: 1.25;
}
.words {
  display: grid;
  gap: var(--gap-close);
  align-content: start;
  overflow-y: auto;
}
</style>
