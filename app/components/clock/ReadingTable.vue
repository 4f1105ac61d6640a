<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { clockAt, jarsOf, timetableOf } from '~~/core/clock'
import { jarWords, stopwatchWords } from '~~/core/wording'

/** Minute by minute which jar is read with which instrument. */
const plan = useLessonPlan()
const props = defineProps<{ /** Minutes of the lesson when the first jar is started. */ testStart?: number }>()
const timetable = computed(() => timetableOf(plan.value))
const times = computed(() => [...plan.value.watch.times].sort((a, b) => a - b))
const jars = computed(() => jarsOf(plan.value).map((jar, place) => jarWords(plan.value, jar, place)))
/** By the clock where there is one, else since the first jar; to the second, so that no two are told the same minute. */
const when = (minutes: number) =>
  (props.testStart === undefined ? undefined : clockAt(plan.value.clock.start, props.testStart + minutes)) ??
  stopwatchWords(Math.round(minutes * 60))
</script>

<template>
  <div class="scroll" tabindex="0" role="group" aria-label="Reading timetable">
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Jar</th>
          <th scope="col" class="figure">Start</th>
          <th v-for="time in times" :key="time" scope="col" class="figure">read at {{ time }} min</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(start, jar) in timetable.starts" :key="jar">
          <th scope="row">{{ jars[jar] }}</th>
          <td class="figure">{{ when(start) }}</td>
          <td v-for="(time, place) in times" :key="time" class="figure">
            <template
              v-for="reading in timetable.readings.filter((one) => one.jar === jar && one.time === place)"
              :key="reading.start"
            >
              {{ when(reading.start)
              }}<span v-if="plan.watch.instruments > 1" class="soft"> · no. {{ reading.instrument + 1 }}</span>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
