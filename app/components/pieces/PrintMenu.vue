<script setup lang="ts">
import { PRINTOUTS, type PrintoutName } from '~/composables/printouts'
import { madeUpAddress } from '~/following/madeUp'
import { useLesson } from '~/stores/lesson'

/** What can be printed at a stop. */
defineProps<{ names: readonly PrintoutName[] }>()
const lesson = useLesson()
</script>

<template>
  <VMenu>
    <template #activator="{ props }">
      <MainBtn size="small" v-bind="props">Print</MainBtn>
    </template>
    <VList role="menu" density="compact">
      <VListItem
        role="menuitem"
        v-for="name in names"
        :key="name"
        :title="PRINTOUTS[name].label"
        :href="madeUpAddress(lesson, `/print/${lesson.id}/${name}`)"
        target="_blank"
      />
    </VList>
  </VMenu>
</template>
