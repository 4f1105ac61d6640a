<script setup lang="ts">
const route = useRoute()
const closed = computed(() => deskClosed.value && route.path !== '/station')
</script>

<template>
  <VApp>
    <DeskDoor v-if="closed" />
    <NuxtPage v-else />
  </VApp>
</template>
