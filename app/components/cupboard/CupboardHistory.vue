<script setup lang="ts">
import type { Thing } from '~~/core/kit'
import { momentOfDayWords } from '~~/core/wording'
import type { Move } from '~~/schemas/contract'
import AppFold from '~/components/pieces/AppFold.vue'
import ReadTable from '~/components/pieces/ReadTable.vue'

/** What happened in the cupboard. */
const props = defineProps<{ moves: Move[]; things: Thing[] }>()
const MOVE_WORDS: Record<Move['why'], string> = {
  new: 'put in',
  corrected: 'counted anew',
  imported: 'from a table',
  'counted-back': 'counted back',
  'taken-out': 'taken out of the cupboard',
}
const rows = computed(() =>
  props.moves.map((move) => ({
    at: move.at,
    thing: props.things.find(({ id }) => id === move.thing)?.name ?? 'a thing that is out',
    what: `${MOVE_WORDS[move.why]}${move.title ? ` after “${move.title}”` : ''}${move.broken > 0 ? `, ${move.broken} broken` : ''}`,
    change: move.change,
    stock: move.stock,
  })),
)
const COLUMNS = [
  { key: 'at', title: 'When' },
  { key: 'thing', title: 'Thing' },
  { key: 'what', title: 'What' },
  { key: 'change', title: 'More or less', figure: true },
  { key: 'stock', title: 'Then there', figure: true },
]
</script>

<template>
  <AppFold title="What happened" hint="the newest first">
    <ReadTable :rows="rows" :columns="COLUMNS" caption="What happened in the cupboard">
      <template #at="{ row }">
        <span class="soft">{{ momentOfDayWords(row.at) }}</span>
      </template>
      <template #change="{ row }">{{ row.change > 0 ? '+' : '' }}{{ row.change }}</template>
    </ReadTable>
  </AppFold>
</template>
