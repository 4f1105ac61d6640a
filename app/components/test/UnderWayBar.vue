<script setup lang="ts">
import type { UnderWay } from '~~/core/record'
import { nameOfGroup, timeOfDay } from '~~/core/wording'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import { useLessonPlan } from '~/composables/lessonPlan'

/** The time that is left on one line, with the bell's mark and every group where it will be done; the line behind it reaches to nine in ten. */
const props = defineProps<{ forecast: UnderWay; now: number }>()
const plan = useLessonPlan()
/** More marks than that cannot be told apart: the latest are shown. */
const MOST_MARKS = 12
const toEnd = computed(() => props.forecast.toEnd ?? 0)
const whole = computed(() => Math.max(60, toEnd.value, props.forecast.nineInTen) * 1.06)
const marks = computed(() => {
  const still = props.forecast.groups.filter(({ left, group }) => left > 0 && group !== undefined)
  const latest = new Set([...still].sort((a, b) => b.half - a.half).slice(0, MOST_MARKS))
  return still.filter((one) => latest.has(one))
})
const at = (seconds: number) => `${Math.min(100, (seconds / whole.value) * 100)}%`
const shapeOf = (id: string) => plan.value.groups.find((group) => group.id === id)?.shape
const timeIn = (seconds: number) => timeOfDay(props.now + seconds * 1000)
</script>

<template>
  <ol class="ends relative" aria-label="When each group will be done">
    <li v-for="{ group, half, nineInTen, left } in marks" :key="group" class="text-small">
      <span class="nowrap overflow-hidden">
        <ShapeBadge v-if="shapeOf(group!)" :size="13" :shape="shapeOf(group!)!" />
        {{ nameOfGroup(plan, group!) }}
      </span>
      <span class="text-soft nowrap text-right">{{ left }} more, {{ timeIn(half) }}</span>
      <span class="track relative" aria-hidden="true">
        <i :style="{ left: at(half), width: `calc(${at(nineInTen)} - ${at(half)})` }" />
        <b :style="{ left: at(half) }" />
      </span>
    </li>
    <li v-if="forecast.toEnd !== undefined" class="text-small" aria-hidden="true">
      <span class="track relative">
        <span class="until" :style="{ left: at(toEnd), '--rows': marks.length }">
          <span class="nowrap" :class="{ left: toEnd / whole > 0.6 }">testing must end {{ timeIn(toEnd) }}</span>
        </span>
      </span>
    </li>
  </ol>
</template>

<style scoped>
.ends li {
  display: grid;
  grid-template-columns: 110px 110px minmax(0, 1fr);
  gap: var(--gap-near);
  height: 18px;
  line-height: 18px;
}
.track {
  grid-column: 3;
  border-left: 1.5px solid var(--ink);
}
i {
  position: absolute;
  top: 8px;
  border-top: 2px solid var(--mark);
}
b {
  position: absolute;
  top: 4px;
  width: 10px;
  height: 10px;
  margin-left: -5px;
  border-radius: 50%;
  background: var(--ink);
  forced-color-adjust: none;
}
.until {
  position: absolute;
  bottom: 0;
  height: calc((var(--rows) + 1) * 18px);
  border-left: 2px dashed var(--beet);
}
.until span {
  position: absolute;
  bottom: 0;
  left: 0;
  padding: 0 var(--gap-tight);
  color: var(--beet);
}
.until span.left {
  right: 0;
  left: auto;
}
</style>
