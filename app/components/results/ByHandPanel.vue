<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { checkScale, handGraph, squareScale } from '~~/core/charts'
import type { LessonRecord } from '~~/core/lesson'
import { scaleProblemWords, scaleSentence } from '~~/core/wording'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import NumberField from '~/forms/NumberField.vue'
import { madeUpAddress } from '~/following/madeUp'
import { useLesson } from '~/stores/lesson'
import { useMadeUp } from '~/stores/madeUp'

/** A scale for squared paper, said in a sentence; a checker for the scale a child proposes; and paper with axes to print. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const lesson = useLesson()
const madeUp = useMadeUp()
const squares = ref<number | null>(24)
const graph = computed(() => handGraph(plan.value, props.record))
const up = computed(
  () => graph.value && squareScale(graph.value.up.values, squares.value ?? 24, graph.value.up.withZero, graph.value.unit),
)
const across = computed(() => graph.value?.across && squareScale(graph.value.across.values, 16, false, graph.value.across.unit))
const proposed = reactive<{ from: number | null; step: number | null; squaresPerStep: number | null }>({
  from: null,
  step: null,
  squaresPerStep: 1,
})
const problems = computed(() => {
  const { from, step, squaresPerStep } = proposed
  if (!graph.value || step === null || step <= 0 || squaresPerStep === null) return undefined
  return checkScale({ from: from ?? 0, step, squaresPerStep }, graph.value.up.values, squares.value ?? 24, graph.value.up.withZero)
})
</script>

<template>
  <section aria-label="By hand">
    <EmptyNote v-if="!graph || !up" title="Nothing to draw by hand yet">
      With numbers measured, the scale for squared paper stands here, such as “Count in 5s, two squares each, up to 60”.
    </EmptyNote>
    <template v-else>
      <p class="large font-heading text-large">{{ scaleSentence(up, graph.unit) }}</p>
      <p v-if="across" class="soft">Along the bottom: {{ scaleSentence(across, graph.across!.unit) }}</p>
      <div class="row items-end mt-near">
        <NumberField
          label="Squares up the paper"
          :model-value="squares"
          :least="6"
          :most="80"
          whole
          @update:model-value="squares = $event"
        />
        <VBtn :to="madeUpAddress(madeUp.drawn, `/print/${lesson.id}/squared?squares=${squares ?? 24}`)" target="_blank">
          Paper with numbered axes
        </VBtn>
        <VBtn :to="madeUpAddress(madeUp.drawn, `/print/${lesson.id}/squared-blank?squares=${squares ?? 24}`)" target="_blank">
          Paper with blank axes
        </VBtn>
      </div>
      <div class="sheet check mt-14px">
        <h4 class="text-body">A scale that a child proposes</h4>
        <div class="row items-end mt-near">
          <NumberField
            label="Begin at"
            :model-value="proposed.from"
            optional
            :least="-1e9"
            @update:model-value="proposed.from = $event"
          />
          <NumberField label="Count in" :model-value="proposed.step" optional @update:model-value="proposed.step = $event" />
          <NumberField
            label="Squares for each"
            :model-value="proposed.squaresPerStep"
            :least="1"
            :most="20"
            whole
            @update:model-value="proposed.squaresPerStep = $event"
          />
        </div>
        <div aria-live="polite">
          <p v-if="problems?.length === 0" class="text-leaf">
            <span aria-hidden="true">✓</span> That works: all numbers fit and can be read.
          </p>
          <ul v-else-if="problems">
            <li v-for="problem in problems" :key="problem.code">{{ scaleProblemWords(problem) }}</li>
          </ul>
          <p v-else class="hint">For example: begin at 0, count in 7s, two squares each.</p>
        </div>
      </div>
    </template>
  </section>
</template>
