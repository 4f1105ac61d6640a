<script setup lang="ts">
import { WORD_SETS } from '~~/core/lesson'
import { FRAME_WORDS, VARIABLE_WORDS } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import FrameChoice from '~/components/predict/FrameChoice.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import { useLesson } from '~/stores/lesson'

/** What this class calls its variables and how it predicts: on board, station and paper. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
</script>

<template>
  <AppFold title="Words of the class" :hint="`${VARIABLE_WORDS[plan.words].name}; ${FRAME_WORDS[plan.frame].name}`">
    <div class="row items-end mt-10px">
      <ChoiceField
        label="The variables are called"
        :model-value="plan.words"
        @update:model-value="lesson.edit((draft) => (draft.words = $event))"
        :options="WORD_SETS.map((set) => ({ value: set, title: VARIABLE_WORDS[set].name }))"
      />
      <FrameChoice label="A prediction says" />
      <VBtn :to="`/print/${lesson.id}/words`" target="_blank">Print the word mat</VBtn>
    </div>
  </AppFold>
</template>
