<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import type { LessonRecord } from '~~/core/lesson'
import { wordsOf } from './optionOf'
import { svgOf } from './pictureOf'

/** The results graph for paper: drawn once at a size of its own, so that it fits whatever sheet it is printed on. */
const plan = useLessonPlan()
const props = withDefaults(defineProps<{ record: LessonRecord; width?: number; height?: number }>(), {
  width: 760,
  height: 300,
})
const place = ref<HTMLElement>()
const svg = computed(() =>
  svgOf(plan.value, props.record, { big: false, dark: false, paper: true }, { width: props.width, height: props.height }),
)
watchEffect(
  () => {
    if (!place.value || svg.value === undefined) return
    const drawn = new DOMParser().parseFromString(svg.value, 'image/svg+xml').documentElement
    place.value.replaceChildren(document.importNode(drawn, true))
  },
  { flush: 'post' },
)
</script>

<template>
  <div v-if="svg !== undefined" ref="place" class="paper-chart" role="img" :aria-label="wordsOf(plan, record)" />
</template>

<style scoped>
.paper-chart :deep(svg) {
  display: block;
  width: 100%;
  height: auto;
}
</style>
