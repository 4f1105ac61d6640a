<script setup lang="ts">
import { mdiDotsVertical } from '@mdi/js'

/** Loaded when they are first shown. */
const MoreList = defineAsyncComponent(() => import('~/components/pieces/MoreList.vue'))

/** What else can be done with a card, behind three dots. Its single keys also work while the dots have the focus. */
export interface MenuItem {
  label: string
  key?: string
  run: () => void
}
const props = defineProps<{ label: string; items: MenuItem[]; target?: string }>()
const open = ref(false)
const button = useTemplateRef<{ $el: HTMLElement }>('button')
/** The list is loaded when it is first wanted. */
const wanted = ref(false)

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
  // The list goes; whoever chose by keyboard goes on from the dots, unless the choice leads elsewhere.
  button.value?.$el.focus()
  item.run()
}
</script>

<template>
  <SignBtn
    ref="button"
    class="more"
    size="small"
    :icon="mdiDotsVertical"
    :aria-label="label"
    :data-target="target"
    aria-haspopup="menu"
    :aria-expanded="open"
    @click="((wanted = true), (open = !open))"
    @keydown="onKey"
  />
  <MoreList v-if="wanted" v-model="open" :items="items" :activator="button!.$el" @key="onKey" @choose="choose" />
</template>
