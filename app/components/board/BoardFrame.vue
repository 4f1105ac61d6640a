<script setup lang="ts" generic="View extends string">
import { mdiChevronUp } from '@mdi/js'

/** What the projector shows: one message at a time, in sizes that grow with the width of the wall, above a line that turns to another one and says how to join. */
defineProps<{
  dark: boolean
  connected: boolean
  /** Instead of all else, while there is nothing to show. */
  message?: string
  views: readonly { value: View; title: string }[]
  shown: View
}>()
defineEmits<{ show: [view: View] }>()
</script>

<template>
  <VThemeProvider class="board" with-background :theme="dark ? 'projector' : 'jolly'">
    <p v-if="message" class="m-auto">{{ message }}</p>
    <template v-else>
      <header><slot name="title" /></header>
      <main class="flex-1 min-h-0 py-part px-0"><slot /></main>
      <footer>
        <VMenu location="top start">
          <template #activator="{ props: activator }">
            <VBtn v-bind="activator" class="show" :append-icon="mdiChevronUp">{{
              views.find(({ value }) => value === shown)?.title
            }}</VBtn>
          </template>
          <VList role="menu" aria-label="What the board shows" class="views">
            <VListItem
              v-for="one in views"
              :key="one.value"
              role="menuitemradio"
              :title="one.title"
              :active="one.value === shown"
              :aria-checked="one.value === shown"
              @click="$emit('show', one.value)"
            />
            <slot name="switches" />
          </VList>
        </VMenu>
        <p v-if="connected" class="join text-huge"><slot name="join" /></p>
        <p v-else class="join down text-huge text-beet">
          <span aria-hidden="true">▲</span>
          the line is down, numbers may be old
        </p>
      </footer>
    </template>
  </VThemeProvider>
</template>

<style scoped>
/* Sizes grow with the width of the wall. */
.board {
  --unit: clamp(0.86px, 0.0781vw, 1.93px);
  --type-body: clamp(24px, 2.2vw, 54px);
  --type-lead: clamp(24px, 2.2vw, 54px);
  --type-title: clamp(24px, 2.2vw, 54px);
  --type-large: clamp(24px, 2.2vw, 54px);
  --type-huge: clamp(26px, 2.35vw, 58px);
  --type-figure: clamp(32px, 3.1vw, 76px);
  --type-clock: clamp(64px, 6.4vw, 160px);
  display: flex;
  flex-direction: column;
  height: 100vh;
  padding: 2vh 3vw 1.5vh;
  background: var(--paper);
  color: var(--ink);
  font-family: var(--heading);
  font-size: var(--type-huge);
}
header :deep(h1) {
  font-size: clamp(28px, 2.75vw, 66px);
}
.views {
  font-family: var(--heading);
  font-size: clamp(20px, 1.9vw, 40px);
}
footer {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: var(--gap-block);
  padding-top: var(--gap-near);
  border-top: 2px solid var(--ink);
}
.join :deep(strong) {
  letter-spacing: 3px;
}
.show {
  font-family: var(--heading);
  font-size: inherit;
}
/* A board that is magnified reads down; what does not fit scrolls in its own frame. */
@media (width < 700px) {
  .board {
    height: auto;
    min-height: 100vh;
  }
  main {
    overflow-x: auto;
  }
  footer {
    flex-wrap: wrap;
  }
  .join :deep(.nowrap) {
    overflow-wrap: anywhere;
    white-space: normal;
  }
}
</style>
