<script setup lang="ts" generic="Value">
import FieldFrame from '~/forms/FieldFrame.vue'

defineOptions({ inheritAttrs: false })
/** One of several, from a list that opens: arrows, Home, End and first letters choose. */
const value = defineModel<Value>({ required: true })
defineProps<{
  label: string
  options: readonly { value: NoInfer<Value>; title: string; hint?: string }[]
  bare?: boolean
  inline?: boolean
  target?: string
  error?: string
}>()
const { class: look, ...others } = useAttrs()
const id = useId()
</script>

<template>
  <FieldFrame :id="id" :label="label" :bare="bare" :inline="inline" :target="target" :class="look">
    <VSelect v-bind="others" :id="id" v-model="value" :items="options" :error-messages="error">
      <template v-if="options.some(({ hint }) => hint)" #item="{ props, internalItem }">
        <VListItem v-bind="props" :subtitle="internalItem.raw.hint" />
      </template>
    </VSelect>
  </FieldFrame>
</template>
