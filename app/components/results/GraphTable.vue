<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import type { ResultsGraph } from '~~/core/charts'
import { dotWords, nameOfGroup, stageWords, whenWords, writeFigure } from '~~/core/wording'
import { testOf } from '~~/core/test'
import ConditionName from '~/components/pieces/ConditionName.vue'

/** What the graph shows, as a table: for those who do not see it, or would rather read. */
const plan = useLessonPlan()
const props = defineProps<{ graph: ResultsGraph }>()
const words = computed(() => testOf(plan.value).words)
const dotsOf = (condition: string) =>
  props.graph.dots
    .filter((dot) => dot.condition === condition)
    .map((dot) => dotWords(plan.value, dot, nameOfGroup(plan.value, dot.group), props.graph.unit))
    .join('; ')
const stagesOf = (condition: string) => {
  const band = props.graph.bands.find((one) => one.condition === condition)
  return band ? stageWords(plan.value, band) : ''
}
const pointsOf = (condition: string) =>
  props.graph.lines
    .filter((line) => line.condition === condition)
    .map((line) => {
      const figures = line.points.map(
        ({ moment, average }) => `${whenWords(plan.value, moment)} ${writeFigure(plan.value, average, props.graph.unit)}`,
      )
      return `${line.where ? `${line.where}: ` : ''}${figures.join('; ') || 'no readings'}`
    })
</script>

<template>
  <div class="scroll" tabindex="0" role="group" aria-label="The graph as a table">
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Condition</th>
          <template v-if="graph.kind === 'words'">
            <th v-for="(word, place) in words" :key="place" scope="col" class="figure">{{ word }}</th>
          </template>
          <th v-else scope="col">
            {{ graph.kind === 'stages' ? 'In the middle of its trials' : graph.lines.length > 0 ? 'Averages' : 'Average' }}
          </th>
          <th scope="col">Readings</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="mark in graph.marks" :key="mark.condition">
          <th scope="row"><ConditionName :id="mark.condition" /></th>
          <template v-if="graph.kind === 'words'">
            <td v-for="(count, place) in mark.counts" :key="place" class="figure">{{ count }}</td>
          </template>
          <td v-else-if="graph.kind === 'stages'">{{ stagesOf(mark.condition) }}</td>
          <td v-else-if="graph.lines.length > 0">
            <p v-for="line in pointsOf(mark.condition)" :key="line">{{ line }}</p>
          </td>
          <td v-else>{{ mark.average === undefined ? '–' : writeFigure(plan, mark.average, graph.unit) }}</td>
          <td>{{ dotsOf(mark.condition) || 'no readings' }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
