<script setup lang="ts">
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
  await callServer('DELETE /api/demo/walk').catch(() => undefined)
}
</script>

<template>
  <section v-if="lesson" class="offer" aria-label="Walk through the demo lesson">
    <p><strong>New here?</strong> Three minutes through a lesson that is nearly finished show where everything is.</p>
    <VBtn :to="`/lesson/${lesson}/wonder?walk`">Show me round</VBtn>
    <QuietBtn @click="notNow">No, thank you</QuietBtn>
  </section>
</template>

<style scoped>
.offer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-wide);
  margin-top: 16px;
  padding: var(--gap-wide) var(--gap-part);
  border: 1.5px solid var(--brass);
  border-radius: var(--corner);
  background: var(--brass-light);
}
.offer p {
  flex: 1 1 420px;
}
</style>
