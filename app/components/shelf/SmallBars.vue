<script setup lang="ts">
import type { SmallBar } from '~~/core/charts'
import { smallBarsWords } from '~~/core/wording'

/** What came out, as a stamp: bars from nothing, each with the letter of its condition. */
const props = defineProps<{ bars: SmallBar[] }>()
const HIGH = 34
const WIDE = 15
const drawn = computed(() => {
  const lowest = Math.min(0, ...props.bars.map(({ share }) => share))
  const range = Math.max(0, ...props.bars.map(({ share }) => share)) - lowest || 1
  const zero = HIGH * (1 - -lowest / range)
  return props.bars.map(({ letter, share }, place) => {
    const height = Math.max(1, (Math.abs(share) / range) * HIGH)
    return { letter, x: place * WIDE, y: share < 0 ? zero : zero - height, height }
  })
})
</script>

<template>
  <svg
    v-if="bars.length > 0"
    :width="drawn.length * WIDE"
    :height="HIGH + 14"
    :viewBox="`0 0 ${drawn.length * WIDE} ${HIGH + 14}`"
    role="img"
    :aria-label="smallBarsWords(bars)"
  >
    <g v-for="bar in drawn" :key="bar.letter">
      <rect :x="bar.x + 2" :y="bar.y" width="10" :height="bar.height" fill="var(--green)" />
      <text :x="bar.x + 7" :y="HIGH + 12" text-anchor="middle" font-size="12" fill="var(--ink)">{{ bar.letter }}</text>
    </g>
  </svg>
  <span v-else aria-hidden="true" />
</template>
