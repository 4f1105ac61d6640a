<script setup lang="ts">
import type { Found } from '~~/core/together'
import { foundWords, question, lessonName } from '~~/core/wording'
import SmallBars from '~/components/shelf/SmallBars.vue'

/** What each investigation found, how sure, in one line with a small graph; the same at the desk and on the board. */
const props = defineProps<{ found: Found[]; big?: boolean }>()
/** Many on a projector: each in a line or two. */
const MANY = 4
const isShort = computed(() => props.big === true && props.found.length >= MANY)
</script>

<template>
  <ul class="found" :class="{ big, short: isShort }" aria-label="What each found">
    <li v-for="one in found" :key="one.lesson">
      <SmallBars :bars="one.bars" />
      <div>
        <h2 class="font-heading">
          <span v-if="big">{{ lessonName(one.plan.title) }}</span>
          <NuxtLink v-else :to="`/lesson/${one.lesson}/results`">{{ lessonName(one.plan.title) }}</NuxtLink>
        </h2>
        <p v-if="!isShort" class="soft">{{ question(one.plan) }}</p>
        <p class="said">{{ foundWords(one) }}</p>
      </div>
      <span class="soft nowrap">{{ one.done }} of {{ one.all }}{{ isShort ? '' : ' read' }}</span>
    </li>
  </ul>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr) auto;
  gap: var(--gap-block);
  align-items: center;
  padding: var(--gap-wide) 0;
  border-bottom: 1px solid var(--line);
}
h2 {
  font-size: var(--type-title);
}
.big :deep(svg) {
  width: 150px;
  height: auto;
}
.big li {
  grid-template-columns: 170px minmax(0, 1fr) auto;
}
.short li {
  grid-template-columns: 90px minmax(0, 1fr) auto;
  padding: var(--gap-tight) 0;
}
.short :deep(svg) {
  width: 80px;
  height: 52px;
}
.short h2,
.short .said,
.short span {
  font-size: var(--type-lead);
}
.said {
  font-weight: 700;
}
</style>
