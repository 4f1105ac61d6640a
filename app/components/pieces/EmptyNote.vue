<script setup lang="ts">
/** What stands where nothing is yet: what this is for, one example, and one button that begins. */
defineProps<{ title: string; begin?: string; to?: string }>()
defineEmits<{ begin: [] }>()
</script>

<template>
  <div class="empty-note">
    <strong>{{ title }}</strong>
    <p><slot /></p>
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
strong {
  font-family: var(--heading);
  font-size: var(--type-lead);
}
p {
  color: var(--soft);
}
</style>
