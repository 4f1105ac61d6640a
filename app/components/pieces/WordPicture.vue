<script setup lang="ts">
/** A word's own picture, or where it stands in its order: a glass that is that full; nothing where it has neither. */
defineProps<{ picture: string | undefined; share: number | undefined }>()
const ROOM = 22
</script>

<template>
  <img v-if="picture" :src="picture" alt="" class="picture" />
  <svg v-else-if="share !== undefined" viewBox="0 0 28 30" width="42" height="45" aria-hidden="true">
    <rect x="4" :y="27 - share * ROOM" width="20" :height="share * ROOM" fill="var(--green-light)" />
    <path v-if="share > 0" :d="`M4 ${27 - share * ROOM}h20`" stroke="var(--green)" stroke-width="2" />
    <path d="M3 3v22a3 3 0 0 0 3 3h16a3 3 0 0 0 3-3V3" fill="none" stroke="var(--ink)" stroke-width="2" />
  </svg>
</template>

<style scoped>
.picture {
  width: 64px;
  height: 52px;
  border-radius: var(--corner-small);
  object-fit: cover;
}
</style>
