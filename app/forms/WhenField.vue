<script setup lang="ts">
import FieldFrame from '~/forms/FieldFrame.vue'

defineOptions({ inheritAttrs: false })
/** A day as 2027-03-12, or a time as 09:05; empty where none is chosen. Told when the whole of it is there. */
const value = defineModel<string>({ required: true })
const { is } = defineProps<{
  is: 'day' | 'time'
  label: string
  bare?: boolean
  inline?: boolean
  target?: string
  error?: string
}>()
const { class: look, ...others } = useAttrs()
const id = useId()
/** Some browsers write seconds behind a time. */
const LETTERS = { day: 10, time: 5 }
</script>

<template>
  <FieldFrame :id="id" :label="label" :bare="bare" :inline="inline" :target="target" :class="look">
    <VTextField
      v-bind="others"
      :id="id"
      :type="is === 'day' ? 'date' : 'time'"
      :model-value="value"
      :error-messages="error"
      @change="value = $event.target.value.slice(0, LETTERS[is])"
    />
  </FieldFrame>
</template>
