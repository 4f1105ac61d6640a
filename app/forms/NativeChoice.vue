<script setup lang="ts" generic="Value extends string">
import FieldFrame from '~/forms/FieldFrame.vue'

defineOptions({ inheritAttrs: false })
/** One of several as the tablet itself shows it: a wheel or a list under the thumb. For stations; the desk has ChoiceField. */
const value = defineModel<Value>({ required: true })
defineProps<{ label: string; options: readonly { value: Value; title: string }[]; inline?: boolean }>()
const { class: look, ...others } = useAttrs()
const id = useId()
</script>

<template>
  <FieldFrame :id="id" :label="label" :inline="inline" :class="look">
    <select v-bind="others" :id="id" v-model="value" class="native-choice">
      <option v-for="option in options" :key="option.value" :value="option.value">{{ option.title }}</option>
    </select>
  </FieldFrame>
</template>

<style scoped>
.native-choice {
  flex: 1;
  width: 100%;
  min-width: 120px;
  min-height: 48px;
  padding: var(--gap-tight) var(--gap-near);
  border: 1px solid var(--mark);
  border-radius: var(--corner);
  background: var(--card);
}
</style>
