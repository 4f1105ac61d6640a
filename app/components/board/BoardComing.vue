<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import type { Coming } from '~~/core/clock'
import { comingWords, soonWords } from '~~/core/wording'

/** What the timetable has next, each with its countdown. */
const plan = useLessonPlan()
const props = defineProps<{ coming: Coming[] }>()
const SHOWN = 4
const next = computed(() => props.coming.slice(0, SHOWN))
</script>

<template>
  <ul v-if="next.length > 0" class="grid gap-near mt-14px text-huge leading-1.2" aria-label="Coming up">
    <li
      class="pl-wide edge-left-4-mark"
      v-for="one in next"
      :key="`${comingWords(plan, one)}-${one.what === 'move' ? '' : one.minute}`"
      :class="{ now: one.seconds <= 0 }"
    >
      {{ comingWords(plan, one) }}
      <strong class="nowrap tabular-nums">{{ soonWords(one.seconds) }}</strong>
    </li>
  </ul>
</template>

<style scoped>
.now {
  border-color: var(--brass-mark);
  background: var(--brass-light);
}
</style>
