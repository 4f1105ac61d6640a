<script setup lang="ts">
import { arrangementOf, conditionsByGroup, timeAt, timetableOf } from '~~/core/clock'
import type { Plan } from '~~/core/lesson'
import { conditionWithLetter, nameOfGroup } from '~~/core/wording'

/** Minute by minute which jar is read with which instrument. */
const props = defineProps<{ plan: Plan; /** Minutes of the lesson when the first jar is started. */ testStart?: number }>()
const timetable = computed(() => timetableOf(props.plan))
const times = computed(() => [...props.plan.watch.times].sort((a, b) => a - b))
/** What each jar of the timetable is: its condition, and its group where the class's instruments are shared. */
const jars = computed(() => {
  const repeats = Array.from({ length: props.plan.repeats }, (_, place) => place + 1)
  const shared = props.plan.watch.among === 'class' && arrangementOf(props.plan) !== 'together'
  const own = [...conditionsByGroup(props.plan)]
  const of = (conditions: string[], group: string) =>
    conditions.flatMap((id) =>
      repeats.map((repeat) =>
        [group && nameOfGroup(props.plan, group), conditionWithLetter(props.plan, id), repeats.length > 1 ? String(repeat) : '']
          .filter(Boolean)
          .join(' '),
      ),
    )
  if (shared) return own.flatMap(([group, conditions]) => of(conditions, group))
  if (arrangementOf(props.plan) === 'share-out') return timetable.value.starts.map((_, place) => `jar ${place + 1}`)
  return of(
    props.plan.conditions.filter(({ leftOut }) => !leftOut).map(({ id }) => id),
    '',
  )
})
const when = (minutes: number) =>
  props.testStart === undefined ? undefined : timeAt(props.plan.clock.start, props.testStart + minutes)
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
          <th scope="row">{{ jars[jar] ?? `jar ${jar + 1}` }}</th>
          <td class="figure">{{ when(start) ?? start }}</td>
          <td v-for="(time, place) in times" :key="time" class="figure">
            <template
              v-for="reading in timetable.readings.filter((one) => one.jar === jar && one.time === place)"
              :key="reading.start"
            >
              {{ when(reading.start) ?? reading.start
              }}<span v-if="plan.watch.instruments > 1" class="soft"> · no. {{ reading.instrument + 1 }}</span>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
