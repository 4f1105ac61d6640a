<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { questionSegments } from '~~/core/wording'

/** The testable question, put together from the cards: change underlined once, measure twice. */
const plan = useLessonPlan()
defineProps<{ as?: 'h1' | 'p' }>()
</script>

<template>
  <component :is="as ?? 'p'" class="question">
    <template v-for="(segment, place) in questionSegments(plan)" :key="place">
      <strong v-if="segment.card" :class="segment.card">{{ segment.text }}</strong>
      <template v-else>{{ segment.text }}</template>
    </template>
  </component>
</template>

<style scoped>
.question {
  font-family: var(--heading);
  font-weight: 400;
  line-height: 1.45;
  overflow-wrap: anywhere;
}
.change {
  text-decoration: underline 3px var(--green);
  text-underline-offset: 6px;
}
.measure {
  text-decoration: underline double 2px var(--green);
  text-underline-offset: 6px;
}
.open {
  color: var(--soft);
  font-weight: 400;
  text-decoration: underline dashed 2px var(--mark);
  text-underline-offset: 6px;
}
</style>
