<script setup lang="ts">
import { shareOfWord } from '~~/core/measuring'
import WordPicture from '~/components/pieces/WordPicture.vue'
import { PICTURE_FILES, chooseFile } from '~/composables/chooseFile'
import { useMeasureInHand } from '~/composables/measureInHand'
import { shrinkPicture } from '~/composables/shrinkPicture'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'
import { useNotices } from '~/stores/notices'

/** A picture for each of the words, so that early readers can choose. */
const lesson = useLesson()
const writing = useRecordWriting()
const notices = useNotices()
const { plan, method, editMethod } = useMeasureInHand()
const pictureOf = (word: string) => method.value!.wordPictures[word]

async function choose(word: string): Promise<void> {
  const file = await chooseFile(PICTURE_FILES)
  if (!file) return
  const data = await shrinkPicture(file).catch(() => undefined)
  if (data === undefined) return notices.trouble('This picture cannot be opened. Save it as PNG or JPEG and choose it again.')
  const id = await writing.addPicture(data)
  if (id !== undefined) editMethod((own) => ({ ...own, wordPictures: { ...own.wordPictures, [word]: id } }))
}
function without(word: string): void {
  editMethod((own) => {
    const { [word]: _gone, ...rest } = own.wordPictures
    return { ...own, wordPictures: rest }
  })
}
</script>

<template>
  <ul v-if="method && method.words.length > 0" class="pictures flex flex-wrap gap-y-near gap-x-block">
    <li class="flex gap-near items-center" v-for="word in method.words" :key="word">
      <WordPicture
        :picture="pictureOf(word) && `/api/lessons/${lesson.id}/pictures/${pictureOf(word)}`"
        :share="shareOfWord(plan, word)"
      />
      {{ word }}
      <VBtn size="small" :aria-label="`${pictureOf(word) ? 'another' : '+'} picture for ${word}`" @click="choose(word)">
        {{ pictureOf(word) ? 'another' : '+ picture' }}
      </VBtn>
      <QuietBtn v-if="pictureOf(word)" size="small" :aria-label="`${word} without its picture`" @click="without(word)">
        ✕
      </QuietBtn>
    </li>
  </ul>
</template>
