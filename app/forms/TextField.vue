<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import FieldFrame from '~/forms/FieldFrame.vue'

defineOptions({ inheritAttrs: false })
/** A line of text. */
const value = defineModel<string>({ required: true })
const { longest = LONGEST.name, lazy } = defineProps<{
  label: string
  bare?: boolean
  inline?: boolean
  target?: string
  /** As many letters as the server takes. */
  longest?: number
  /** Told only when it is left or Enter is pressed. */
  lazy?: boolean
  /** What is wrong with it. */
  error?: string
}>()
const { class: look, ...others } = useAttrs()
const id = useId()
const control = useTemplateRef<{ focus(): void }>('control')
const draft = ref(value.value)
watch(value, (text) => (draft.value = text))

function type(text: string | null): void {
  draft.value = text ?? ''
  if (!lazy) value.value = draft.value
}

defineExpose({ focus: () => control.value?.focus() })
</script>

<template>
  <FieldFrame :id="id" :label="label" :bare="bare" :inline="inline" :target="target" :class="look">
    <VTextField
      v-bind="others"
      :id="id"
      ref="control"
      :model-value="draft"
      :maxlength="longest"
      :error-messages="error"
      autocomplete="off"
      @update:model-value="type"
      @change="lazy && (value = draft)"
    />
  </FieldFrame>
</template>
