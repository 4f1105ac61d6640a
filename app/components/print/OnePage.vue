<script setup lang="ts">
import { useFitPage } from '~/composables/fitInside'

/**
 * What is promised on one page: its pictures are drawn lower, then whatever stands on it grows smaller with `--fit` until it is one, on A4 and on Letter.
 */
const props = withDefaults(defineProps<{ tag?: string; pictures?: number }>(), { tag: 'section', pictures: 0 })
/** How high a picture is in pixels, and as low as it may be. */
const HIGH = 272
const LOW = 170
const sheet = ref<HTMLElement>()
const over = useFitPage(sheet, () => (HIGH - high.value) * props.pictures)
const high = computed(() => Math.round(Math.max(LOW, HIGH - over.value / Math.max(1, props.pictures))))
</script>

<template>
  <component :is="tag" ref="sheet"><slot :high="high" /></component>
</template>
