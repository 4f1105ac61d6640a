<script setup lang="ts">
import { mdiVolumeHigh } from '@mdi/js'
import { useReadAloud } from '~/composables/readAloud'

/** Reads what stands here aloud, for whoever would rather listen. */
defineProps<{ text: string }>()
const { can, reading, read } = useReadAloud()
</script>

<template>
  <VBtn
    v-if="can"
    class="justify-self-start min-h-48px"
    size="small"
    :prepend-icon="mdiVolumeHigh"
    :aria-pressed="reading"
    @click="read(text)"
  >
    <span class="word">{{ reading ? 'Stop' : 'Read aloud' }}</span>
  </VBtn>
</template>

<style scoped>
/* On a phone the sign alone says it. */
@media (width < 480px) {
  .word {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
}
</style>
