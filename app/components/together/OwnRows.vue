<script setup lang="ts">
import { checkPlan } from '~~/core/fairness'
import type { Found, OwnRow } from '~~/core/together'
import { fairWords, foundWords, question } from '~~/core/wording'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'

/** A row a group: what it asks, whether that is fair, how far it is and what it found. */
const props = defineProps<{ rows: OwnRow[]; found: Found[] }>()
defineEmits<{ ask: [group: string] }>()
const shown = computed(() =>
  props.rows.map((row) => {
    const own = props.found.find(({ lesson }) => lesson === row.asks)
    const check = own && checkPlan(own.plan)
    return {
      ...row,
      own,
      fair: own && check ? fairWords(own.plan, check) : undefined,
      group: own?.groups.find(({ name }) => name === row.name),
    }
  }),
)
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
              <NuxtLink :to="`/lesson/${row.own.lesson}/plan`">{{ question(row.own.plan) }}</NuxtLink>
            </td>
            <td>
              <span aria-hidden="true">{{ row.fair?.mark }}</span> {{ row.fair?.verdict ?? 'not yet' }}
            </td>
            <td class="figure nowrap">{{ row.group?.done ?? 0 }} of {{ row.group?.all ?? 0 }}</td>
            <td>
              <NuxtLink v-if="row.own.done > 0" :to="`/lesson/${row.own.lesson}/results`">{{ foundWords(row.own) }}</NuxtLink>
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
