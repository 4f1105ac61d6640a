<script setup lang="ts">
import { FRAMES, type Frame } from '~~/core/lesson'
import { FRAME_WORDS } from '~~/core/wording'

/** In which words a prediction is said. */
defineProps<{ label: string }>()
const lesson = useLesson()
</script>

<template>
  <label class="field">
    <span>{{ label }}</span>
    <select
      class="box"
      :value="lesson.plan!.frame"
      @change="lesson.edit((draft) => (draft.frame = ($event.target as HTMLSelectElement).value as Frame))"
    >
      <option v-for="frame in FRAMES" :key="frame" :value="frame">{{ FRAME_WORDS[frame].name }}</option>
    </select>
  </label>
</template>
