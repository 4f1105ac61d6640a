<script setup lang="ts">
import type { Group } from '~~/core/lesson'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'

/** A group as it is known everywhere: its shape and its name. */
defineProps<{ group: Group }>()
</script>

<template>
  <span class="group-name inline-flex items-center gap-close nowrap"
    ><ShapeBadge :size="15" :shape="group.shape" /> {{ group.name }}</span
  >
</template>
