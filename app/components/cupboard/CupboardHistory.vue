<script setup lang="ts">
import type { Thing } from '~~/core/kit'
import type { Move } from '~~/schemas/contract'

/** What happened in the cupboard. */
defineProps<{ moves: Move[]; things: Thing[] }>()
const MOVE_WORDS: Record<Move['why'], string> = {
  new: 'put in',
  corrected: 'counted anew',
  imported: 'from a table',
  'counted-back': 'counted back',
  'taken-out': 'taken out of the cupboard',
}
const when = (at: string) =>
  new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
</script>

<template>
  <AppFold title="What happened" hint="the newest first">
    <table class="ruled">
      <tbody>
        <tr v-for="move in moves" :key="move.number">
          <td class="soft">
            {{ when(move.at) }}
          </td>
          <td>{{ things.find(({ id }) => id === move.thing)?.name ?? 'a thing that is out' }}</td>
          <td>
            {{ MOVE_WORDS[move.why] }}{{ move.title ? ` after “${move.title}”` : ''
            }}{{ move.broken > 0 ? `, ${move.broken} broken` : '' }}
          </td>
          <td class="figure">{{ move.change > 0 ? '+' : '' }}{{ move.change }}</td>
          <td class="figure">{{ move.stock }} there</td>
        </tr>
      </tbody>
    </table>
  </AppFold>
</template>
