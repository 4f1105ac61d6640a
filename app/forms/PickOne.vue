<script setup lang="ts" generic="Value extends string | number | boolean">
/** One of a few, all in sight. As tiles they can be large enough for a finger; what a tile shows besides its name comes in the slot. */
const value = defineModel<Value | undefined>({ required: true })
defineProps<{
  label: string
  options: readonly { value: NoInfer<Value>; title: string }[]
  /** Drawn as tiles that are pressed, not as circles. */
  tiles?: boolean
  target?: string
}>()
</script>

<template>
  <VRadioGroup v-model="value" class="pick-one" :class="{ tiles }" :aria-label="label" :data-target="target" inline>
    <VRadio v-for="option in options" :key="String(option.value)" :value="option.value" class="pick">
      <template #label>
        <slot :option="option" :chosen="option.value === value">{{ option.title }}</slot>
      </template>
    </VRadio>
  </VRadioGroup>
</template>
