<script setup lang="ts">
import { useReturningFocus } from '~/composables/returningFocus'

/** What is rarely needed, beside what it belongs to: Esc and a press elsewhere put it away, focus stays inside and returns. */
defineProps<{ title: string }>()
const open = defineModel<boolean>({ required: true })
const heading = useId()
useReturningFocus(open)
</script>

<template>
  <VDialog v-model="open" class="drawer" :aria-labelledby="heading" :scrim="false">
    <div class="inside grid gap-part p-block">
      <div class="row flex-nowrap">
        <h2 class="flex-1 min-w-0 text-title" :id="heading">{{ title }}</h2>
        <VBtn size="small" @click="open = false">Done</VBtn>
      </div>
      <slot />
    </div>
  </VDialog>
</template>
