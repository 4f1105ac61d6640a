<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'

/** A line that adds what is typed: Enter adds and stays for the next one, leaving it adds too, so that nothing typed is lost. */
withDefaults(defineProps<{ label: string; placeholder: string; target?: string; isNew?: boolean; longest?: number }>(), {
  target: undefined,
  longest: LONGEST.text,
})
const emit = defineEmits<{ add: [text: string] }>()
const draft = ref('')

function add(): void {
  const text = draft.value.trim()
  if (text === '') return
  draft.value = ''
  emit('add', text)
}
</script>

<template>
  <input
    v-model="draft"
    class="box quick-add"
    :aria-label="label"
    :placeholder="placeholder"
    :maxlength="longest"
    :data-target="target"
    :data-new="isNew ? '' : undefined"
    @keydown.enter="add"
    @blur="add"
  />
</template>

<style scoped>
.quick-add {
  border-style: dashed;
  background: transparent;
}
.quick-add::placeholder {
  color: var(--soft);
  opacity: 1;
}
</style>
