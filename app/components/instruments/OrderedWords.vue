<script setup lang="ts">
import { shareOfWord } from '~~/core/measuring'
import { testOf } from '~~/core/test'
import type { InstrumentProps } from './instrument'
import WordPicture from '~/components/pieces/WordPicture.vue'
import PickOne from '~/forms/PickOne.vue'

/** One of the class's words, each with its picture. */
const props = defineProps<InstrumentProps>()
const text = defineModel<string>({ required: true })
const method = computed(() => testOf(props.plan).method!)
const pictureOf = (word: string) => {
  const id = method.value.wordPictures[word]
  return id === undefined ? undefined : props.pictureOf(id)
}
</script>

<template>
  <PickOne
    v-model="text"
    class="words"
    tiles
    label="Which word fits?"
    :options="method.words.map((word) => ({ value: word, title: word }))"
  >
    <template #default="{ option }">
      <WordPicture :picture="pictureOf(option.value)" :share="shareOfWord(plan, option.value)" />
      {{ option.title }}
    </template>
  </PickOne>
</template>

<style scoped>
.words :deep(.v-selection-control) {
  min-height: 56px;
}
</style>
