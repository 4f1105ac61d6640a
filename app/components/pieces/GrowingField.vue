<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'

defineOptions({ inheritAttrs: false })
/** Text that is edited where it stands and grows with what is typed. Enter is done, Shift+Enter makes a new line. */
const props = withDefaults(
  defineProps<{
    modelValue: string
    label: string
    placeholder?: string
    target?: string
    plain?: boolean
    /** As many letters as the server takes. */
    longest?: number
  }>(),
  { placeholder: undefined, target: undefined, longest: LONGEST.text },
)
const isFull = computed(() => props.modelValue.length >= props.longest)
const note = useId()
const emit = defineEmits<{ 'update:modelValue': [text: string]; done: [] }>()

function onEnter(event: KeyboardEvent): void {
  if (event.shiftKey || event.isComposing) return
  event.preventDefault()
  ;(event.target as HTMLElement).blur()
  emit('done')
}
</script>

<template>
  <textarea
    rows="1"
    v-bind="$attrs"
    class="growing"
    :class="{ plain }"
    :value="modelValue"
    :aria-label="label"
    :placeholder="placeholder"
    :data-target="target"
    :maxlength="longest"
    :aria-describedby="isFull ? note : undefined"
    @input="emit('update:modelValue', ($event.target as HTMLTextAreaElement).value)"
    @keydown.enter="onEnter"
  />
  <span v-if="isFull" :id="note" class="hint" role="status">That is all that fits here: {{ longest }} letters.</span>
</template>

<style scoped>
.growing {
  display: block;
  width: 100%;
  padding: 3px 5px;
  border: 1px solid var(--mark);
  border-radius: 4px;
  background: var(--card);
  line-height: 1.35;
  resize: none;
  field-sizing: content;
  overflow-wrap: anywhere;
  max-height: 9lh;
}
.growing.plain {
  border-color: transparent;
  background: transparent;
}
.growing.plain:hover {
  border-color: var(--line);
}
.growing:focus {
  border-color: var(--slate);
  background: var(--card);
}
.growing::placeholder {
  color: var(--soft);
  opacity: 1;
}
</style>
