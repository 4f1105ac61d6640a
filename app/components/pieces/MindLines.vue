<script setup lang="ts">
import { mdiAlertOutline } from '@mdi/js'
import type { Plan } from '~~/core/lesson'
import { mindLines } from '~~/core/wording'

/** What children take care of with the things that lie before them; nothing where there is nothing. */
const props = defineProps<{ plan: Plan; conditions: string[] }>()
const minds = computed(() => mindLines(props.plan, props.conditions))
</script>

<template>
  <ul v-if="minds.length > 0" class="minds" aria-label="Mind">
    <li v-for="line in minds" :key="line"><VIcon :icon="mdiAlertOutline" size="18" aria-hidden="true" /> {{ line }}</li>
  </ul>
</template>

<style scoped>
.minds {
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap-hair) var(--gap-part);
  padding: var(--gap-tight) var(--gap-near);
  border-left: 4px solid var(--brass-mark);
  background: var(--brass-light);
}
</style>
