<script setup lang="ts">
import { readBack, type ReadConclusion } from '~~/core/agree'

/** A sentence with what the table has underlined, and what is asked about marked where it stands. */
const props = defineProps<{ text: string; read: ReadConclusion }>()
const pieces = computed(() => readBack(props.text, props.read))
const marks = computed(() => new Set(pieces.value.map(({ mark }) => mark)))
</script>

<template>
  <div
    v-if="marks.has('right') || marks.has('doubt') || marks.has('unread')"
    class="read-back"
    aria-label="The sentence, read against the table"
    role="group"
  >
    <p>
      <component :is="piece.mark ? 'mark' : 'span'" v-for="(piece, place) in pieces" :key="place" :class="piece.mark">{{
        piece.text
      }}</component>
    </p>
    <p class="soft key flex flex-wrap gap-y-tight gap-x-part mt-tight font-dense text-small">
      <span v-if="marks.has('right')"><mark class="right">like this</mark>: the table says so, too</span>
      <span v-if="marks.has('unread')"><mark class="unread">like this</mark>: we did not check that</span>
      <span v-if="marks.has('doubt')"><mark class="doubt">like this</mark>: look again</span>
    </p>
  </div>
</template>

<style scoped>
.read-back {
  margin: 8px 0;
  padding: var(--gap-near) var(--gap-wide);
  border: 1px dashed var(--line);
  border-radius: var(--corner);
  font-family: var(--heading);
  white-space: pre-wrap;
}
mark {
  background: none;
  color: inherit;
  text-decoration: underline 2px var(--ink);
  text-underline-offset: 4px;
}
mark.unread {
  color: var(--soft);
  text-decoration: underline dotted 2px var(--soft);
}
mark.doubt {
  background: var(--beet-light);
  text-decoration: underline wavy 2px var(--beet);
}
</style>
