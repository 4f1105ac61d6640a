<script setup lang="ts">
import type { Plan } from '~~/core/lesson'
import { predictionPrompt } from '~~/core/wording'
import type { NewPrediction } from '~~/core/lesson'

/** What the group thinks and why, before the first trial that counts. */
defineProps<{ plan: Plan; group: string }>()
defineEmits<{ stamp: [prediction: NewPrediction]; later: [] }>()
</script>

<template>
  <div class="predict">
    <QuestionLine :plan="plan" />
    <h1>{{ predictionPrompt(plan) }}</h1>
    <PredictionForm v-slot="{ whole }" big :plan="plan" :group="group" @stamp="$emit('stamp', $event)">
      <VBtn @click="$emit('later')">Later</VBtn>
      <MainBtn type="submit" class="grow" :disabled="!whole">This is our prediction</MainBtn>
    </PredictionForm>
  </div>
</template>

<style scoped>
.predict {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--gap-wide);
  padding: var(--gap-wide) 0;
}
h1 {
  font-size: var(--type-title);
}
</style>
