<script setup lang="ts">
/** The emblem: a beaker whose level says how ready a lesson is, with a mark per stop. */
const props = withDefaults(defineProps<{ level?: number; size?: number; label?: string }>(), {
  level: 0.55,
  size: 32,
  label: undefined,
})
const top = computed(() => 57 - 46 * Math.min(1, Math.max(0, props.level)))
const marks = Array.from({ length: 7 }, (_, place) => 57 - (46 * (place + 1)) / 8)
const clip = useId()
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 64 64" :role="label ? 'img' : undefined" :aria-label="label" :aria-hidden="!label">
    <clipPath :id="clip"><path d="M14 6h36v46a7 7 0 0 1-7 7H21a7 7 0 0 1-7-7z" /></clipPath>
    <rect x="8" :y="top" width="48" height="60" fill="var(--green)" opacity=".8" :clip-path="`url(#${clip})`" />
    <path
      d="M9 5h6v47a7 7 0 0 0 7 7h20a7 7 0 0 0 7-7V11l6-6H44"
      fill="none"
      stroke="var(--ink)"
      stroke-width="3"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
    <g v-if="size >= 44" stroke="var(--ink)" stroke-width="1.6">
      <path v-for="mark in marks" :key="mark" :d="`M15 ${mark}h7`" />
    </g>
  </svg>
</template>
