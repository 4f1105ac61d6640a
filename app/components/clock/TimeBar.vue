<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { BOUNDS } from '~~/core/lesson'
import { timeAt, type Fit, type TestEnds } from '~~/core/clock'
import type { Phase } from '~~/core/lesson'
import { minuteWords, PHASE_NAMES, testEndWords } from '~~/core/wording'
import EndsPicture from '~/components/clock/EndsPicture.vue'

/** The phases one after the other, as long as they take, with a line where the bell rings. One is pressed to be set; edges are dragged. */
const plan = useLessonPlan()
const props = defineProps<{ fit: Fit; ends: TestEnds | undefined }>()
const emit = defineEmits<{ resize: [phase: Exclude<Phase, 'test'>, minutes: number] }>()
/** The phase that is set below the bar. */
const chosen = defineModel<Phase>({ required: true })
const latest = computed(() => (props.ends ? Math.ceil(props.ends.ends.at(-1)!) + 1 : 0))
const whole = computed(() => Math.max(props.fit.needed, plan.value.clock.minutes, latest.value, 1))
const share = (minutes: number) => (minutes / whole.value) * 100
const ticks = computed(() => {
  const step = whole.value > 150 ? 30 : whole.value > 60 ? 10 : 5
  return Array.from({ length: Math.floor(whole.value / step) + 1 }, (_, place) => place * step)
})
const bar = ref<HTMLElement>()
/** Everything but the test, whose length is worked out. */
const edges = computed(() =>
  props.fit.phases.flatMap(({ phase, start, minutes }) =>
    phase === 'test' ? [] : [{ phase, minutes: plan.value.clock.phases[phase], at: start + minutes }],
  ),
)
/** What is dragged: the bar keeps its scale meanwhile, so that the edge stays under the hand. */
let drag: { phase: Exclude<Phase, 'test'>; from: number; x: number; perPixel: number } | undefined

function grab(event: PointerEvent, phase: Exclude<Phase, 'test'>, from: number): void {
  drag = { phase, from, x: event.clientX, perPixel: whole.value / bar.value!.clientWidth }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function move(event: PointerEvent): void {
  if (drag) set(drag.phase, Math.round(drag.from + (event.clientX - drag.x) * drag.perPixel))
}
function set(phase: Exclude<Phase, 'test'>, minutes: number): void {
  const wanted = Math.max(0, Math.min(BOUNDS.minutes.most, minutes))
  if (wanted !== plan.value.clock.phases[phase]) emit('resize', phase, wanted)
}
const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageUp: 5, PageDown: -5 }
function onKey(event: KeyboardEvent, phase: Exclude<Phase, 'test'>, minutes: number): void {
  const step = STEPS[event.key]
  if (step === undefined) return
  event.preventDefault()
  set(phase, minutes + step)
}
</script>

<template>
  <div class="bar relative py-block px-0">
    <ol ref="bar">
      <li
        class="min-w-0 overflow-hidden edge-right-1-line"
        v-for="{ phase, start, minutes } in fit.phases"
        :key="phase"
        :class="{ test: phase === 'test', narrow: share(minutes) < 8, none: minutes === 0, chosen: phase === chosen }"
        :style="{ width: `${share(minutes)}%` }"
      >
        <button
          v-if="minutes > 0"
          type="button"
          :title="`${PHASE_NAMES[phase]}: ${minuteWords(minutes)}${timeAt(plan.clock.start, start) ? `, from ${timeAt(plan.clock.start, start)}` : ''}`"
          :aria-label="`${PHASE_NAMES[phase]}, ${minuteWords(minutes)}: set`"
          :aria-pressed="phase === chosen"
          :data-target="`phase-${phase}`"
          @click="chosen = phase"
        >
          <span class="name text-small leading-1.15">{{ PHASE_NAMES[phase] }}</span>
          <span class="minutes">{{ minutes }}</span>
        </button>
      </li>
      <li v-if="fit.spare > 0" class="spare min-w-0 overflow-hidden edge-right-1-line" :style="{ width: `${share(fit.spare)}%` }">
        <span v-if="share(fit.spare) > 5" class="minutes">{{ fit.spare }} spare</span>
      </li>
    </ol>
    <span
      v-for="{ phase, minutes, at } in edges"
      :key="phase"
      class="edge"
      role="slider"
      tabindex="0"
      :aria-label="`${PHASE_NAMES[phase]}, minutes`"
      :aria-valuenow="minutes"
      :aria-valuemin="0"
      :aria-valuemax="BOUNDS.minutes.most"
      :aria-valuetext="minuteWords(minutes)"
      :style="{ left: `${share(at)}%` }"
      @pointerdown.prevent="grab($event, phase, minutes)"
      @pointermove="move"
      @pointerup="drag = undefined"
      @pointercancel="drag = undefined"
      @keydown="onKey($event, phase, minutes)"
    />
    <span
      class="bell absolute top-hair bottom-block edge-left-3-green pointer-events-none"
      :class="{ over: fit.spare < 0 }"
      :style="{ left: `${share(plan.clock.minutes)}%` }"
      ><span>bell</span></span
    >
    <EndsPicture
      v-if="ends"
      :ends="ends"
      :from="0"
      :to="whole"
      :label="`When testing ends in a hundred classes. ${testEndWords(plan, ends)}`"
    />
    <div class="scale relative h-16px" aria-hidden="true">
      <span v-for="tick in ticks" :key="tick" :style="{ left: `${share(tick)}%` }">
        {{ timeAt(plan.clock.start, tick) ?? tick }}
      </span>
    </div>
  </div>
</template>

<style scoped>
ol {
  display: flex;
  height: 92px;
  border: 1.5px solid var(--ink);
  border-radius: var(--corner);
  background: var(--card);
}
li.none {
  border: 0;
}
button,
li.spare {
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  padding: var(--gap-close) var(--gap-close) var(--gap-tight);
}
button {
  width: 100%;
  height: 100%;
  border: 0;
  border-bottom: 5px solid transparent;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
button:hover .name {
  text-decoration: underline;
}
.chosen button {
  border-bottom-color: var(--green);
}
li.test {
  background: var(--green-light);
  font-weight: 700;
}
li.spare {
  justify-content: flex-end;
  border: 0;
  background: repeating-linear-gradient(45deg, transparent 0 7px, var(--line) 7px 8px);
}
.narrow .name {
  align-self: flex-start;
  writing-mode: vertical-rl;
  max-height: 62px;
  overflow: hidden;
  font-size: var(--type-small);
  line-height: 1;
}
.minutes {
  font-size: var(--type-small);
  white-space: nowrap;
}
.edge {
  position: absolute;
  top: 22px;
  width: 13px;
  height: 92px;
  margin-left: -7px;
  cursor: ew-resize;
  touch-action: none;
}
.edge::after {
  content: '';
  position: absolute;
  inset: 32px 4px;
  border-right: 1.5px solid var(--mark);
  border-left: 1.5px solid var(--mark);
}
.edge:hover::after,
.edge:focus-visible::after {
  inset: 8px 4px;
  border-color: var(--slate);
}
.bell span {
  position: absolute;
  top: -2px;
  right: 5px;
  color: var(--green);
  font-size: var(--type-small);
  font-weight: 700;
}
.bell.over {
  border-color: var(--beet);
}
.bell.over span {
  color: var(--beet);
}
.scale span {
  position: absolute;
  color: var(--soft);
  font-size: var(--type-small);
  transform: translateX(-50%);
}
.scale span:first-child {
  transform: none;
}
</style>
