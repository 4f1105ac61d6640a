<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import TextField from '~/forms/TextField.vue'

/** A line that adds what is typed: Enter adds and stays for the next one, leaving it adds too, so that nothing typed is lost. */
withDefaults(
  defineProps<{ label: string; placeholder?: string; example?: string; target?: string; isNew?: boolean; longest?: number }>(),
  { placeholder: '+ add', example: undefined, target: undefined, longest: LONGEST.text },
)
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
  <TextField
    v-model="draft"
    bare
    class="quick-add"
    :label="label"
    :placeholder="example ? `${placeholder}, for example ${example}` : placeholder"
    :longest="longest"
    :target="target"
    :data-new="isNew ? '' : undefined"
    @keydown.enter="add"
    @blur="add"
  />
</template>
