<script setup lang="ts">
/** A small sheet over the page: Esc backs out, focus stays inside and returns. */
defineProps<{ title: string; width?: number }>()
const open = defineModel<boolean>({ required: true })
const heading = useId()
useReturningFocus(open)
</script>

<template>
  <VDialog v-model="open" :max-width="width ?? 520" :aria-labelledby="heading" scrim="#1e2b2f">
    <div class="sheet dialog">
      <h2 :id="heading">{{ title }}</h2>
      <slot />
      <div class="row actions"><slot name="actions" /></div>
    </div>
  </VDialog>
</template>

<style scoped>
.dialog {
  display: flex;
  flex-direction: column;
  gap: var(--gap-wide);
  padding: var(--gap-block) var(--gap-block);
}
.dialog h2 {
  font-size: var(--type-title);
}
.actions {
  justify-content: flex-end;
}
.actions:empty {
  display: none;
}
</style>
