<script setup lang="ts">
import type { Found, OwnRow } from '~~/core/together'
import { ownRowWords } from '~~/core/wording/reports'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'

/** A row a group: what it asks, whether that is fair, how far it is and what it found. */
const props = defineProps<{ rows: OwnRow[]; found: Found[] }>()
defineEmits<{ ask: [group: string] }>()
const shown = computed(() => props.rows.map((row) => ({ ...row, own: ownRowWords(row.name, row.asks, props.found) })))
</script>

<template>
  <div class="scroll" tabindex="0" role="group" aria-label="Each group its own question">
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Group</th>
          <th scope="col">Its question</th>
          <th scope="col">Fair?</th>
          <th scope="col" class="figure">Done</th>
          <th scope="col">Found</th>
          <th scope="col"><span class="sr-only">Write one</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in shown" :key="row.name">
          <th scope="row">
            <span class="flex items-center gap-near"><ShapeBadge :size="18" :shape="row.shape" /> {{ row.name }}</span>
          </th>
          <template v-if="row.own">
            <td>
              <NuxtLink :to="`/lesson/${row.own.lesson}/plan`">{{ row.own.question }}</NuxtLink>
            </td>
            <td>
              <span aria-hidden="true">{{ row.own.fair?.mark }}</span> {{ row.own.fair?.verdict ?? 'not yet' }}
            </td>
            <td class="figure nowrap">{{ row.own.done }}</td>
            <td>
              <NuxtLink v-if="row.own.found" :to="`/lesson/${row.own.lesson}/results`">{{ row.own.found }}</NuxtLink>
              <span v-else class="soft">nothing yet</span>
            </td>
          </template>
          <td v-else colspan="4" class="soft">none yet: it asks at its station, or you write it here</td>
          <td>
            <VBtn
              size="small"
              :aria-label="`${row.own ? 'Another question for' : 'Write the question of'} ${row.name}`"
              @click="$emit('ask', row.name)"
              >{{ row.own ? 'Another' : 'Write it' }}</VBtn
            >
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
