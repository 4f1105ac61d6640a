<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { isEachChild } from '~~/core/lesson'
import { predictionPrompt } from '~~/core/wording'
import type { NewPrediction } from '~~/core/lesson'
import QuestionLine from '~/components/pieces/QuestionLine.vue'
import PredictionForm from '~/components/predict/PredictionForm.vue'

/** What the group thinks and why, before the first trial that counts. */
const plan = useLessonPlan()
defineProps<{ group: string }>()
defineEmits<{ stamp: [prediction: NewPrediction]; later: [] }>()
</script>

<template>
  <div class="grid grid-cols-1 gap-wide py-wide px-0">
    <QuestionLine />
    <h1 class="text-title">{{ predictionPrompt(plan) }}</h1>
    <PredictionForm v-slot="{ whole }" big :group="group" @stamp="$emit('stamp', $event)">
      <VBtn @click="$emit('later')">Later</VBtn>
      <MainBtn type="submit" class="grow" :disabled="!whole">This is {{ isEachChild(plan) ? 'my' : 'our' }} prediction</MainBtn>
    </PredictionForm>
  </div>
</template>
