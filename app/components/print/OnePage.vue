<script setup lang="ts">
import { useFitPage } from '~/composables/fitInside'

/** What is promised on one page: whatever stands on it grows smaller with `--fit` until it is one, on A4 and on Letter. */
withDefaults(defineProps<{ tag?: string }>(), { tag: 'section' })
const sheet = ref<HTMLElement>()
const tight = useFitPage(sheet)
</script>

<template>
  <component :is="tag" ref="sheet"><slot :tight="tight" /></component>
</template>
