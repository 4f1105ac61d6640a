<script setup lang="ts">
import { mdiDotsVertical } from '@mdi/js'

/** What else can be done with a card, behind three dots. Its single keys also work while the dots have the focus. */
export interface MenuItem {
  label: string
  key?: string
  run: () => void
}
const props = defineProps<{ label: string; items: MenuItem[]; target?: string }>()
const open = ref(false)

function onKey(event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  const item = props.items.find((one) => one.key === event.key)
  if (!item) return
  event.preventDefault()
  event.stopPropagation()
  choose(item)
}

function choose(item: MenuItem): void {
  open.value = false
  item.run()
}
</script>

<template>
  <VMenu v-model="open">
    <template #activator="{ props: activator }">
      <SignBtn
        class="more"
        size="small"
        :icon="mdiDotsVertical"
        v-bind="activator"
        :aria-label="label"
        :data-target="target"
        @keydown="onKey"
      />
    </template>
    <VList role="menu" density="compact" @keydown="onKey">
      <VListItem role="menuitem" v-for="item in items" :key="item.label" :title="item.label" @click="choose(item)">
        <template v-if="item.key" #append>
          <kbd>{{ item.key }}</kbd>
        </template>
      </VListItem>
    </VList>
  </VMenu>
</template>
