<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import type { Notice } from '~/stores/notices'
import { useNotices } from '~/stores/notices'

/** Notices at the foot of the page, three at a time; they wait while pointed at or focused. */
const notices = useNotices()
const queue = ref<Notice[]>([])
// The queue shows what comes while it stands: the first notice came before.
onMounted(() =>
  watch(
    () => notices.list.length,
    () => (queue.value = [...queue.value, ...notices.take()]),
    { immediate: true },
  ),
)
</script>

<template>
  <VSnackbarQueue v-model="queue" :total-visible="3" display-strategy="overflow" closable>
    <template #actions="{ item, props }">
      <VBtn v-if="notices.actionOf(item.text)" variant="outlined" size="small" @click="(notices.act(item.text), props.onClick())">
        {{ notices.actionOf(item.text)!.label }}
      </VBtn>
      <SignBtn size="small" :icon="mdiClose" aria-label="Close this message" v-bind="props" />
    </template>
  </VSnackbarQueue>
</template>
