<script setup lang="ts">
import type { Group } from '~~/core/lesson'

/** A group as it is known everywhere: its shape and its name. */
defineProps<{ group: Group }>()
</script>

<template>
  <span class="group-name"><ShapeBadge :size="15" :shape="group.shape" /> {{ group.name }}</span>
</template>

<style scoped>
.group-name {
  display: inline-flex;
  align-items: center;
  gap: var(--gap-close);
  white-space: nowrap;
}
</style>
