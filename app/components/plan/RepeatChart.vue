<script setup lang="ts">
import type { ChanceOfRepeats } from '~~/core/measuring'
import { counted } from '~~/core/wording'

/** The chance of coming out clear for 1 to 12 repeats. A bar is a button that sets the repeats. */
const props = defineProps<{ chances: ChanceOfRepeats[]; repeats: number; wanted: number }>()
const emit = defineEmits<{ choose: [repeats: number] }>()

/** Drawn along with the button held down, the repeats follow. */
function drag(event: PointerEvent, repeats: number): void {
  if ((event.buttons & 1) === 1 && repeats !== props.repeats) emit('choose', repeats)
}
const percent = (chance: number) => Math.round(chance * 100)
const words = (one: ChanceOfRepeats) =>
  `${counted(one.repeats, 'repeat')}: clear ${percent(one.clear)} in 100, best is best ${percent(one.bestInClass)} in 100`
const label = computed(() => `nine in ten`)
const line = computed(() => `${(1 - props.wanted) * 100}%`)
</script>

<template>
  <div class="chart" role="group" aria-label="Chance that it comes out clear, for 1 to 12 repeats">
    <div class="bars relative flex gap-close h-82px edge-bottom-1-ink">
      <span class="goal" :style="{ top: line }">
        <span>{{ label }}</span>
      </span>
      <button
        v-for="one in chances"
        :key="one.repeats"
        type="button"
        :aria-label="words(one)"
        :title="words(one)"
        :aria-pressed="one.repeats === repeats"
        @click="$emit('choose', one.repeats)"
        @pointerenter="drag($event, one.repeats)"
      >
        <span class="bar" :class="{ chosen: one.repeats === repeats }" :style="{ height: `${one.clear * 100}%` }" />
        <span class="order" :style="{ bottom: `${one.bestInClass * 100}%` }" />
      </button>
    </div>
    <div class="counts flex gap-close text-small" aria-hidden="true">
      <span v-for="one in chances" :key="one.repeats" :class="{ chosen: one.repeats === repeats }">{{ one.repeats }}</span>
    </div>
    <p class="hint key flex items-center gap-close mb-close text-small" aria-hidden="true">
      <span class="swatch" />
      comes out clear
      <span class="swatch dash" />
      best one best, over the class
    </p>
  </div>
</template>

<style scoped>
.bars,
.counts {
  margin-right: 74px;
}
.bars button {
  position: relative;
  flex: 1;
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
}
.bar {
  forced-color-adjust: none;
  position: absolute;
  inset: auto 0 0;
  background: #cfc6b2;
}
.bars button:hover .bar {
  background: var(--mark);
}
.bar.chosen {
  background: var(--green) !important;
}
.order {
  position: absolute;
  inset: auto 0 0;
  border-top: 2.5px solid var(--ink);
}
.goal {
  position: absolute;
  z-index: var(--layer-raised);
  right: 0;
  left: 0;
  border-top: 1.5px dashed var(--brass);
  pointer-events: none;
}
.goal span {
  position: absolute;
  bottom: -9px;
  left: 100%;
  padding-left: var(--gap-close);
  white-space: nowrap;
  color: var(--brass);
  font-size: var(--type-small);
}
.counts span {
  flex: 1;
  color: var(--soft);
  text-align: center;
}
.counts .chosen {
  color: var(--green);
  font-weight: 700;
}
.swatch {
  width: 14px;
  height: 10px;
  background: #cfc6b2;
}
.swatch.dash {
  height: 0;
  margin-left: 8px;
  border-top: 2.5px solid var(--ink);
  background: none;
}
</style>
