<script setup lang="ts">
import { isIn, type Bin } from '~~/core/charts'
import { writeShort } from '~~/core/quantity'

/** How often each size came; one's own number is marked. */
const props = defineProps<{ bins: Bin[]; caption: string; own?: number }>()
const tallest = computed(() => Math.max(1, ...props.bins.map(({ count }) => count)))
const isOwn = (bin: Bin, place: number) => props.own !== undefined && isIn(props.own, bin, place === props.bins.length - 1)
const TALL = 120
</script>

<template>
  <figure class="heap my-wide mx-0">
    <figcaption>{{ caption }}</figcaption>
    <ol class="flex items-end gap-tight mt-close">
      <li v-for="(bin, place) in bins" :key="bin.from" :class="{ own: isOwn(bin, place) }">
        <span v-if="isOwn(bin, place)" class="text-small font-bold">you</span>
        <span class="count font-bold">{{ bin.count }}</span>
        <span class="bar" :style="{ height: `${(bin.count / tallest) * TALL}px` }" aria-hidden="true" />
        <span class="text-soft text-small">{{
          place < bins.length - 1 ? `from ${writeShort(bin.from)}` : `${writeShort(bin.from)} to ${writeShort(bin.to)}`
        }}</span>
      </li>
    </ol>
  </figure>
</template>

<style scoped>
li {
  display: grid;
  flex: 1;
  max-width: 96px;
  justify-items: stretch;
  text-align: center;
}
.bar {
  forced-color-adjust: none;
  border: 1.5px solid var(--ink);
  border-bottom-width: 2.5px;
  background: var(--brass-light);
}
.own .bar {
  border-width: 3px;
  background: var(--brass);
}
</style>
