<script setup lang="ts">
import { mendedWords } from '~~/core/wording'
import type { Notice } from '~~/schemas/contract'
import ShelfBanner from '~/components/shelf/ShelfBanner.vue'
import { callServer, messageOf } from '~/following/callServer'
import { useNotices } from '~/stores/notices'

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
  <ShelfBanner v-for="notice in told" :key="notice.id" trouble role="alert">
    <span aria-hidden="true">▲</span>
    {{ mendedWords(notice) }}
    <template #actions><VBtn @click="dismiss(notice)">I have read this</VBtn></template>
  </ShelfBanner>
</template>
