<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { activeConditions, type LessonRecord } from '~~/core/lesson'
import { timesToWords } from '~~/core/charts'
import { wordCounts } from '~~/core/record'
import { timeReached } from '~~/core/wording'
import { testOf } from '~~/core/test'
import ConditionName from '~/components/pieces/ConditionName.vue'

/** How often each of the ordered words was chosen; over times, when each came first. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const words = computed(() => testOf(plan.value).words)
const rows = computed(() => wordCounts(plan.value, props.record.readings))
const times = computed(() => timesToWords(plan.value, props.record.readings))
</script>

<template>
  <table v-if="times.length > 0" class="ruled">
    <thead>
      <tr>
        <th scope="col">First, in the middle of the trials</th>
        <th v-for="word in words.slice(1)" :key="word" scope="col">{{ word }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in times" :key="row.condition">
        <th scope="row"><ConditionName :id="row.condition" /></th>
        <td v-for="(time, place) in row.times" :key="place">
          {{ time === undefined ? '–' : timeReached(plan, time) }}
        </td>
      </tr>
    </tbody>
  </table>
  <table v-else class="ruled">
    <thead>
      <tr>
        <th scope="col">How often</th>
        <th v-for="word in words" :key="word" scope="col">{{ word }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(condition, row) in activeConditions(plan)" :key="condition.id">
        <th scope="row">
          <ConditionName :id="condition.id" />
        </th>
        <td v-for="(count, place) in rows[row]?.counts" :key="place">
          <span class="squares inline-flex flex-wrap gap-hair max-w-120px" aria-hidden="true"
            ><i class="w-11px h-11px edge-1-ink bg-green" v-for="n in count" :key="n"
          /></span>
          {{ count }}
        </td>
      </tr>
    </tbody>
  </table>
</template>
