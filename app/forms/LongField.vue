<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import FieldFrame from '~/forms/FieldFrame.vue'

defineOptions({ inheritAttrs: false })
/** Text of several lines; the field grows with it. */
const value = defineModel<string>({ required: true })
const { longest = LONGEST.text, rows = 1 } = defineProps<{
  label: string
  bare?: boolean
  target?: string
  /** As many letters as the server takes. */
  longest?: number
  rows?: number
  error?: string
}>()
const { class: look, ...others } = useAttrs()
const id = useId()
const control = useTemplateRef<{ $el: HTMLElement; focus(): void; setSelectionRange(from: number, to: number): void }>('control')
const isFull = computed(() => value.value.length >= longest)

/** Puts the focus on the first "…" of a sentence that was begun, so that typing fills it. */
function chooseHole(): void {
  const hole = value.value.indexOf('…')
  control.value?.focus()
  if (hole >= 0) control.value?.setSelectionRange(hole, hole + 1)
}

defineExpose({
  chooseHole,
  /** Where it is written, for whoever keeps the caret at its words. */
  element: () => control.value?.$el.querySelector('textarea') ?? undefined,
})
</script>

<template>
  <FieldFrame :id="id" :label="label" :bare="bare" :target="target" :class="look">
    <VTextarea
      v-bind="others"
      :id="id"
      ref="control"
      v-model="value"
      auto-grow
      no-resize
      :rows="rows"
      :max-rows="9"
      :maxlength="longest"
      :error-messages="error"
      :messages="isFull ? `That is all that fits here: ${longest} letters.` : undefined"
    />
  </FieldFrame>
</template>
