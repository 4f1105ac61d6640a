<script setup lang="ts">
/** Settings that fold away under the work: a title that opens them, and what it says while they are closed. */
const open = defineModel<boolean>({ default: false })
defineProps<{ title: string; hint?: string; target?: string }>()
</script>

<template>
  <VExpansionPanels class="fold" :model-value="open ? 0 : undefined" @update:model-value="open = $event === 0">
    <VExpansionPanel :elevation="0" eager>
      <VExpansionPanelTitle :data-target="target">
        <slot name="title">
          <strong>{{ title }}</strong>
          <span v-if="hint" class="soft">{{ hint }}</span>
        </slot>
      </VExpansionPanelTitle>
      <VExpansionPanelText><slot /></VExpansionPanelText>
    </VExpansionPanel>
  </VExpansionPanels>
</template>
