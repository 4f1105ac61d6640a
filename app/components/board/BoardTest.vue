<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import type { Coming, RunningClock } from '~~/core/clock'
import { activeConditions, isEachChild, letterOf, type LessonRecord } from '~~/core/lesson'
import { eachMeasure } from '~~/core/test'
import { currentReadings, doubtfulReadings, progressOf, shareDone, trialsOf, type Cell, type Progress } from '~~/core/record'
import { nameOfCondition, nameOfGroup, soonWords, stationWords, readingWords } from '~~/core/wording'
import BoardClock from '~/components/board/BoardClock.vue'
import BoardComing from '~/components/board/BoardComing.vue'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'

/** What each group has done and has left, the clock, and the number that came in last. */
const plan = useLessonPlan()
const props = defineProps<{
  record: LessonRecord
  clock: RunningClock
  forecast: string
  coming: Coming[]
  shown: boolean
}>()
const emit = defineEmits<{ turnClock: [] }>()
const conditions = computed(() => activeConditions(plan.value))
const progress = computed(() => progressOf(plan.value, props.record.readings))
const asked = computed(
  () =>
    new Set(
      eachMeasure(plan.value).flatMap((view) => doubtfulReadings(view, props.record.readings).map(({ reading }) => reading.id)),
    ),
)
const latest = computed(() =>
  currentReadings(props.record.readings)
    .filter((reading) => !reading.practice)
    .at(-1),
)
// With many trials a dot each would be too small to see from the back: a vessel for each condition fills instead.
const trials = computed(() =>
  Math.max(0, ...conditions.value.map(({ id }) => (progress.value[0] ? trialsOf(progress.value[0], id).length : 0))),
)
const compact = computed(() => conditions.value.length * trials.value > 24 || conditions.value.length > 6)
const size = computed(() => Math.max(9, Math.min(22, Math.floor(620 / (conditions.value.length * (trials.value + 1.5)) - 5))))

/** In a circuit: where each group goes next. */
const moves = computed(() => {
  const next = new Map<string, Extract<Coming, { what: 'move' }>>()
  for (const one of props.coming) if (one.what === 'move' && !next.has(one.group)) next.set(one.group, one)
  return next
})

function stateOf(cell: Cell): string {
  if (cell.kept.some((reading) => asked.value.has(reading.id))) return 'asked'
  if (cell.kept.length > 0) return 'done'
  return cell.setAside.length > 0 ? 'aside' : 'open'
}
const anyAsked = (one: Progress, id: string) => trialsOf(one, id).some((cell) => stateOf(cell) === 'asked')
const shapeOf = (id: string) => plan.value.groups.find((group) => group.id === id)!.shape
</script>

<template>
  <div class="test">
    <div>
      <BoardClock :state="clock" :forecast="forecast" @turn="emit('turnClock')" />
      <BoardComing v-if="moves.size === 0" :coming="coming" />
      <p v-else class="change mt-14px">
        {{ plan.arrangement.change === 'at-bell' ? 'All change' : 'Next change' }}
        <strong class="nowrap">{{ soonWords(coming[0]!.seconds) }}</strong>
      </p>
    </div>
    <div class="groups flex flex-col min-h-0">
      <ul v-if="isEachChild(plan)" class="children" aria-label="Trials done by each child">
        <li v-for="one in progress" :key="one.group" :class="{ whole: one.done === one.all }">
          <b>{{ nameOfGroup(plan, one.group) }}</b>
          <span>{{ one.all === 0 ? 'away' : one.done === one.all ? '✓' : one.all === 1 ? '' : `${one.done} of ${one.all}` }}</span>
        </li>
      </ul>
      <table v-else class="w-full flex-1">
        <caption class="sr-only">
          Trials done by each group
        </caption>
        <tbody>
          <tr class="edge-bottom-1-line" v-for="one in progress" :key="one.group">
            <th class="font-normal text-left" scope="row">
              <span class="flex items-center gap-wide pr-wide">
                <ShapeBadge :size="26" :shape="shapeOf(one.group)" />
                {{ nameOfGroup(plan, one.group) }}
              </span>
            </th>
            <td v-for="condition in conditions" :key="condition.id">
              <span v-if="compact" class="vessel" :class="{ asked: anyAsked(one, condition.id) }">
                <i :style="{ height: `${shareDone(one, condition.id) * 100}%` }" />
                <b class="relative text-huge leading-1"
                  >{{ letterOf(plan, condition.id) }}{{ anyAsked(one, condition.id) ? '?' : '' }}</b
                >
              </span>
              <span v-else class="dots" :style="{ '--dot': `${size * 0.078}vw` }">
                <b class="mr-hair">{{ letterOf(plan, condition.id) }}</b>
                <i v-for="cell in trialsOf(one, condition.id)" :key="`${cell.repeat}${cell.moment}`" :class="stateOf(cell)">{{
                  stateOf(cell) === 'asked' ? '?' : ''
                }}</i>
              </span>
            </td>
            <td v-if="moves.has(one.group)" class="to py-0 px-wide font-bold">
              <span aria-hidden="true">→</span>
              <span class="sr-only">next</span>
              {{ stationWords(plan, moves.get(one.group)!) }}
            </td>
            <td class="count text-right nowrap">{{ one.done }} of {{ one.all }}</td>
          </tr>
        </tbody>
      </table>
      <p class="latest mt-wide" aria-live="off">
        <template v-if="latest && !shown">
          Last in: {{ nameOfGroup(plan, latest.group) }}, {{ letterOf(plan, latest.condition) }}
          {{ nameOfCondition(plan, latest.condition) }}
        </template>
        <template v-else-if="latest">
          Last in: {{ nameOfGroup(plan, latest.group) }}, {{ letterOf(plan, latest.condition) }}
          {{ nameOfCondition(plan, latest.condition) }}
          <strong class="nowrap text-figure">{{ readingWords(plan, latest) }}</strong>
        </template>
        <template v-else>The first number is still to come.</template>
      </p>
    </div>
  </div>
</template>

<style scoped>
.test {
  display: grid;
  grid-template-columns: minmax(0, 23.5vw) minmax(0, 1fr);
  gap: 2.5vw;
  height: 100%;
}
.dots {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: calc(var(--dot) * 0.36);
}
.dots i {
  forced-color-adjust: none;
  display: inline-grid;
  place-items: center;
  width: var(--dot);
  height: var(--dot);
  border: 2px solid var(--ink);
  border-radius: 50%;
  font-size: calc(var(--dot) * 0.9);
  font-style: normal;
  font-weight: 700;
  line-height: 1;
}
.dots .done {
  background: var(--green);
}
.dots .aside {
  background: repeating-linear-gradient(45deg, transparent 0 3px, var(--ink) 3px 4.5px);
}
.dots .asked {
  border-color: var(--brass);
  border-radius: var(--corner-small);
  background: var(--brass-light);
}
.vessel {
  position: relative;
  display: inline-grid;
  place-items: center;
  width: calc(46 * var(--unit));
  height: calc(40 * var(--unit));
  overflow: hidden;
  border: 2px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 var(--corner-glass) var(--corner-glass);
}
.vessel i {
  position: absolute;
  inset: auto 0 0;
  background: var(--green-light);
  border-top: 2px solid var(--green);
}
.vessel.asked {
  border-color: var(--brass);
}
.children {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(calc(118 * var(--unit)), 1fr));
  gap: var(--gap-near);
  align-content: start;
  flex: 1;
  font-size: var(--type-large);
}
.children li {
  display: flex;
  gap: var(--gap-near);
  justify-content: space-between;
  padding: var(--gap-tight) var(--gap-near);
  border: 2px solid var(--ink);
  border-radius: var(--corner);
}
.children .whole {
  background: var(--green-light);
}
@media (width < 700px) {
  .test {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
  .groups {
    overflow-x: auto;
  }
}
</style>
