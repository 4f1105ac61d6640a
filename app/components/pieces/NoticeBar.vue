<script setup lang="ts">
import { useNotices } from '~/stores/notices'

/** Loaded when they are first shown. */
const NoticeQueue = defineAsyncComponent(() => import('~/components/pieces/NoticeQueue.vue'))

/** What was just done, with a way back; or what went wrong and what was kept. What shows it is loaded with the first one. */
const notices = useNotices()
</script>

<template>
  <NoticeQueue v-if="notices.any" />
</template>
