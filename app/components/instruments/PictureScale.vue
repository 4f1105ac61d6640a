<script setup lang="ts">
import { axisFor, axisTicks } from '~~/core/charts'
import { pictureScale } from '~~/core/measuring'
import { unitOf, writeShort } from '~~/core/quantity'
import { scaleOf } from '~~/core/warmUps'
import { writeReading } from '~~/core/wording'
import { testOf } from '~~/core/test'
import type { InstrumentProps } from './instrument'

/** A picture of a ruler, a cylinder or a thermometer: the level is moved to where it stands on the real one. */
const props = defineProps<InstrumentProps>()
const text = defineModel<string>({ required: true })
const method = computed(() => testOf(props.plan).method!)
const scale = computed(() => pictureScale(method.value))
const level = computed(() => (text.value === '' ? scale.value.low : Number(text.value)))
const share = (value: number) => (100 * (value - scale.value.low)) / (scale.value.high - scale.value.low)
/** Numbered in steps that a real scale would have. */
const marks = computed(() => {
  const { low, high } = scale.value
  return axisTicks(axisFor([low, high], false)).filter((mark) => mark >= low && mark <= high)
})
/** Its true marks, in three sizes; more than an eye tells apart are not drawn. */
const MOST_MARKS = 160
const lines = computed(() => {
  const { low, high, step } = scale.value
  if ((high - low) / step > MOST_MARKS) return []
  return scaleOf({ kind: 'cylinder', unit: method.value.unit, from: low, to: high, step }).marks
})
const shape = computed(() => unitOf(method.value.unit).dimension)
</script>

<template>
  <div class="device picture">
    <div class="tube" :class="shape">
      <span class="level" :style="{ height: `${share(level)}%` }" />
      <input
        type="range"
        :min="scale.low"
        :max="scale.high"
        :step="scale.step"
        :value="level"
        :aria-label="`Level in ${unitOf(method.unit).symbol}`"
        :aria-valuetext="writeReading(plan, level, method.unit)"
        @input="text = ($event.target as HTMLInputElement).value"
      />
      <i v-for="{ value, size } in lines" :key="value" class="line" :class="size" :style="{ bottom: `${share(value)}%` }" />
      <span v-for="mark in marks" :key="mark" class="mark" :style="{ bottom: `${share(mark)}%` }">{{ writeShort(mark) }}</span>
    </div>
    <p role="status">
      <strong>{{ text === '' ? 'Move the level' : writeReading(plan, level, method.unit) }}</strong>
    </p>
  </div>
</template>

<style scoped>
.picture {
  grid-template-columns: 130px minmax(0, 1fr);
  align-items: center;
  font-size: var(--type-large);
}
.tube {
  position: relative;
  width: 64px;
  height: 230px;
  margin: 8px 0;
  border: 2px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 var(--corner-glass) var(--corner-glass);
  background: var(--card);
}
.tube.length {
  border: 2px solid var(--ink);
  border-radius: var(--corner-small);
}
.tube.temperature {
  width: 34px;
  border-radius: var(--corner-glass);
}
.tube:focus-within {
  outline: 3px solid var(--slate);
  outline-offset: 3px;
}
.level {
  position: absolute;
  inset: auto 0 0;
  border-top: 3px solid var(--green);
  border-radius: inherit;
  background: var(--green-light);
}
input {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  opacity: 0;
  cursor: ns-resize;
  direction: rtl;
  writing-mode: vertical-lr;
}
.line {
  position: absolute;
  right: 0;
  width: 6px;
  border-top: 1px solid var(--ink);
  pointer-events: none;
}
.line.middle {
  width: 11px;
}
.line.large {
  width: 17px;
}
.mark {
  position: absolute;
  left: calc(100% + 8px);
  font-size: var(--type-body);
  line-height: 1;
  transform: translateY(50%);
}
.mark::before {
  position: absolute;
  top: 50%;
  left: -9px;
  width: 7px;
  border-top: 1.5px solid var(--ink);
  content: '';
}
</style>
