<script setup lang="ts">
/** What was just done, with a way back; or what went wrong and what was kept. */
const notices = useNotices()
</script>

<template>
  <div class="notices screen-only" aria-live="polite">
    <div
      v-for="notice in notices.list"
      :key="notice.id"
      class="notice"
      :class="notice.kind"
      :role="notice.kind === 'trouble' ? 'alert' : 'status'"
    >
      <span>{{ notice.text }}</span>
      <button v-if="notice.action" type="button" class="button small" @click="notices.act(notice)">
        {{ notice.action.label }}
      </button>
      <button type="button" class="button small quiet" aria-label="Close this message" @click="notices.close(notice.id)">✕</button>
    </div>
  </div>
</template>

<style scoped>
.notices {
  position: fixed;
  bottom: 16px;
  left: 50%;
  z-index: 3000;
  display: flex;
  flex-direction: column;
  gap: 8px;
  width: min(640px, calc(100vw - 24px));
  transform: translateX(-50%);
}
.notice {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 8px 10px 8px 16px;
  border: 1.5px solid var(--ink);
  border-radius: var(--corner);
  background: var(--card);
}
.notice span {
  flex: 1;
}
.notice.trouble {
  border-color: var(--beet);
  background: var(--beet-light);
}
</style>
