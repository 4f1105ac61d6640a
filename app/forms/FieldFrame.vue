<script setup lang="ts">
/** A field with its label above it, or beside it, or only for those who listen. */
defineProps<{
  /** The control's own id. */
  id: string
  label: string
  /** The label is read out and not shown. */
  bare?: boolean
  /** The label stands beside. */
  inline?: boolean
  /** The name under which findings lead to it. */
  target?: string
}>()
</script>

<template>
  <div class="field" :class="{ inline }" :data-target="target">
    <label :id="`${id}-label`" :for="id" :class="bare ? 'sr-only' : 'label'">{{ label }}</label>
    <slot />
  </div>
</template>
