<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'

/**
 * One cell of the class grid. It is told plain words and marks, so that a number that comes in from a station draws its own cell
 * anew and no other.
 */
defineProps<{
  text: string
  label: string
  row: number
  column: number
  target: string | undefined
  trouble: string | undefined
  mark: string
  first: boolean
  chosen: boolean
  practice: boolean
  aside: boolean
  /** What is odd about the number. */
  odd: string | undefined
}>()
const emit = defineEmits<{
  type: [row: number, column: number, text: string]
  chosen: [row: number, column: number]
  left: [row: number, column: number, text: string]
  key: [event: KeyboardEvent, row: number, column: number]
  paste: [event: ClipboardEvent, row: number, column: number]
}>()
const textIn = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <td :class="{ first, chosen, practice, aside, doubtful: odd !== undefined, wrong: trouble !== undefined }">
    <input
      :value="text"
      :style="{ minWidth: `calc(${text.length}ch + 14px)` }"
      autocomplete="off"
      :maxlength="LONGEST.entry"
      :aria-label="label"
      :data-row="row"
      :data-column="column"
      :data-target="target"
      :title="trouble"
      :aria-describedby="odd === undefined ? 'grid-unit' : `odd-${row}-${column} grid-unit`"
      :aria-invalid="trouble === undefined ? undefined : true"
      @input="emit('type', row, column, textIn($event))"
      @focus="emit('chosen', row, column)"
      @blur="emit('left', row, column, textIn($event))"
      @keydown="emit('key', $event, row, column)"
      @paste="emit('paste', $event, row, column)"
    />
    <span v-if="odd !== undefined" :id="`odd-${row}-${column}`" class="sr-only">{{ odd }}</span>
    <span
      v-if="mark"
      class="absolute top-0 left-tight text-brass text-small font-bold pointer-events-none"
      :class="{ soft: aside }"
      aria-hidden="true"
      >{{ mark }}</span
    >
  </td>
</template>

<style scoped>
td {
  position: relative;
  min-width: 46px;
  padding: 0;
  border-right: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
  background: var(--card);
}
.first {
  border-left: 1.5px solid var(--ink);
}
input {
  width: 100%;
  height: 40px;
  padding: 0 var(--gap-close);
  border: 0;
  background: none;
  text-align: right;
}
.chosen {
  background: var(--green-light);
}
.practice input {
  color: var(--soft);
  font-style: italic;
}
.aside {
  background: repeating-linear-gradient(45deg, transparent 0 5px, var(--line) 5px 6px);
}
.doubtful {
  box-shadow: inset 0 0 0 2px var(--brass-mark);
}
.wrong {
  box-shadow: inset 0 0 0 2px var(--beet);
}
</style>
