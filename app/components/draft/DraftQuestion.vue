<script setup lang="ts">
import type { Draft, DraftChoices, DraftQuestion } from '~~/core/draft'
import { draftQuestion } from '~~/core/wording'
import TextField from '~/forms/TextField.vue'

/** What a line does not say: a question with its buttons, and room for other words. */
const props = defineProps<{ draft: Draft; question: DraftQuestion }>()
const emit = defineEmits<{ choose: [choices: DraftChoices] }>()
const words = computed(() => draftQuestion(props.question, props.draft))

function typed(text: string): void {
  if (text.trim() !== '') emit('choose', { [props.question.part]: text.trim() })
}
</script>

<template>
  <li class="flex flex-col gap-close" :data-asked="question.part">
    <p class="text-lead">{{ words.text }}</p>
    <div class="row">
      <VBtn v-for="answer in words.answers" :key="answer.title" size="small" @click="emit('choose', answer.choices)">{{
        answer.title
      }}</VBtn>
      <TextField
        v-if="words.typed"
        bare
        lazy
        class="typed"
        :label="words.typed"
        :placeholder="words.typed"
        model-value=""
        @update:model-value="typed"
      />
    </div>
  </li>
</template>

<style scoped>
.typed {
  width: min(320px, 100%);
}
</style>
