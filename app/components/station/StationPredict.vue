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
      <button type="button" class="button large" @click="$emit('later')">Later</button>
      <button type="submit" class="button main large grow" :disabled="!whole">This is our prediction</button>
    </PredictionForm>
  </div>
</template>

<style scoped>
.predict {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  padding: 14px 0;
}
h1 {
  font-size: 20px;
}
</style>
