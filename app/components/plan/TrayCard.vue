<script setup lang="ts">
import type { MenuItem } from '~/components/pieces/MoreMenu.vue'
import MoreMenu from '~/components/pieces/MoreMenu.vue'
import GrowingField from '~/forms/GrowingField.vue'

/** A card in a tray: its name, edited where it stands, its dots, and what the tray asks of it. */
defineProps<{ name: string; items: MenuItem[]; wrong?: boolean }>()
defineEmits<{ rename: [name: string] }>()
</script>

<template>
  <div class="card" :class="{ wrong }">
    <div class="flex items-start">
      <GrowingField plain class="name" :label="`Name: ${name}`" :model-value="name" @update:model-value="$emit('rename', $event)" />
      <MoreMenu :label="`More for ${name}`" :items="items" />
    </div>
    <slot />
  </div>
</template>

<style scoped>
.card {
  padding: var(--gap-close) var(--gap-hair) var(--gap-close) var(--gap-close);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  cursor: grab;
}
.card.wrong {
  border-color: var(--beet);
}
.name {
  flex: 1;
  font-family: var(--heading);
  font-weight: 700;
}
</style>
