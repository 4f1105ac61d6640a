<script setup lang="ts">
import type { Shape } from '~~/core/lesson'

/** A group's shape; always stands beside its name. */
const props = defineProps<{ shape: Shape; size?: number }>()
const side = computed(() => `calc(${props.size ?? 18} * var(--unit, 1px))`)
const PATHS: Record<Shape, string> = {
  circle: 'M12 2a10 10 0 1 1 0 20a10 10 0 1 1 0-20z',
  triangle: 'M12 2l11 20H1z',
  square: 'M3 3h18v18H3z',
  diamond: 'M12 1l11 11-11 11L1 12z',
  star: 'M12 1l3.2 7.4 8 .7-6.1 5.3 1.9 7.9-7-4.2-7 4.2 1.9-7.9L.8 9.1l8-.7z',
  hexagon: 'M6.5 2.5h11L23 12l-5.5 9.5h-11L1 12z',
  cross: 'M8 2h8v6h6v8h-6v6H8v-6H2V8h6z',
  heart: 'M12 22S1.5 14.5 1.5 8.2C1.5 3.4 8.6 1.4 12 6.6c3.4-5.2 10.5-3.2 10.5 1.6C22.5 14.5 12 22 12 22z',
  drop: 'M12 1s8 9.5 8 14.2a8 8 0 0 1-16 0C4 10.5 12 1 12 1z',
  moon: 'M15 1.5A10.8 10.8 0 1 0 22.5 16 9 9 0 0 1 15 1.5z',
}
</script>

<template>
  <svg :style="{ flex: 'none', width: side, height: side }" viewBox="0 0 24 24" aria-hidden="true">
    <path :d="PATHS[shape]" fill="var(--ink)" />
  </svg>
</template>
