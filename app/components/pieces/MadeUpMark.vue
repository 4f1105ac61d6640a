<script setup lang="ts">
import { MADE_UP_MARK } from '~~/core/wording'

/** Stands over everything that a made-up class shows, on screens and on every printed page. */
</script>

<template>
  <section class="made-up" aria-label="Made-up class">
    <strong>{{ MADE_UP_MARK }}</strong> <slot />
  </section>
</template>

<style scoped>
.made-up {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-close) var(--gap-wide);
  padding: var(--gap-close) var(--gap-wide);
  border: 2px dashed currentcolor;
  position: sticky;
  top: 0;
  z-index: var(--layer-head);
  background: repeating-linear-gradient(135deg, var(--brass-light), var(--brass-light) 14px, var(--card) 14px, var(--card) 28px);
  color: var(--ink);
}
.on-board {
  position: fixed;
  top: 4px;
  right: 4px;
}
@media print {
  .made-up {
    position: fixed;
    top: 0;
    right: 0;
    z-index: var(--layer-head);
    background: #fff;
    color: #000;
    font-size: 10pt;
  }
}
</style>
