<script setup lang="ts">
import { shareOfWord } from '~~/core/measuring'
import { testOf } from '~~/core/test'
import type { InstrumentProps } from './instrument'

/** One of the class's words, each with its picture. */
const props = defineProps<InstrumentProps>()
const text = defineModel<string>({ required: true })
const method = computed(() => testOf(props.plan).method!)
/** A glass that fills says that one word is more than another. */
const ordered = computed(() => testOf(props.plan).way.turnsInto)
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
      <WordPicture
        v-if="ordered || pictureOf(option.value)"
        :picture="pictureOf(option.value)"
        :share="shareOfWord(method.words, option.value)"
      />
      {{ option.title }}
    </template>
  </PickOne>
</template>
