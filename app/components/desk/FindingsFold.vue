<script setup lang="ts">
import type { Stop } from '~~/core/lesson'
import type { Finding } from '~~/core/secondLook'
import FindingCard from '~/components/desk/FindingCard.vue'
import AppFold from '~/components/pieces/AppFold.vue'

/** Findings that need nobody now, under one line. */
defineProps<{ title: string; findings: Finding[]; here: Stop }>()
</script>

<template>
  <AppFold :title="title" class="later">
    <ul>
      <FindingCard v-for="finding in findings" :key="finding.key" :finding="finding" :here="here" />
    </ul>
  </AppFold>
</template>
