<script setup lang="ts">
import { WORD_SETS, type WordSet } from '~~/core/lesson'
import { FRAME_WORDS, VARIABLE_WORDS } from '~~/core/wording'

/** What this class calls its variables and how it predicts: on board, station and paper. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
</script>

<template>
  <details class="fold">
    <summary>
      <strong>Words of the class</strong>
      <span class="soft">{{ VARIABLE_WORDS[plan.words].name }}; {{ FRAME_WORDS[plan.frame].name }}</span>
    </summary>
    <div class="row choices">
      <label class="field">
        <span>The variables are called</span>
        <select
          class="box"
          :value="plan.words"
          @change="lesson.edit((draft) => (draft.words = ($event.target as HTMLSelectElement).value as WordSet))"
        >
          <option v-for="set in WORD_SETS" :key="set" :value="set">{{ VARIABLE_WORDS[set].name }}</option>
        </select>
      </label>
      <FrameChoice label="A prediction says" />
      <NuxtLink class="button" :to="`/print/${lesson.id}/words`" target="_blank">Print the word mat</NuxtLink>
    </div>
  </details>
</template>

<style scoped>
.choices {
  align-items: flex-end;
  margin-top: 10px;
}
</style>
