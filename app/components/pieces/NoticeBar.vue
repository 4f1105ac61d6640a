<script setup lang="ts">
import { mdiClose } from '@mdi/js'

/** What was just done, with a way back; or what went wrong and what was kept. They wait while pointed at or focused. */
const notices = useNotices()
</script>

<template>
  <VSnackbarQueue v-model="notices.list" :total-visible="3" display-strategy="overflow" closable>
    <template #actions="{ item, props }">
      <VBtn v-if="notices.actionOf(item.text)" variant="outlined" size="small" @click="(notices.act(item.text), props.onClick())">
        {{ notices.actionOf(item.text)!.label }}
      </VBtn>
      <SignBtn size="small" :icon="mdiClose" aria-label="Close this message" v-bind="props" />
    </template>
  </VSnackbarQueue>
</template>
