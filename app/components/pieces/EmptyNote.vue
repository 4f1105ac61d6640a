<script setup lang="ts">
/** What stands where nothing is yet: what this is for, one example, and one button that begins. */
defineProps<{ title: string; begin?: string; to?: string }>()
defineEmits<{ begin: [] }>()
</script>

<template>
  <div class="empty-note">
    <strong class="font-heading text-lead">{{ title }}</strong>
    <p class="text-soft"><slot /></p>
    <MainBtn v-if="begin" :to="to" @click="$emit('begin')">{{ begin }}</MainBtn>
  </div>
</template>

<style scoped>
.empty-note {
  display: grid;
  gap: var(--gap-near);
  justify-items: start;
  padding: var(--gap-block);
  border: 1.5px dashed var(--mark);
  border-radius: var(--corner);
}
</style>
