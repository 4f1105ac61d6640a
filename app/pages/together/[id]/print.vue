<script setup lang="ts">
import { NO_SCHOOL, billOf, byPlace, type School } from '~~/core/kit'
import { circuitTogether, groupsTogether, kitTogether } from '~~/core/together'
import {
  amountWords,
  boundWords,
  circuitTogetherWords,
  counted,
  fitTogetherWords,
  measuredWords,
  partsWords,
  placeWords,
  question,
} from '~~/core/wording'
import TogetherSteps from '~/components/together/TogetherSteps.vue'
import { useCustoms } from '~/composables/customs'
import { useInterleaving } from '~/composables/interleaving'
import { useTogether } from '~/composables/togetherDesk'
import { callServer } from '~/following/callServer'

/** All of it on paper: who does what, each group's trials by the clock, what to fetch place by place, what to buy. */
const route = useRoute()
const id = String(route.params.id)
const { view, missing, members, title } = useTogether(id)
const together = computed(() => view.value?.together)
const { timetable, fit, rows } = useInterleaving(members, together)
const { kitchen, money } = useCustoms()
const school = shallowRef<School>(NO_SCHOOL)
onMounted(async () => {
  const answer = await callServer('GET /api/together/[together]/school', { path: { together: id } }).catch(() => undefined)
  if (answer) school.value = answer.school
})
const needs = computed(() => (together.value ? kitTogether(members.value, together.value, school.value) : []))
const places = computed(() => byPlace(needs.value))
const toBuy = computed(() => needs.value.filter(({ short }) => short > 0))
const bill = computed(() => billOf(toBuy.value))
const circuit = computed(() => together.value && circuitTogether(members.value, together.value))
const groups = computed(() => groupsTogether(members.value))
const print = () => window.print()
useHead({ title: () => `Print · ${title.value}` })
</script>

<template>
  <main class="paper">
    <div class="screen-only row bar">
      <QuietBtn :to="`/together/${id}`">Back</QuietBtn>
      <MainBtn @click="print">Print</MainBtn>
      <span class="hint">A4 or Letter, made for black and white.</span>
    </div>
    <p v-if="missing" class="trouble" role="alert">These lessons do not run together any more.</p>
    <template v-else-if="view && together">
      <h1 class="text-20pt">{{ title }}</h1>
      <p>Code {{ view.code }}. {{ members.map(({ plan }) => plan.title).join(' · ') }}</p>
      <h2>Who does what</h2>
      <template v-if="together.way === 'circuit' && circuit">
        <p>{{ circuitTogetherWords(circuit, together.minutes) }}</p>
        <table class="ruled">
          <thead>
            <tr>
              <th>Group</th>
              <th v-for="(_, round) in circuit.rounds" :key="round">round {{ round + 1 }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(name, place) in circuit.groups" :key="name">
              <th>{{ name }}</th>
              <td v-for="(row, round) in circuit.rounds" :key="round">{{ placeWords(members, row[place]) }}</td>
            </tr>
          </tbody>
        </table>
      </template>
      <table v-else class="ruled">
        <tbody>
          <tr v-for="{ lesson, plan } in members" :key="lesson">
            <th>{{ plan.title }}</th>
            <td>{{ question(plan) }}</td>
            <td>
              {{
                groups
                  .filter(({ ids }) => ids[lesson] !== undefined)
                  .map(({ name }) => name)
                  .join(', ')
              }}
            </td>
          </tr>
        </tbody>
      </table>
      <section class="keep-together">
        <h2>What to fetch</h2>
        <template v-for="{ place, rows: things } in places" :key="place">
          <h3>{{ place || 'No place written down' }}</h3>
          <table class="ruled">
            <tbody>
              <tr v-for="row in things" :key="row.name + row.unit">
                <td class="w-11mm"><span class="square" /></td>
                <td>{{ row.name || 'a thing without a name' }}</td>
                <td class="figure">
                  <strong>{{ measuredWords(row.amount, row.unit, kitchen) }}</strong>
                </td>
                <td>{{ partsWords(members, row) }}</td>
              </tr>
            </tbody>
          </table>
        </template>
      </section>
      <section v-if="toBuy.length > 0" class="keep-together">
        <h2>What to buy</h2>
        <table class="ruled">
          <tbody>
            <tr v-for="row in toBuy" :key="row.name + row.unit">
              <td class="w-11mm"><span class="square" /></td>
              <td>{{ row.name }}</td>
              <td>{{ row.packs ? counted(row.packs.count, 'pack') : amountWords(row.short, row.unit) }}</td>
              <td class="figure">{{ row.packs?.cost === undefined ? '' : money(row.packs.cost) }}</td>
            </tr>
          </tbody>
        </table>
        <p>
          <strong>In all {{ money(bill.cost) }}</strong
          >{{ bill.unpriced > 0 ? `, ${counted(bill.unpriced, 'thing')} without a price` : '' }}
        </p>
      </section>
      <template v-if="together.way !== 'circuit' && fit && timetable">
        <h2 class="new-page">By the clock</h2>
        <p>{{ fitTogetherWords(fit) }} {{ boundWords(timetable) }}</p>
        <div class="columns">
          <section v-for="row in rows" :key="row.group">
            <h3>{{ row.group }}</h3>
            <TogetherSteps :steps="row.steps" :members="members" />
          </section>
        </div>
      </template>
    </template>
  </main>
</template>

<style scoped>
h2 {
  margin: 5mm 0 2mm;
  font-size: 15pt;
}
.columns {
  columns: 2;
  column-gap: 8mm;
  font-size: 9pt;
}
.columns :deep(td),
.columns :deep(th) {
  padding: 0.3mm 1mm;
  font-size: 9pt;
}
h3 {
  margin: 3mm 0 1mm;
  font-size: 12pt;
}
</style>
