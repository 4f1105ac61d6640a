<script setup lang="ts">
import { measuredCard } from '~~/core/lesson'
import { shareOfWord } from '~~/core/measuring'

/** A picture for each of the ordered words, so that early readers can choose. */
const lesson = useLesson()
const notices = useNotices()
const method = computed(() => measuredCard(lesson.plan!)!.method)
const pictureOf = (word: string) => method.value.wordPictures[word]

async function choose(word: string, files: FileList | null): Promise<void> {
  const file = files?.[0]
  if (!file) return
  const data = await shrinkPicture(file).catch(() => undefined)
  if (data === undefined) return notices.trouble('This picture cannot be opened. Save it as PNG or JPEG and choose it again.')
  const id = await lesson.addPicture(data)
  if (id !== undefined) lesson.edit((draft) => (measuredCard(draft)!.method.wordPictures[word] = id))
}
function without(word: string): void {
  lesson.edit((draft) => {
    const { [word]: _gone, ...rest } = measuredCard(draft)!.method.wordPictures
    measuredCard(draft)!.method.wordPictures = rest
  })
}
</script>

<template>
  <ul v-if="method.words.length > 0" class="pictures">
    <li v-for="word in method.words" :key="word">
      <WordPicture
        :picture="pictureOf(word) && `/api/lessons/${lesson.id}/pictures/${pictureOf(word)}`"
        :share="shareOfWord(method.words, word)"
      />
      {{ word }}
      <label class="button small file">
        {{ pictureOf(word) ? 'another' : '+ picture' }}<span class="sr-only"> for {{ word }}</span>
        <input
          type="file"
          class="sr-only"
          accept="image/png,image/jpeg,image/webp"
          @change="choose(word, ($event.target as HTMLInputElement).files)"
        />
      </label>
      <button
        v-if="pictureOf(word)"
        type="button"
        class="button small quiet"
        :aria-label="`${word} without its picture`"
        @click="without(word)"
      >
        ✕
      </button>
    </li>
  </ul>
</template>

<style scoped>
.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
}
li {
  display: flex;
  gap: 8px;
  align-items: center;
}
.file:has(:focus-visible) {
  outline: 3px solid var(--slate);
  outline-offset: 2px;
}
</style>
