<script setup lang="ts">
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
      <button type="button" class="more" v-bind="activator" :aria-label="label" :data-target="target" @keydown="onKey">
        <svg viewBox="0 0 4 16" width="4" height="16" aria-hidden="true">
          <circle cx="2" cy="2" r="1.7" fill="currentColor" />
          <circle cx="2" cy="8" r="1.7" fill="currentColor" />
          <circle cx="2" cy="14" r="1.7" fill="currentColor" />
        </svg>
      </button>
    </template>
    <ul class="menu sheet" @keydown="onKey">
      <li v-for="item in items" :key="item.label">
        <button type="button" class="button quiet" @click="choose(item)">
          {{ item.label }}
          <kbd v-if="item.key">{{ item.key }}</kbd>
        </button>
      </li>
    </ul>
  </VMenu>
</template>

<style scoped>
.more {
  display: inline-grid;
  flex: none;
  place-items: center;
  width: 24px;
  min-height: 28px;
  border: 1px solid transparent;
  border-radius: var(--corner);
  background: none;
  color: var(--soft);
  cursor: pointer;
}
.more:hover,
.more[aria-expanded='true'] {
  border-color: var(--mark);
  color: var(--ink);
}
.menu {
  padding: 6px;
}
.menu .button {
  justify-content: space-between;
  width: 100%;
}
</style>
