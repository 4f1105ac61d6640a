<script setup lang="ts">
import { nextTurn } from '~~/core/arrangement'
import type { Group } from '~~/core/lesson'

/** Who does what in this trial, by seat number. */
const props = defineProps<{ jobs: string[]; group: Group; done: number }>()
const turn = computed(() => nextTurn({ jobs: props.jobs, seats: props.group.seats, away: props.group.away }, props.done))
</script>

<template>
  <ul v-if="turn.length > 0" class="jobs" aria-label="Jobs in this trial">
    <li v-for="one in turn" :key="one.job">
      <span class="seat">{{ one.seat }}</span>
      {{ one.job }}
    </li>
  </ul>
</template>

<style scoped>
.jobs {
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap-tight) var(--gap-wide);
  font-size: var(--type-body);
}
li {
  display: inline-flex;
  align-items: center;
  gap: var(--gap-close);
}
.seat {
  display: inline-grid;
  place-items: center;
  width: 26px;
  height: 26px;
  border: 1.5px solid var(--ink);
  border-radius: 50%;
  font-weight: 700;
}
</style>
