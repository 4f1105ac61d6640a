<script setup lang="ts">
import type { MenuItem } from './MoreMenu.vue'

/** The list behind the three dots. */
const open = defineModel<boolean>({ required: true })
defineProps<{ items: MenuItem[]; activator: HTMLElement }>()
defineEmits<{ key: [event: KeyboardEvent]; choose: [item: MenuItem] }>()
</script>

<template>
  <VMenu v-model="open" :activator="activator" :open-on-click="false">
    <VList role="menu" density="compact" @keydown="$emit('key', $event)">
      <VListItem v-for="item in items" :key="item.label" role="menuitem" :title="item.label" @click="$emit('choose', item)">
        <template v-if="item.key" #append>
          <kbd>{{ item.key }}</kbd>
        </template>
      </VListItem>
    </VList>
  </VMenu>
</template>
