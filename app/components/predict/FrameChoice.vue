<script setup lang="ts">
import { FRAMES } from '~~/core/lesson'
import { FRAME_WORDS } from '~~/core/wording'
import ChoiceField from '~/forms/ChoiceField.vue'
import { useLesson } from '~/stores/lesson'

/** In which words a prediction is said. */
defineProps<{ label: string }>()
const lesson = useLesson()
</script>

<template>
  <ChoiceField
    :label="label"
    :model-value="lesson.plan!.frame"
    @update:model-value="lesson.edit((draft) => (draft.frame = $event))"
    :options="FRAMES.map((frame) => ({ value: frame, title: FRAME_WORDS[frame].name }))"
  />
</template>
