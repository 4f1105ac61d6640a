<script setup lang="ts">
/** A line over the shelf that wants an answer: what it says, and beside it what can be done. */
defineProps<{ trouble?: boolean }>()
defineSlots<{ default(): unknown; actions(): unknown }>()
</script>

<template>
  <section class="banner" :class="{ trouble }">
    <p><slot /></p>
    <slot name="actions" />
  </section>
</template>

<style scoped>
.banner {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-wide);
  margin-top: 16px;
  padding: var(--gap-wide) var(--gap-part);
  border: 1.5px solid var(--brass);
  border-radius: var(--corner);
  background: var(--brass-light);
}
.banner.trouble {
  border-color: var(--beet);
  background: var(--beet-light);
  color: inherit;
  font-size: inherit;
}
p {
  flex: 1 1 420px;
  overflow-wrap: anywhere;
}
</style>
