<script setup lang="ts">
import { mendedWords } from '~~/core/wording'
import type { Notice } from '~~/schemas/contract'

/** What happened to the data, until somebody has read it. */
const notices = useNotices()
const told = ref<Notice[]>([])

async function dismiss({ id }: Notice): Promise<void> {
  try {
    await callServer('DELETE /api/notices/[notice]', { path: { notice: id } })
    told.value = told.value.filter((notice) => notice.id !== id)
  } catch (error) {
    notices.trouble(messageOf(error))
  }
}

onMounted(async () => {
  told.value = await callServer('GET /api/notices').then(
    (answer) => answer.notices,
    () => [],
  )
})
</script>

<template>
  <section v-for="notice in told" :key="notice.id" class="told" role="alert">
    <p>
      <span aria-hidden="true">▲</span>
      {{ mendedWords(notice) }}
    </p>
    <VBtn @click="dismiss(notice)">I have read this</VBtn>
  </section>
</template>

<style scoped>
.told {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-wide);
  margin-top: 16px;
  padding: var(--gap-wide) var(--gap-part);
  border: 1.5px solid var(--beet);
  border-radius: var(--corner);
  background: var(--beet-light);
}
.told p {
  flex: 1 1 420px;
  overflow-wrap: anywhere;
}
</style>
