<script setup lang="ts">
import { lookOf } from '~/theme/conditions'

/** A condition's letter on its colour and hatch. */
const props = defineProps<{ letter: string; place: number; size?: number }>()
/** Nobody at a desk reads smaller letters. */
const SMALLEST = 14
const look = computed(() => lookOf(props.place))
const side = computed(() => props.size ?? 30)
</script>

<template>
  <span
    class="badge"
    :class="look.hatch"
    aria-hidden="true"
    :style="{ '--colour': look.colour, '--side': side, '--letter': Math.max(SMALLEST, side * 0.52) }"
  >
    {{ letter }}
  </span>
</template>

<style scoped>
.badge {
  display: inline-flex;
  flex: none;
  align-items: center;
  justify-content: center;
  /* On the board a unit grows with the wall. */
  width: calc(var(--side) * var(--unit, 1px));
  height: calc(var(--side) * var(--unit, 1px));
  font-size: calc(var(--letter) * var(--unit, 1px));
  border: 1.5px solid #1e2b2f;
  border-radius: var(--corner-small);
  background-color: var(--colour);
  background-repeat: repeat;
  color: #fff;
  font-family: var(--heading);
  font-weight: 700;
  --hatch: rgb(0 0 0 / 38%);
}
.rising {
  background-image: repeating-linear-gradient(45deg, transparent 0 5px, var(--hatch) 5px 7px);
}
.falling {
  background-image: repeating-linear-gradient(-45deg, transparent 0 5px, var(--hatch) 5px 7px);
}
.level {
  background-image: repeating-linear-gradient(0deg, transparent 0 5px, var(--hatch) 5px 7px);
}
.upright {
  background-image: repeating-linear-gradient(90deg, transparent 0 5px, var(--hatch) 5px 7px);
}
.dots {
  background-image: radial-gradient(var(--hatch) 1.6px, transparent 2px);
  background-size: 7px 7px;
}
.cross {
  background-image:
    repeating-linear-gradient(45deg, transparent 0 5px, var(--hatch) 5px 6.5px),
    repeating-linear-gradient(-45deg, transparent 0 5px, var(--hatch) 5px 6.5px);
}
.checks {
  background-image: conic-gradient(var(--hatch) 25%, transparent 0 50%, var(--hatch) 0 75%, transparent 0);
  background-size: 10px 10px;
}
@media print {
  .badge {
    border: 2px solid #000;
    background-color: #fff;
    color: #000;
    -webkit-text-stroke: 4px #fff;
    paint-order: stroke fill;
    print-color-adjust: exact;
    --hatch: rgb(0 0 0 / 55%);
  }
}
</style>
