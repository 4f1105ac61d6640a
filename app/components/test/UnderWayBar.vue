<script setup lang="ts">
import type { TestClock, UnderWay } from '~~/core/record'
import { nameOfGroup, timeOfDay } from '~~/core/wording'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import { useLessonPlan } from '~/composables/lessonPlan'

/** The time that is left on one line, with the bell's mark and every group where it will be done; the line behind it reaches to nine in ten. */
const props = defineProps<{ forecast: UnderWay; clock: TestClock & { until: number | undefined } }>()
const plan = useLessonPlan()
/** More marks than that cannot be told apart: the latest are shown. */
const MOST_MARKS = 12
const toBell = computed(() => (props.clock.until === undefined ? 0 : Math.max(0, (props.clock.until - props.clock.now) / 1000)))
const whole = computed(() => Math.max(60, toBell.value, props.forecast.nineInTen) * 1.06)
const marks = computed(() =>
  props.forecast.groups
    .filter(({ left, group }) => left > 0 && group !== undefined)
    .sort((a, b) => a.half - b.half)
    .slice(-MOST_MARKS),
)
const at = (seconds: number) => `${Math.min(100, (seconds / whole.value) * 100)}%`
const shapeOf = (id: string) => plan.value.groups.find((group) => group.id === id)?.shape
const timeIn = (seconds: number) => timeOfDay(props.clock.now + seconds * 1000)
</script>

<template>
  <ol class="ends relative" :style="{ height: `${marks.length * 17 + 20}px` }" aria-label="When each group will be done">
    <li v-for="({ group, half, nineInTen, left }, place) in marks" :key="group" :style="{ top: `${place * 17}px` }">
      <i :style="{ left: at(half), width: `calc(${at(nineInTen)} - ${at(half)})` }" aria-hidden="true" />
      <span class="mark text-small nowrap" :style="{ left: at(half) }" :class="{ left: half / whole > 0.6 }">
        <ShapeBadge v-if="shapeOf(group!)" :size="13" :shape="shapeOf(group!)!" />
        {{ nameOfGroup(plan, group!) }} <span class="text-soft">{{ left }} more, {{ timeIn(half) }}</span>
      </span>
    </li>
    <li v-if="clock.until !== undefined" class="until" :style="{ left: at(toBell) }">
      <span class="text-small nowrap" :class="{ left: toBell / whole > 0.6 }">testing must end {{ timeIn(toBell) }}</span>
    </li>
  </ol>
</template>

<style scoped>
.ends {
  border-left: 1.5px solid var(--ink);
  border-bottom: 1.5px solid var(--line);
}
.ends li {
  position: absolute;
  left: 0;
  width: 100%;
  height: 17px;
}
i {
  position: absolute;
  top: 8px;
  border-top: 2px solid var(--mark);
}
.mark {
  position: absolute;
  display: inline-flex;
  gap: var(--gap-tight);
  align-items: center;
  padding-right: var(--gap-tight);
  background: var(--card);
}
.mark.left {
  transform: translateX(-100%);
}
.ends .until {
  top: 0;
  width: 0;
  height: 100%;
  border-left: 2px dashed var(--beet);
}
.until span {
  position: absolute;
  bottom: 0;
  padding: 0 var(--gap-tight);
  color: var(--beet);
}
.until span.left {
  right: 0;
}
</style>
