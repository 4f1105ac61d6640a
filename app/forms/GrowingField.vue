<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'

defineOptions({ inheritAttrs: false })
/** Text that is edited where it stands and grows with what is typed. Enter is done, Shift+Enter makes a new line. */
const value = defineModel<string>({ required: true })
const { longest = LONGEST.text } = defineProps<{
  label: string
  placeholder?: string
  target?: string
  /** Without a frame until it is pointed at. */
  plain?: boolean
  /** As many letters as the server takes. */
  longest?: number
}>()
const emit = defineEmits<{ done: [] }>()
const id = useId()
const isFull = computed(() => value.value.length >= longest)

function onEnter(event: KeyboardEvent): void {
  if (event.shiftKey || event.isComposing) return
  event.preventDefault()
  ;(event.target as HTMLElement).blur()
  emit('done')
}
</script>

<template>
  <FieldFrame :id="id" :label="label" bare :target="target" :class="$attrs.class">
    <VTextarea
      v-bind="{ ...$attrs, class: undefined }"
      :id="id"
      v-model="value"
      class="growing"
      :class="{ plain }"
      auto-grow
      no-resize
      rows="1"
      max-rows="9"
      density="compact"
      :placeholder="placeholder"
      :maxlength="longest"
      :messages="isFull ? `That is all that fits here: ${longest} letters.` : undefined"
      @keydown.enter="onEnter"
    />
  </FieldFrame>
</template>
