<script setup lang="ts">
import { measuredCard } from '~~/core/lesson'
import { shareOfWord } from '~~/core/measuring'
import type { InstrumentProps } from './instrument'

/** One of the class's ordered words, each with its picture. */
const props = defineProps<InstrumentProps>()
const text = defineModel<string>({ required: true })
const method = computed(() => measuredCard(props.plan)!.method)
const pictureOf = (word: string) => {
  const id = method.value.wordPictures[word]
  return id === undefined ? undefined : props.pictureOf(id)
}
</script>

<template>
  <div class="words" role="radiogroup" aria-label="Which word fits?">
    <button
      v-for="word in method.words"
      :key="word"
      type="button"
      class="button large"
      role="radio"
      :aria-checked="text === word"
      :class="{ on: text === word }"
      @click="text = word"
    >
      <WordPicture :picture="pictureOf(word)" :share="shareOfWord(method.words, word)" />
      {{ word }}
    </button>
  </div>
</template>

<style scoped>
.words {
  display: grid;
  gap: 8px;
}
.button {
  justify-content: flex-start;
  gap: 14px;
}
.on {
  border-color: var(--green);
  background: var(--green-light);
}
</style>
