<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { jobRounds, runsInAll, seatsThere, sharingRota, visitRota, type GroupVisit } from '~~/core/arrangement'
import { counted } from '~~/core/wording'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import KitTitle from '~/components/print/KitTitle.vue'

/** Jobs for every trial of every group, a column for the trials that are alike, and who listens to whom afterwards. */
const plan = useLessonPlan()
const sheets = computed(() =>
  plan.value.groups.map((group) => ({
    group,
    turns: jobRounds(seatsThere(group), plan.value.jobs.length, runsInAll(plan.value, group.id)),
  })),
)
const SHOWN = 3
/** `trialsWords([2, 6, 10, 14]) // '2, 6, 10 …'`: who goes on is clear from the first few. */
const trialsWords = (trials: number[]) => trials.slice(0, SHOWN).join(', ') + (trials.length > SHOWN ? ' …' : '')
const sharing = computed(() => sharingRota(plan.value.groups.length))
const visits = computed(() => visitRota(plan.value.groups))
/** No more rounds stand in one table, so that it stays on its paper. */
const ROUNDS = 4
const tables = computed(() =>
  Array.from({ length: Math.ceil(visits.value.length / ROUNDS) }, (_, part) => ({
    first: part * ROUNDS,
    rounds: visits.value.slice(part * ROUNDS, (part + 1) * ROUNDS),
  })),
)
const visitWords = ({ to, going }: GroupVisit) =>
  going.length === 0 ? 'all stay' : `${going.length === 1 ? 'seat' : 'seats'} ${going.join(', ')} to ${nameAt(to)}`
const nameAt = (place: number) => plan.value.groups[place]!.name
</script>

<template>
  <div>
    <KitTitle what="Jobs and sharing" />
    <div class="groups grid grid-cols-2 gap-y-2mm gap-x-8mm">
      <section v-for="{ group, turns } in sheets" :key="group.id" class="keep-together">
        <h2><ShapeBadge :size="20" :shape="group.shape" /> {{ group.name }}</h2>
        <p v-if="group.away.length > 0">{{ counted(group.away.length, 'seat') }} empty today: {{ group.away.join(', ') }}.</p>
        <table class="ruled font-heading">
          <thead>
            <tr>
              <th>Trial</th>
              <th v-for="turn in turns" :key="turn.trials[0]">{{ trialsWords(turn.trials) }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(job, place) in plan.jobs" :key="job">
              <th>{{ job }}</th>
              <td v-for="turn in turns" :key="turn.trials[0]">seat {{ turn.seats[place] }}</td>
            </tr>
          </tbody>
        </table>
      </section>
    </div>
    <section v-if="visits.length > 0" class="keep-together">
      <h2>Visits: who goes and listens, who stays and explains</h2>
      <p v-if="plan.criteria.length > 0">We look for: {{ plan.criteria.join(' · ') }}</p>
      <table v-for="{ first, rounds } in tables" :key="first" class="ruled font-heading keep-together">
        <thead>
          <tr>
            <th>Group</th>
            <th v-for="(_, place) in rounds" :key="place">round {{ first + place + 1 }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="({ group }, at) in rounds[0]" :key="group">
            <th>{{ nameAt(group) }}</th>
            <td v-for="(round, place) in rounds" :key="place">{{ visitWords(round[at]!) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="sharing.length > 0" class="keep-together">
      <h2>Sharing: who sits with whom</h2>
      <table class="ruled font-heading">
        <tbody>
          <tr v-for="(round, place) in sharing" :key="place">
            <td>
              <strong class="inline-block mr-6mm nowrap">round {{ place + 1 }}</strong>
            </td>
            <td>
              <span v-for="([a, b], at) in round.pairs" :key="at" class="inline-block mr-6mm nowrap"
                >{{ nameAt(a) }} – {{ nameAt(b) }}</span
              >
              <span v-if="round.rests !== undefined" class="inline-block mr-6mm nowrap">{{ nameAt(round.rests) }} writes up</span>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
h2 {
  display: flex;
  align-items: center;
  gap: 2mm;
  margin: 3mm 0 1mm;
  font-size: 14pt;
}
.ruled td,
.ruled th {
  padding: 0.6mm 1mm 0.6mm 0;
  color: #000;
  font-size: 11pt;
}
</style>
