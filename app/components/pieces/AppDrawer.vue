<script setup lang="ts">
/** What is rarely needed, beside what it belongs to: Esc and a press elsewhere put it away, focus stays inside and returns. */
defineProps<{ title: string }>()
const open = defineModel<boolean>({ required: true })
const heading = useId()
useReturningFocus(open)
</script>

<template>
  <VDialog v-model="open" class="drawer" :aria-labelledby="heading" :scrim="false">
    <div class="inside">
      <div class="row head">
        <h2 :id="heading">{{ title }}</h2>
        <VBtn size="small" @click="open = false">Done</VBtn>
      </div>
      <slot />
    </div>
  </VDialog>
</template>

<style scoped>
.inside {
  display: grid;
  gap: var(--gap-part);
  padding: var(--gap-block);
}
.head {
  flex-wrap: nowrap;
}
h2 {
  flex: 1;
  min-width: 0;
  font-size: var(--type-title);
}
</style>
