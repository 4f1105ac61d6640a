<script setup lang="ts">
import { useReturningFocus } from '~/composables/returningFocus'

/** A small sheet over the page: Esc backs out, focus stays inside and returns. */
defineProps<{ title: string; width?: number }>()
const open = defineModel<boolean>({ required: true })
const heading = useId()
useReturningFocus(open)
</script>

<template>
  <VDialog v-model="open" :max-width="width ?? 520" :aria-labelledby="heading" scrim="#1e2b2f">
    <div class="sheet dialog flex flex-col gap-wide p-block">
      <h2 class="text-title" :id="heading">{{ title }}</h2>
      <slot />
      <div class="row actions justify-end"><slot name="actions" /></div>
    </div>
  </VDialog>
</template>

<style scoped>
.actions:empty {
  display: none;
}
</style>
