<script setup lang="ts">
import { NO_SCHOOL, type School } from '~~/core/kit'
import { kitTogether, type Member, type Together } from '~~/core/together'
import { amountWords, counted, kitTogetherWords, measuredWords, partsWords } from '~~/core/wording'
import { useCustoms } from '~/composables/customs'
import { callServer } from '~/following/callServer'

/** The kits of all lessons as one sum. */
const props = defineProps<{ id: string; members: Member[]; together: Together }>()
const { kitchen, money } = useCustoms()
const school = shallowRef<School>(NO_SCHOOL)
onMounted(async () => {
  const path = { together: props.id }
  const answer = await callServer('GET /api/together/[together]/school', { path }).catch(() => undefined)
  if (answer) school.value = answer.school
})
const rows = computed(() => kitTogether(props.members, props.together, school.value))
</script>

<template>
  <section aria-label="Kit of all lessons">
    <p class="large" role="status">
      {{ kitTogetherWords(rows) }}
    </p>
    <div class="scroll" tabindex="0" role="group" aria-label="Things">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Thing</th>
            <th scope="col" class="figure">For all</th>
            <th scope="col">Of that</th>
            <th scope="col">Place</th>
            <th scope="col" class="figure">There</th>
            <th scope="col" class="figure">Short</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name + row.unit">
            <th scope="row">{{ row.name || 'a thing without a name' }}</th>
            <td class="figure">
              <strong>{{ measuredWords(row.amount, row.unit, kitchen) }}</strong>
            </td>
            <td>{{ partsWords(members, row) }}</td>
            <td>{{ row.supply.place }}</td>
            <td class="figure">{{ row.supply.stock === undefined ? '–' : amountWords(row.supply.stock, row.unit) }}</td>
            <td class="figure">
              <template v-if="row.short > 0">
                <span aria-hidden="true">▲ </span>{{ amountWords(row.short, row.unit) }}
                <template v-if="row.packs">
                  : {{ counted(row.packs.count, 'pack') }}{{ row.packs.cost === undefined ? '' : `, ${money(row.packs.cost)}` }}
                </template>
              </template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
