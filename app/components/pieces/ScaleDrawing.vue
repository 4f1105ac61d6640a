<script setup lang="ts">
import { isUpright, seenFrom, type Eye, type Mark, type Scale } from '~~/core/warmUps'
import { unitOf } from '~~/core/quantity'

/**
 * An instrument with true marks, in lines that survive a printer without colour. Every mark carries its value, so that a test can read
 * the picture back.
 */
const props = defineProps<{ scale: Scale; value: number; eye?: Eye | undefined; label: string }>()
/** Which way its marks run. */
const upright = computed(() => isUpright(props.scale.kind))
const round = computed(() => props.scale.kind === 'dial')
const LENGTH = 300
const START = 34
const LINE = { large: 26, middle: 18, small: 11 }
const part = (value: number) => (value - props.scale.from) / (props.scale.to - props.scale.from)
/** Along the scale; upright ones grow upwards. */
const along = (value: number) => (upright.value ? START + LENGTH * (1 - part(value)) : START + LENGTH * part(value))
const DIAL = { x: 150, y: 150, radius: 118, gap: 40 }
const turn = (value: number) => ((DIAL.gap / 2 + (360 - DIAL.gap) * part(value) + 90) * Math.PI) / 180
const onDial = (value: number, radius: number) => ({
  x: DIAL.x + radius * Math.cos(turn(value)),
  y: DIAL.y + radius * Math.sin(turn(value)),
})
const box = computed(() => {
  if (round.value) return '0 0 300 300'
  if (upright.value) return props.eye ? '0 -64 190 500' : '0 0 190 372'
  return props.eye ? '-50 -70 468 194' : '0 0 368 124'
})

function lineOf({ value, size }: Mark) {
  if (round.value) {
    const [outer, inner] = [onDial(value, DIAL.radius), onDial(value, DIAL.radius - LINE[size])]
    return { x1: outer.x, y1: outer.y, x2: inner.x, y2: inner.y }
  }
  const at = along(value)
  return upright.value ? { x1: 70, y1: at, x2: 70 + LINE[size], y2: at } : { x1: at, y1: 24, x2: at, y2: 24 + LINE[size] }
}
function labelOf({ value }: Mark) {
  if (round.value) return onDial(value, DIAL.radius - 42)
  return upright.value ? { x: 116, y: along(value) } : { x: along(value), y: 66 }
}
const labels = computed(() => props.scale.marks.filter(({ label }) => label !== undefined))
const level = computed(() => along(props.value))
const pointer = computed(() => onDial(props.value, DIAL.radius - 16))
const symbol = computed(() => unitOf(props.scale.unit).symbol)
/** The line of sight from what the instrument shows, through the mark that the eye sees before it; across the scale. */
const ACROSS = { upright: { shown: 30, mark: 83, eye: 160 }, lying: { shown: 93, mark: 37, eye: -44 } }
const sight = computed(() => {
  if (!props.eye || round.value) return undefined
  const across = upright.value ? ACROSS.upright : ACROSS.lying
  const seen = along(seenFrom({ scale: props.scale, value: props.value }, props.eye))
  const eye = level.value + ((seen - level.value) * (across.eye - across.shown)) / (across.mark - across.shown)
  const at = (place: number, off: number) => (upright.value ? { x: off, y: place } : { x: place, y: off })
  return { from: at(level.value, across.shown), to: at(eye, across.eye), pupil: at(eye, across.eye - (upright.value ? 3 : -3)) }
})
</script>

<template>
  <svg :viewBox="box" role="img" :aria-label="label" class="scale" :data-kind="scale.kind">
    <template v-if="round">
      <circle :cx="DIAL.x" :cy="DIAL.y" :r="DIAL.radius + 8" class="body" />
    </template>
    <template v-else-if="scale.kind === 'cylinder'">
      <path d="M18 12v324h52V12" class="body" />
      <path :d="`M20 ${level - 5}q24 10 48 0V334H20z`" class="fill" />
      <path :d="`M20 ${level - 5}q24 10 48 0`" class="edge" />
      <path d="M6 338h76" class="edge" />
    </template>
    <template v-else-if="scale.kind === 'thermometer'">
      <path d="M34 22a10 10 0 0 1 20 0v308a16 16 0 1 1-20 0z" class="body" />
      <path :d="`M44 ${level}V340`" class="column" />
    </template>
    <template v-else-if="scale.kind === 'force-meter'">
      <path d="M14 12h56v332H14z" class="body" />
      <path :d="`M42 2v10M42 344v14M42 12l-8 8 16 10-16 10 16 10-16 10 8 8V${Math.max(80, level)}`" class="thin" />
      <path :d="`M20 ${level}h50`" class="edge" />
    </template>
    <template v-else-if="scale.kind === 'syringe'">
      <path d="M12 78h332v30H12zM12 86H2M12 100H2" class="body" />
      <path :d="`M14 80h${level - 14}v26H14z`" class="fill" />
      <path :d="`M${level} 80v26M${level} 93h${358 - level}M358 82v22`" class="edge" />
    </template>
    <template v-else>
      <path d="M6 24h356v54H6z" class="body" />
      <path :d="`M-2 86h${level + 2}v20H-2z`" class="thing" />
    </template>
    <line
      v-for="mark in scale.marks"
      :key="mark.value"
      v-bind="lineOf(mark)"
      class="mark"
      :class="mark.size"
      :data-value="mark.value"
      :data-size="mark.size"
    />
    <text
      v-for="mark in labels"
      :key="mark.value"
      v-bind="labelOf(mark)"
      class="number"
      :text-anchor="upright && !round ? 'start' : 'middle'"
      dominant-baseline="middle"
    >
      {{ mark.label }}
    </text>
    <text v-if="round" :x="DIAL.x" :y="DIAL.y + 44" class="number" text-anchor="middle">{{ symbol }}</text>
    <text v-else-if="upright" x="116" y="12" class="number" dominant-baseline="middle">{{ symbol }}</text>
    <text v-else x="360" y="15" class="number" text-anchor="end">{{ symbol }}</text>
    <template v-if="round">
      <line :x1="DIAL.x" :y1="DIAL.y" :x2="pointer.x" :y2="pointer.y" class="edge" data-pointer />
      <circle :cx="DIAL.x" :cy="DIAL.y" r="7" class="hub" />
    </template>
    <line v-else-if="upright" x1="20" :y1="level" x2="96" :y2="level" class="pointer" data-pointer />
    <line v-else :x1="level" y1="24" :x2="level" y2="106" class="pointer" data-pointer />
    <g v-if="sight">
      <line :x1="sight.from.x" :y1="sight.from.y" :x2="sight.to.x" :y2="sight.to.y" class="sight" stroke-dasharray="4 4" />
      <circle :cx="sight.to.x" :cy="sight.to.y" r="9" class="body" />
      <circle :cx="sight.pupil.x" :cy="sight.pupil.y" r="3.5" class="hub" />
    </g>
  </svg>
</template>

<style scoped>
.scale {
  display: block;
  width: 100%;
  max-width: 420px;
  max-height: 60vh;
  color: #1e2b2f;
}
.body {
  fill: #fff;
  stroke: currentcolor;
  stroke-width: 2;
}
.fill {
  fill: #cfe3dc;
}
.thing {
  fill: #cfe3dc;
  stroke: currentcolor;
  stroke-width: 1.5;
}
.column {
  fill: none;
  stroke: currentcolor;
  stroke-width: 8;
}
.edge,
.mark {
  fill: none;
  stroke: currentcolor;
  stroke-width: 1.4;
}
.edge {
  stroke-width: 2.5;
}
.thin,
.sight {
  fill: none;
  stroke: currentcolor;
  stroke-width: 1.4;
}
.pointer {
  stroke: currentcolor;
  stroke-width: 1;
  stroke-dasharray: 2 3;
}
.large {
  stroke-width: 2;
}
.small {
  stroke-width: 1;
}
.hub {
  fill: currentcolor;
}
.number {
  fill: currentcolor;
  font-size: 15px;
}
</style>
