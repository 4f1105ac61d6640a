<script setup lang="ts">
import { clockTurnWords, pausedWords, PHASE_NAMES, stopwatchWords } from '~~/core/wording'
import type { RunningClock } from '~~/core/clock'

/** The time left, large; the level beside it sinks with it. */
const props = defineProps<{ state: RunningClock; forecast: string }>()
const paused = computed(() => pausedWords(props.state))
const emit = defineEmits<{ turn: [] }>()
const written = computed(() => stopwatchWords(props.state.secondsLeft))
</script>

<template>
  <section class="clock" aria-label="Clock">
    <div class="level" aria-hidden="true"><span :style="{ height: `${state.share * 100}%` }" /></div>
    <div class="words grid gap-close content-start">
      <p>{{ PHASE_NAMES[state.phase] }}</p>
      <p class="as-drawn text-clock font-bold leading-1.05" role="timer">{{ written }}</p>
      <p>{{ state.running ? (state.secondsLeft > 0 ? 'left' : 'time is up') : 'for all trials' }}</p>
      <p v-if="paused" class="font-bold" role="status">{{ paused }}</p>
      <p v-else-if="forecast">{{ forecast }}</p>
      <VBtn class="justify-self-start mt-wide text-lead" @click="emit('turn')">{{ clockTurnWords(state) }}</VBtn>
    </div>
  </section>
</template>

<style scoped>
.clock {
  display: grid;
  grid-template-columns: 44px 1fr;
  gap: var(--gap-block);
  align-self: start;
  height: 330px;
}
.level {
  position: relative;
  border: 2.5px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 var(--corner-glass) var(--corner-glass);
  overflow: hidden;
}
.level span {
  forced-color-adjust: none;
  position: absolute;
  inset: auto 0 0;
  border-top: 3px solid var(--green);
  background: var(--green-light);
}
</style>
