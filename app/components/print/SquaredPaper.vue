<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { handGraph, scaleLabels, squareScale } from '~~/core/charts'
import { activeConditions, letterOf, type LessonRecord } from '~~/core/lesson'
import { writeShort } from '~~/core/quantity'
import { axisTitles, nameOfCondition, question, scaleSentence } from '~~/core/wording'

/** Squared paper with axes: numbered in the scale that fits, or blank for children to number. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; blank?: boolean; squares?: number }>()
const ACROSS = 24
const SIDE = 7
const LEFT = 16
const BOTTOM = 14
const graph = computed(() => handGraph(plan.value, props.record))
const rows = computed(() => Math.min(32, Math.max(6, props.squares ?? 24)))
const up = computed(() => graph.value && squareScale(graph.value.up.values, rows.value, graph.value.up.withZero, graph.value.unit))
const across = computed(() => graph.value?.across && squareScale(graph.value.across.values, ACROSS, false, graph.value.across.unit))
const titles = computed(() => axisTitles(plan.value))
const conditions = computed(() => activeConditions(plan.value))
const wide = computed(() => LEFT + ACROSS * SIDE + 4)
const high = computed(() => rows.value * SIDE + BOTTOM + 6)
const y = (at: number) => 4 + (rows.value - at) * SIDE
const x = (at: number) => LEFT + at * SIDE
/** Kinds stand evenly, each in the middle of its share. */
const kindAt = (place: number) => ((place + 0.5) / conditions.value.length) * ACROSS
</script>

<template>
  <article class="squared">
    <h1 class="text-15pt">{{ question(plan) }}</h1>
    <p v-if="!blank && up && graph" class="sentence mx-0 mt-2mm mb-3mm text-13pt">
      {{ scaleSentence(up, graph.unit) }}
      <template v-if="across"> Along the bottom: {{ scaleSentence(across, graph.across!.unit) }}</template>
    </p>
    <p v-else class="sentence mx-0 mt-2mm mb-3mm text-13pt">Count in …… s, …… squares each, up to ……</p>
    <svg
      class="block max-w-full h-auto"
      :viewBox="`0 0 ${wide} ${high}`"
      :style="{ width: `${wide}mm` }"
      role="img"
      aria-label="Squared paper with axes"
    >
      <line v-for="n in rows + 1" :key="`r${n}`" :x1="x(0)" :x2="x(ACROSS)" :y1="y(n - 1)" :y2="y(n - 1)" class="square" />
      <line v-for="n in ACROSS + 1" :key="`c${n}`" :x1="x(n - 1)" :x2="x(n - 1)" :y1="y(0)" :y2="y(rows)" class="square" />
      <line :x1="x(0)" :x2="x(0)" :y1="y(0)" :y2="y(rows) - 2" class="axis" />
      <line :x1="x(0)" :x2="x(ACROSS) + 2" :y1="y(0)" :y2="y(0)" class="axis" />
      <template v-if="!blank">
        <g v-for="label in up ? scaleLabels(up) : []" :key="`u${label.at}`">
          <line :x1="x(0) - 1.4" :x2="x(0)" :y1="y(label.at)" :y2="y(label.at)" class="axis" />
          <text :x="x(0) - 2.2" :y="y(label.at) + 1.3" text-anchor="end">{{ writeShort(label.value) }}</text>
        </g>
        <template v-if="across">
          <g v-for="label in scaleLabels(across)" :key="`a${label.at}`">
            <line :x1="x(label.at)" :x2="x(label.at)" :y1="y(0)" :y2="y(0) + 1.4" class="axis" />
            <text :x="x(label.at)" :y="y(0) + 5.4" text-anchor="middle">{{ writeShort(label.value) }}</text>
          </g>
        </template>
        <text
          v-for="(condition, place) in across ? [] : conditions"
          v-else
          :key="condition.id"
          :x="x(kindAt(place))"
          :y="y(0) + 5.4"
          text-anchor="middle"
        >
          {{ letterOf(plan, condition.id) }}{{ conditions.length < 5 ? ` ${nameOfCondition(plan, condition.id)}` : '' }}
        </text>
        <text :x="x(0) + 1" y="3" class="title font-bold">{{ titles.up }}</text>
        <text :x="x(ACROSS)" :y="y(0) + 11" text-anchor="end" class="title font-bold">{{ titles.across }}</text>
      </template>
    </svg>
  </article>
</template>

<style scoped>
.square {
  stroke: #777;
  stroke-width: 0.18;
}
.axis {
  stroke: #000;
  stroke-width: 0.7;
}
text {
  font-family: var(--heading);
  font-size: 3.6px;
}
</style>
