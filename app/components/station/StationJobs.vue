<script setup lang="ts">
import { nextTurn } from '~~/core/arrangement'
import type { Group } from '~~/core/lesson'

/** Who does what in this trial, by seat number. */
const props = defineProps<{ jobs: string[]; group: Group; done: number }>()
const turn = computed(() => nextTurn({ jobs: props.jobs, seats: props.group.seats, away: props.group.away }, props.done))
</script>

<template>
  <ul v-if="turn.length > 0" class="flex flex-wrap gap-y-tight gap-x-wide text-body" aria-label="Jobs in this trial">
    <li class="inline-flex items-center gap-close" v-for="one in turn" :key="one.job">
      <span class="inline-grid place-items-center w-26px h-26px edge-1.5-ink rounded-full font-bold">{{ one.seat }}</span>
      {{ one.job }}
    </li>
  </ul>
</template>
