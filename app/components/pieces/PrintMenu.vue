<script setup lang="ts">
import { PRINTOUTS, type PrintoutName } from '~/composables/printouts'
import { madeUpAddress } from '~/following/madeUp'
import { useLesson } from '~/stores/lesson'
import { useMadeUp } from '~/stores/madeUp'

/** What can be printed at a stop. */
defineProps<{ names: readonly PrintoutName[] }>()
const lesson = useLesson()
const madeUp = useMadeUp()
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
        :href="madeUpAddress(madeUp.drawn, `/print/${lesson.id}/${name}`)"
        target="_blank"
      />
    </VList>
  </VMenu>
</template>
