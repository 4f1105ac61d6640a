<script setup lang="ts">
/** How a ready investigation is set up, in lines that survive a printer without colour. Nothing for lessons from nothing. */
defineProps<{ investigation: string | null }>()
const missing = ref(false)
</script>

<template>
  <img
    v-if="investigation && !missing"
    :src="`/drawings/${investigation}.svg`"
    alt="A drawing of the set-up"
    width="200"
    height="120"
    @error="missing = true"
  />
</template>
