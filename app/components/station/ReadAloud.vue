<script setup lang="ts">
/** Reads what stands here aloud, for whoever would rather listen. */
defineProps<{ text: string }>()
const { can, reading, read } = useReadAloud()
</script>

<template>
  <button v-if="can" type="button" class="aloud" :aria-pressed="reading" @click="read(text)">
    <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true" fill="none" stroke="currentColor" stroke-width="2">
      <path d="M4 9v6h4l5 4V5L8 9z" fill="currentColor" />
      <path d="M16 9a4 4 0 0 1 0 6M19 6a8 8 0 0 1 0 12" />
    </svg>
    <span class="word">{{ reading ? 'Stop' : 'Read aloud' }}</span>
  </button>
</template>

<style scoped>
.aloud {
  display: inline-flex;
  flex: none;
  justify-self: start;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  padding: 0 10px;
  border: 1px solid var(--mark);
  border-radius: var(--corner);
  background: var(--card);
  color: var(--slate);
  font-size: 16px;
  cursor: pointer;
}
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
