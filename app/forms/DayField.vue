<script setup lang="ts">
defineOptions({ inheritAttrs: false })
/** A day of the calendar, as 2027-03-12; empty where none is chosen. Told when a whole day is there. */
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
      type="date"
      class="day"
      :model-value="value"
      :error-messages="error"
      @change="value = $event.target.value"
    />
  </FieldFrame>
</template>
