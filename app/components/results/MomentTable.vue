<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { activeConditions, type LessonRecord } from '~~/core/lesson'
import { momentsOf, resultUnit, testOf } from '~~/core/test'
import { averagesByMoment, averageResults } from '~~/core/record'
import { countsWords, momentWords, writeAverage, writeFigure } from '~~/core/wording'
import ConditionName from '~/components/pieces/ConditionName.vue'

/** Averages at every moment of a trial: before and after or one column a time of watching, and what counts of them. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const unit = computed(() => testOf(plan.value).unit)
const moments = computed(() => momentsOf(plan.value))
const averages = computed(() => averagesByMoment(plan.value, props.record.readings))
const counted = computed(() => averageResults(plan.value, props.record.readings))

function averageAt(condition: string, moment: string): string {
  const found = averages.value.find((one) => one.condition === condition && one.moment === moment)
  return found ? writeAverage(plan.value, found.average, unit.value) : '–'
}
function countedOf(condition: string): string {
  const figure = counted.value[condition]
  return figure === undefined ? '–' : writeFigure(plan.value, figure, resultUnit(plan.value))
}
</script>

<template>
  <div class="scroll" tabindex="0" role="group" aria-label="Averages at every moment">
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">On average</th>
          <th v-for="moment in moments" :key="moment.id" scope="col" class="figure text-right nowrap">
            {{ momentWords(plan, moment.id) }}
          </th>
          <th scope="col" class="figure text-right nowrap">{{ countsWords(plan) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="condition in activeConditions(plan)" :key="condition.id">
          <th scope="row" class="nowrap">
            <ConditionName :id="condition.id" />
          </th>
          <td v-for="moment in moments" :key="moment.id" class="figure text-right nowrap">
            {{ averageAt(condition.id, moment.id) }}
          </td>
          <td class="figure text-right nowrap">
            <strong>{{ countedOf(condition.id) }}</strong>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
