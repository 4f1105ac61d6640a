<script setup lang="ts">
import LongField from '~/forms/LongField.vue'

/** Text that is edited where it stands and grows with what is typed. Enter is done, Shift+Enter makes a new line. */
const value = defineModel<string>({ required: true })
/** @property plain without a frame until it is pointed at. */
defineProps<{ label: string; plain?: boolean }>()
const emit = defineEmits<{ done: [] }>()

/** A word is never split: the field is at least as wide as its longest. */
const longest = computed(() => Math.max(0, ...value.value.split(/\s+/).map((word) => word.length)))

function onEnter(event: KeyboardEvent): void {
  if (event.shiftKey || event.isComposing) return
  event.preventDefault()
  ;(event.target as HTMLElement).blur()
  emit('done')
}
</script>

<template>
  <LongField
    v-model="value"
    bare
    :label="label"
    class="growing"
    :class="{ plain }"
    :style="{ '--longest-word': longest }"
    @keydown.enter="onEnter"
  />
</template>
