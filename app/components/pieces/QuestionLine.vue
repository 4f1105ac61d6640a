<script setup lang="ts">
import type { Plan } from '~~/core/lesson'
import { questionParts } from '~~/core/wording'

/** The testable question, put together from the cards: change underlined once, measure twice. */
const props = defineProps<{ plan: Plan; as?: 'h1' | 'p' }>()
const parts = computed(() => questionParts(props.plan))
</script>

<template>
  <component :is="as ?? 'p'" class="question">
    How does
    <strong :class="parts.change ? 'change' : 'open'">{{ parts.change ?? 'something we change' }}</strong>
    change
    <strong :class="parts.measure ? 'measure' : 'open'">{{ parts.measure ?? 'something we measure' }}</strong>?
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
