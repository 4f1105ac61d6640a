<script setup lang="ts">
import { clockAnswer, offWords } from '~~/core/wording'
import ChoiceField from '~/forms/ChoiceField.vue'

/** Stop the clock at a number of seconds without seeing it; then see how far off. */
const AT = [5, 8, 10, 12]
const goal = ref(10)
const began = ref<number>()
const took = ref<number>()
const all = ref<number[]>([])

function press(): void {
  if (began.value === undefined) {
    ;[began.value, took.value] = [performance.now(), undefined]
    return
  }
  took.value = (performance.now() - began.value) / 1000
  began.value = undefined
  all.value = [...all.value, took.value - goal.value]
}
</script>

<template>
  <div class="grid gap-wide justify-items-start">
    <ChoiceField
      v-model="goal"
      label="Seconds"
      :options="AT.map((value) => ({ value, title: `${value} seconds` }))"
      :disabled="began !== undefined"
    />
    <p class="text-large">Start, count in your head, and stop at {{ goal }} seconds.</p>
    <MainBtn size="x-large" @click="press">{{ began === undefined ? 'Start' : 'Stop' }}</MainBtn>
    <p v-if="took !== undefined" class="text-lead" role="status">{{ clockAnswer(took, goal) }}</p>
    <p v-if="all.length > 1" class="soft">{{ all.map(offWords).join(' · ') }}</p>
  </div>
</template>
