<script setup lang="ts">
import type { Coming } from '~~/core/clock'
import type { Plan } from '~~/core/lesson'
import { comingWords, soonWords } from '~~/core/wording'

/** What the timetable has next, each with its countdown. */
const props = defineProps<{ plan: Plan; coming: Coming[] }>()
const SHOWN = 4
const next = computed(() => props.coming.slice(0, SHOWN))
</script>

<template>
  <ul v-if="next.length > 0" class="coming" aria-label="Coming up">
    <li
      v-for="one in next"
      :key="`${comingWords(plan, one)}-${one.what === 'move' ? '' : one.minute}`"
      :class="{ now: one.seconds <= 0 }"
    >
      {{ comingWords(plan, one) }}
      <strong class="nowrap">{{ soonWords(one.seconds) }}</strong>
    </li>
  </ul>
</template>

<style scoped>
.coming {
  display: grid;
  gap: var(--gap-near);
  margin-top: 14px;
  font-size: var(--type-huge);
  line-height: 1.2;
}
li {
  padding-left: var(--gap-wide);
  border-left: 4px solid var(--mark);
}
.now {
  border-color: var(--brass-mark);
  background: var(--brass-light);
}
strong {
  font-variant-numeric: tabular-nums;
}
</style>
