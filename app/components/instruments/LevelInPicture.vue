<script setup lang="ts">
import { pictureScale } from '~~/core/measuring'
import { unitOf, type Dimension } from '~~/core/quantity'
import { scaleToMove, isUpright, type ScaleKind } from '~~/core/warmUps'
import { writeReading } from '~~/core/wording'
import { testOf } from '~~/core/test'
import ScaleDrawing from '~/components/pieces/ScaleDrawing.vue'
import type { InstrumentProps } from './instrument'

/** A picture of a ruler, a cylinder or a thermometer: the level is moved to where it stands on the real one. */
const props = defineProps<InstrumentProps>()
const text = defineModel<string>({ required: true })
const KINDS: Partial<Record<Dimension, ScaleKind>> = { length: 'ruler', temperature: 'thermometer' }
const method = computed(() => testOf(props.plan).method!)
const scale = computed(() => pictureScale(method.value))
const level = computed(() => (text.value === '' ? scale.value.low : Number(text.value)))
const drawn = computed(() => {
  const { unit } = method.value
  return scaleToMove({
    kind: KINDS[unitOf(unit).dimension] ?? 'cylinder',
    unit,
    from: scale.value.low,
    to: scale.value.high,
    step: scale.value.step,
  })
})
</script>

<template>
  <div class="device">
    <div class="picture" :class="{ upright: isUpright(drawn.kind) }">
      <ScaleDrawing :scale="drawn" :value="level" :label="`Picture of the scale, in ${unitOf(method.unit).symbol}`" />
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
    </div>
    <p role="status">
      <strong>{{ text === '' ? 'Move the level' : writeReading(plan, level, method.unit) }}</strong>
    </p>
  </div>
</template>

<style scoped>
.device {
  font-size: var(--type-large);
}
.picture {
  position: relative;
  width: min(420px, 100%);
}
.picture.upright {
  width: min(150px, 100%);
}
.picture:focus-within {
  outline: 3px solid var(--slate);
  outline-offset: 3px;
}
/* Over the scale itself: its ends lie at the ends of the drawing's marks. */
input {
  position: absolute;
  top: 0;
  bottom: 0;
  left: calc(100% * 34 / 368);
  width: calc(100% * 300 / 368);
  margin: 0;
  opacity: 0;
  cursor: ew-resize;
}
.upright input {
  top: calc(100% * 34 / 372);
  bottom: auto;
  left: 0;
  width: 100%;
  height: calc(100% * 300 / 372);
  cursor: ns-resize;
  direction: rtl;
  writing-mode: vertical-lr;
}
</style>
