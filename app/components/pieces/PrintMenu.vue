<script setup lang="ts">
import { PRINTOUTS, type PrintoutName } from '~/composables/printouts'

/** What can be printed at a stop. */
defineProps<{ names: readonly PrintoutName[] }>()
const lesson = useLesson()
</script>

<template>
  <VMenu>
    <template #activator="{ props }">
      <button type="button" class="button small main" v-bind="props">Print</button>
    </template>
    <ul class="menu sheet">
      <li v-for="name in names" :key="name">
        <NuxtLink class="button quiet" :to="`/print/${lesson.id}/${name}`" target="_blank">{{ PRINTOUTS[name].label }}</NuxtLink>
      </li>
    </ul>
  </VMenu>
</template>

<style scoped>
.menu {
  padding: 6px;
}
.menu .button {
  justify-content: flex-start;
  width: 100%;
}
</style>
