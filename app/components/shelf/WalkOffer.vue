<script setup lang="ts">
import ShelfBanner from '~/components/shelf/ShelfBanner.vue'
import { callServer } from '~/following/callServer'

/** Offers to be shown round in the demo lesson, once. */
const lesson = ref<string | null>(null)
onMounted(async () => {
  lesson.value = await callServer('GET /api/demo/walk').then(
    (answer) => answer.lesson,
    () => null,
  )
})

async function notNow(): Promise<void> {
  lesson.value = null
  await callServer('DELETE /api/demo/walk', { leaving: true }).catch(() => undefined)
}
</script>

<template>
  <ShelfBanner v-if="lesson" aria-label="Walk through the demo lesson">
    <strong>New here?</strong> Three minutes through a lesson that is nearly finished show where everything is.
    <template #actions>
      <VBtn :to="`/lesson/${lesson}/wonder?walk`">Show me round</VBtn>
      <QuietBtn @click="notNow">No, thank you</QuietBtn>
    </template>
  </ShelfBanner>
</template>
