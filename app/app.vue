<script setup lang="ts">
const route = useRoute()
const closed = computed(() => deskClosed.value && route.path !== '/station')
</script>

<template>
  <VApp>
    <LazyDeskDoor v-if="closed" />
    <NuxtPage v-else />
  </VApp>
</template>
