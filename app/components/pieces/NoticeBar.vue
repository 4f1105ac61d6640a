<script setup lang="ts">
import { useNotices } from '~/stores/notices'

/** What was just done, with a way back; or what went wrong and what was kept. What shows it is loaded with the first one. */
const notices = useNotices()
</script>

<template>
  <LazyNoticeQueue v-if="notices.any" />
</template>
