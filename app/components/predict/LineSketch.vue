<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { lineAxes, linePoints, onSketch } from '~~/core/predictions'
import { axisTitles, momentWords, nameOfCondition, writeReading } from '~~/core/wording'
import { testOf, kindOf } from '~~/core/test'

/** A line sketched over the numbers or the times: drawn with a finger, or point by point with the arrow keys. */
const plan = useLessonPlan()
const props = defineProps<{ big?: boolean; still?: boolean }>()
const values = defineModel<Record<string, number>>({ required: true })
// On a station the sheet is nearly square, so that its writing stays large on a narrow screen.
const [WIDTH, HEIGHT] = props.big ? [430, 330] : [640, 300]
const EDGE = { left: 64, right: 30, top: 40, bottom: 40 }
const points = computed(() => linePoints(plan.value))
const axes = computed(() => lineAxes(plan.value))
const unit = computed(() => testOf(plan.value).unit)
const titles = computed(() => axisTitles(plan.value))
const drawing = ref(false)

const across = (x: number) => {
  const { from, to } = axes.value.across
  return EDGE.left + ((x - from) / (to - from)) * (WIDTH - EDGE.left - EDGE.right)
}
const up = (value: number) => {
  const { from, to } = axes.value.up
  return HEIGHT - EDGE.bottom - ((value - from) / (to - from)) * (HEIGHT - EDGE.top - EDGE.bottom)
}
const marks = computed(() => {
  const { from, to, step } = axes.value.up
  return Array.from({ length: Math.round((to - from) / step) + 1 }, (_, place) => from + place * step)
})
const path = computed(() =>
  points.value.flatMap(({ id, x }) => (values.value[id] === undefined ? [] : [`${across(x)},${up(values.value[id]!)}`])).join(' '),
)
const nameOf = (id: string) => (kindOf(plan.value).watches ? momentWords(plan.value, id) : nameOfCondition(plan.value, id))

/** The point nearest to the finger takes its height, and so does every point that a quick stroke passed over. */
let before: { x: number; y: number } | undefined
function draw(event: PointerEvent): void {
  if (!drawing.value) return
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const here = { x: ((event.clientX - box.left) / box.width) * WIDTH, y: ((event.clientY - box.top) / box.height) * HEIGHT }
  const from = before ?? here
  before = here
  const valueAt = (y: number) => {
    const { from: low, to } = axes.value.up
    return onSketch(plan.value, low + ((HEIGHT - EDGE.bottom - y) / (HEIGHT - EDGE.top - EDGE.bottom)) * (to - low))
  }
  const next = { ...values.value }
  const nearest = [...points.value].sort((a, b) => Math.abs(across(a.x) - here.x) - Math.abs(across(b.x) - here.x))[0]
  for (const { id, x } of points.value) {
    const at = across(x)
    const passed = at >= Math.min(from.x, here.x) && at <= Math.max(from.x, here.x)
    if (!passed && id !== nearest?.id) continue
    const share = passed && here.x !== from.x ? (at - from.x) / (here.x - from.x) : 1
    next[id] = valueAt(from.y + share * (here.y - from.y))
  }
  values.value = next
}

function begin(event: PointerEvent): void {
  if (props.still) return
  ;(event.currentTarget as SVGElement).setPointerCapture(event.pointerId)
  before = undefined
  drawing.value = true
  draw(event)
}

function onKey(event: KeyboardEvent, id: string): void {
  const steps: Record<string, number> = { ArrowUp: 1, ArrowDown: -1, PageUp: 5, PageDown: -5 }
  const step = steps[event.key]
  if (step === undefined) return
  event.preventDefault()
  const { from, to, step: size } = axes.value.up
  const now = values.value[id] ?? (from + to) / 2
  values.value = { ...values.value, [id]: onSketch(plan.value, now + (step * size) / 2) }
}
</script>

<template>
  <div class="sketch" :class="{ big }">
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="group"
      :aria-label="still ? 'The sketched line' : 'Sketch your line: draw it, or move each point with the arrow keys'"
      @pointerdown="begin"
      @pointermove="draw"
      @pointerup="drawing = false"
      @pointercancel="drawing = false"
    >
      <g class="ruling" aria-hidden="true">
        <template v-for="mark in marks" :key="mark">
          <line :x1="EDGE.left" :x2="WIDTH - EDGE.right" :y1="up(mark)" :y2="up(mark)" />
          <text :x="EDGE.left - 8" :y="up(mark) + 5" text-anchor="end">{{ writeReading(plan, mark, 'count') }}</text>
        </template>
        <text :x="8" :y="20">{{ titles.up }}</text>
        <template v-for="point in points" :key="point.id">
          <line class="upright" :x1="across(point.x)" :x2="across(point.x)" :y1="EDGE.top" :y2="HEIGHT - EDGE.bottom" />
          <text :x="across(point.x)" :y="HEIGHT - EDGE.bottom + 20" text-anchor="middle">{{ nameOf(point.id) }}</text>
        </template>
      </g>
      <polyline :points="path" class="line" />
      <g
        v-for="point in points"
        :key="point.id"
        class="point"
        :class="{ open: values[point.id] === undefined }"
        :role="still ? undefined : 'slider'"
        :tabindex="still ? undefined : 0"
        aria-orientation="vertical"
        :aria-label="nameOf(point.id)"
        :aria-valuemin="axes.up.from"
        :aria-valuemax="axes.up.to"
        :aria-valuenow="values[point.id] ?? axes.up.from"
        :aria-valuetext="values[point.id] === undefined ? 'not drawn yet' : writeReading(plan, values[point.id]!, unit)"
        @keydown="onKey($event, point.id)"
      >
        <circle :cx="across(point.x)" :cy="up(values[point.id] ?? axes.up.from)" r="9" />
      </g>
    </svg>
    <p v-if="!still" class="hint">Draw with your finger from left to right. It is a guess, not a drawing test.</p>
  </div>
</template>

<style scoped>
svg {
  display: block;
  width: min(640px, 100%);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  touch-action: none;
  user-select: none;
}
.big svg {
  width: min(720px, 100%);
}
.ruling line {
  stroke: var(--line);
}
.ruling .upright {
  stroke-dasharray: 2 5;
  stroke: var(--mark);
}
text {
  fill: var(--soft);
  font-family: var(--heading);
  font-size: var(--type-body);
}
.line {
  fill: none;
  stroke: var(--green);
  stroke-width: 4;
  stroke-linejoin: round;
}
.point circle {
  fill: var(--green);
  stroke: var(--card);
  stroke-width: 2;
}
.point.open circle {
  fill: var(--card);
  stroke: var(--soft);
}
.point:focus-visible {
  outline: none;
}
.point:focus-visible circle {
  stroke: var(--slate);
  stroke-width: 5;
}
</style>
