<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { arrangementOf, circuitOf, orderKindOf, trialsByGroup } from '~~/core/arrangement'
import { timeAt, trialStarts } from '~~/core/clock'
import { activeConditions, letterOf } from '~~/core/lesson'
import { orderLine, stopwatchWords, trialNumbers } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import ConditionName from '~/components/pieces/ConditionName.vue'
import GroupName from '~/components/pieces/GroupName.vue'

/** Who does which condition when, as the arrangement has it: on the screen and on paper. */
const plan = useLessonPlan()
const props = defineProps<{ /** Minutes of the lesson when testing begins. */ testStart?: number }>()
const way = computed(() => arrangementOf(plan.value))
const active = computed(() => activeConditions(plan.value))
const trials = computed(() => trialsByGroup(plan.value))
const starts = computed(() => trialStarts(plan.value))
const ordered = computed(() => way.value !== 'together' && orderKindOf(plan.value) !== 'as-written')
const numbers = computed(() => new Map(plan.value.groups.map(({ id }) => [id, trialNumbers(plan.value, id)])))
/** Which of its trials, or of the class's turns, a group does of a condition. */
const numbersOf = (group: string, condition: string) =>
  turnsOf(group, condition)
    .flatMap((repeat) => numbers.value.get(group)!.get(`${condition}/${repeat}`) ?? [])
    .sort((a, b) => a - b)
/** When a group that keeps to the clock begins with a condition. */
const beginOf = (group: string, condition: string) => {
  const [first] = numbersOf(group, condition)
  const start = first === undefined ? undefined : starts.value?.[first - 1]
  return start === undefined ? '' : clockOf(start)
}
const circuit = computed(() => (way.value === 'circuit' ? circuitOf(plan.value) : undefined))
const stationName = (station: number) => circuit.value!.stations[station]!
/** Stations without measuring are told apart by numbers, which a legend explains. */
const extras = computed(() => (circuit.value ? plan.value.arrangement.extra : []))
const extraNumber = (id: string) => extras.value.findIndex((one) => one.id === id) + 1
const visitsOf = (group: number) => circuit.value!.visits.filter((visit) => visit.group === group).sort((a, b) => a.start - b.start)
const inRound = (group: number, round: number) =>
  visitsOf(group).find((visit) => Math.round(visit.start / circuit.value!.rounds!.seconds) === round)
const turnsOf = (group: string, condition: string) =>
  trials.value
    .get(group)!
    .filter((trial) => trial.condition === condition)
    .map(({ repeat }) => repeat)
const clockOf = (seconds: number) =>
  props.testStart === undefined
    ? stopwatchWords(seconds)
    : (timeAt(plan.value.clock.start, props.testStart + Math.floor(seconds / 60)) ?? stopwatchWords(seconds))
/** Several of one station are told apart by a number. */
const copyOf = (station: number, copy: number) => (circuit.value!.stations[station]!.copies > 1 ? ` ${copy + 1}` : '')
</script>

<template>
  <div v-if="plan.groups.length > 0 && active.length > 0" class="scroll" tabindex="0" role="group" aria-label="Who does what">
    <table v-if="circuit?.rounds" class="ruled who">
      <thead>
        <tr>
          <th class="font-semibold" scope="col">Group</th>
          <th class="font-semibold" v-for="round in circuit.rounds.count" :key="round" scope="col">
            {{ round }}<br /><span class="at text-soft text-small font-normal nowrap">{{
              clockOf((round - 1) * circuit.rounds.seconds)
            }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(group, place) in plan.groups" :key="group.id">
          <th scope="row"><GroupName :group="group" /></th>
          <td v-for="round in circuit.rounds.count" :key="round">
            <template v-for="visit in [inRound(place, round - 1)]" :key="visit?.station">
              <span v-if="!visit" class="idle text-soft text-small italic">write up</span>
              <ConditionBadge
                v-else-if="stationName(visit.station).measures"
                :letter="letterOf(plan, stationName(visit.station).id) + copyOf(visit.station, visit.copy)"
                :place="plan.conditions.findIndex(({ id }) => id === stationName(visit.station).id)"
              />
              <span v-else class="extra"
                >{{ extraNumber(stationName(visit.station).id) }}{{ copyOf(visit.station, visit.copy) }}</span
              >
            </template>
          </td>
        </tr>
      </tbody>
    </table>
    <table v-else-if="circuit" class="ruled who">
      <tbody>
        <tr v-for="(group, place) in plan.groups" :key="group.id">
          <th scope="row"><GroupName :group="group" /></th>
          <td>
            <span v-for="(visit, at) in visitsOf(place)" :key="at" class="inline-flex gap-close items-center mr-14px">
              <span v-if="visit.start > (visitsOf(place)[at - 1]?.end ?? 0)" class="idle text-soft text-small italic"
                >write up</span
              >
              <ConditionBadge
                v-if="stationName(visit.station).measures"
                :size="26"
                :letter="letterOf(plan, stationName(visit.station).id) + copyOf(visit.station, visit.copy)"
                :place="plan.conditions.findIndex(({ id }) => id === stationName(visit.station).id)"
              />
              <span v-else class="extra">{{ extraNumber(stationName(visit.station).id) }}</span>
              <span class="at text-soft text-small font-normal nowrap">{{ clockOf(visit.start) }}</span>
            </span>
          </td>
        </tr>
      </tbody>
    </table>
    <table v-else class="ruled who">
      <thead>
        <tr>
          <th class="font-semibold" scope="col">Group</th>
          <th class="font-semibold" v-for="condition in active" :key="condition.id" scope="col">
            <ConditionName :id="condition.id" :size="22" />
          </th>
          <th class="font-semibold" v-if="ordered" scope="col">In this order</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="group in plan.groups" :key="group.id">
          <th scope="row"><GroupName :group="group" /></th>
          <td v-for="condition in active" :key="condition.id">
            <template v-if="turnsOf(group.id, condition.id).length > 0">
              <span v-if="numbersOf(group.id, condition.id).length > 0" class="nowrap">
                {{ way === 'together' ? 'turn' : 'trial' }} {{ numbersOf(group.id, condition.id).join(', ') }}
              </span>
              <template v-else-if="way === 'together'">
                {{
                  turnsOf(group.id, condition.id)
                    .map((repeat) => `repeat ${repeat}`)
                    .join(', ')
                }}
              </template>
              <template v-else>{{ turnsOf(group.id, condition.id).length }} ×</template>
              <span v-if="beginOf(group.id, condition.id)" class="at begins text-soft text-small font-normal nowrap"
                >from {{ beginOf(group.id, condition.id) }}</span
              >
            </template>
            <span v-else class="soft">–</span>
          </td>
          <td v-if="ordered">
            <span v-for="(turn, at) in orderLine(plan, group.id).split(' · ')" :key="at" class="turn">{{ turn }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="circuit" class="flex flex-wrap gap-y-tight gap-x-part mt-near text-body">
      <ConditionName v-for="condition in active" :key="condition.id" :id="condition.id" :size="20" />
      <span v-for="one in extras" :key="one.id"
        ><span class="extra">{{ extraNumber(one.id) }}</span> {{ one.name || 'a station' }}</span
      >
    </p>
  </div>
</template>

<style scoped>
.begins,
.turn {
  display: block;
  white-space: nowrap;
}
.who th,
.who td {
  padding: var(--gap-tight) var(--gap-close);
  vertical-align: middle;
}
.extra {
  display: inline-block;
  min-width: 26px;
  padding: 0 var(--gap-close);
  border: 1.5px solid currentcolor;
  border-radius: var(--corner-glass);
  text-align: center;
}
@media print {
  .who th,
  .who td {
    padding: 0.8mm 1mm;
  }
  .who :deep(.group-name) {
    white-space: normal;
  }
  .at {
    font-size: 9.5pt;
  }
  .at,
  .idle,
  .soft {
    color: #000;
  }
}
</style>
