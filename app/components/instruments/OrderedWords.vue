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
  <PickOne
    v-model="text"
    class="words"
    tiles
    label="Which word fits?"
    :options="method.words.map((word) => ({ value: word, title: word }))"
  >
    <template #default="{ option }">
      <WordPicture :picture="pictureOf(option.value)" :share="shareOfWord(method.words, option.value)" />
      {{ option.title }}
    </template>
  </PickOne>
</template>
