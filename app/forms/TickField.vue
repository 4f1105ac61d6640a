<script setup lang="ts">
/** Yes or no; the slot says more than the label where there is more to say. */
const value = defineModel<boolean>({ required: true })
defineProps<{ label: string }>()
</script>

<template>
  <VCheckbox v-model="value" class="tick-field">
    <template #label>
      <span class="said"
        ><slot>{{ label }}</slot></span
      >
    </template>
  </VCheckbox>
</template>
