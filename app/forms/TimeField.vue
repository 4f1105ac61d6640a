<script setup lang="ts">
defineOptions({ inheritAttrs: false })
/** A time of the day, as 09:05. */
const value = defineModel<string>({ required: true })
defineProps<{ label: string; bare?: boolean; inline?: boolean; target?: string; error?: string }>()
const { class: look, ...others } = useAttrs()
const id = useId()
</script>

<template>
  <FieldFrame :id="id" :label="label" :bare="bare" :inline="inline" :target="target" :class="look">
    <VTextField
      v-bind="others"
      :id="id"
      type="time"
      class="time"
      :model-value="value"
      :error-messages="error"
      @change="value = $event.target.value.slice(0, 5)"
    />
  </FieldFrame>
</template>
