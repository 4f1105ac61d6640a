<script setup lang="ts">
import { axisFor, axisTicks } from '~~/core/charts'
import { lanesOf, type Member, type TimedStep } from '~~/core/together'
import { stepTogetherWords, stopwatchWords, titleOfMember } from '~~/core/wording'
import { lookOf } from '~/theme/conditions'

/** Everybody's trials along one line of time: a bar from its beginning until it is cleared away, a row for those that run at the same time. */
const props = defineProps<{ rows: { group: string; steps: TimedStep[] }[]; members: Member[]; there: number; finish: number }>()
const WIDE = 1000
const LEFT = 110
const LANE = 16
const all = computed(() => Math.max(props.there, props.finish, 1))
const xOf = (seconds: number) => LEFT + (seconds / all.value) * (WIDE - LEFT - 10)
const placeOf = (lesson: string) => props.members.findIndex((one) => one.lesson === lesson)
const planOf = (lesson: string) => props.members[placeOf(lesson)]!.plan
/** Trials that run at the same time lie under one another. */
const drawn = computed(() => {
  let top = 4
  return props.rows.map(({ group, steps }) => {
    const bars = lanesOf(steps)
    const row = { group, bars, top, high: Math.max(1, ...bars.map(({ lane }) => lane + 1)) * LANE }
    top += row.high + 8
    return row
  })
})
const high = computed(() => (drawn.value.at(-1)?.top ?? 0) + (drawn.value.at(-1)?.high ?? 0) + 24)
const MINUTE = 60
const marks = computed(() =>
  axisTicks(axisFor([all.value / MINUTE], true)).flatMap((minute) => (minute * MINUTE <= all.value ? [minute * MINUTE] : [])),
)
</script>

<template>
  <figure class="m-0">
    <ul class="row key">
      <li v-for="({ lesson }, place) in members" :key="lesson" class="flex items-center gap-tight">
        <b class="letter" :style="{ borderColor: lookOf(place).colour }">{{ place + 1 }}</b>
        {{ titleOfMember(members, lesson) }}
      </li>
    </ul>
    <svg
      :viewBox="`0 0 ${WIDE} ${high}`"
      class="w-full"
      role="img"
      aria-label="Trials of every group along the time; the table below has them one by one"
    >
      <g v-for="mark in marks" :key="mark">
        <line :x1="xOf(mark)" :x2="xOf(mark)" y1="0" :y2="high - 18" stroke="var(--line)" />
        <text :x="xOf(mark)" :y="high - 4" text-anchor="middle" font-size="13" fill="var(--ink)">{{ stopwatchWords(mark) }}</text>
      </g>
      <line :x1="xOf(there)" :x2="xOf(there)" y1="0" :y2="high - 18" stroke="var(--beet)" stroke-width="3" stroke-dasharray="6 4" />
      <g v-for="row in drawn" :key="row.group">
        <text x="0" :y="row.top + 12" font-size="14" fill="var(--ink)">{{ row.group }}</text>
        <g v-for="{ step, lane } in row.bars" :key="step.id">
          <title>
            {{ titleOfMember(members, step.lesson) }}: {{ stepTogetherWords(planOf(step.lesson), step) }},
            {{ stopwatchWords(step.start) }}
          </title>
          <rect
            :x="xOf(step.start) + 0.5"
            :y="row.top + lane * LANE"
            :width="Math.max(2, xOf(step.end) - xOf(step.start) - 1)"
            :height="LANE - 2"
            rx="2"
            :fill="`${lookOf(placeOf(step.lesson)).colour}33`"
            :stroke="lookOf(placeOf(step.lesson)).colour"
          />
          <text
            v-if="xOf(step.end) - xOf(step.start) > 14"
            :x="xOf(step.start) + 4"
            :y="row.top + lane * LANE + 11"
            font-size="11"
            font-weight="700"
            fill="var(--ink)"
          >
            {{ placeOf(step.lesson) + 1 }}
          </text>
        </g>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
.key {
  gap: var(--gap-part);
  margin-bottom: var(--gap-near);
}
.letter {
  min-width: 22px;
  border: 2px solid;
  border-radius: var(--corner-small);
  text-align: center;
}
</style>
