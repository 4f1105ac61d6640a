<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { letterOf, type Prediction } from '~~/core/lesson'
import { predictionOf, resultUnit } from '~~/core/test'
import { heapsOf } from '~~/core/charts'
import { changeTally, guessesOf, tallyOf } from '~~/core/predictions'
import { endsOf, nameOfCondition } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import HeapOfNumbers from '~/components/pieces/HeapOfNumbers.vue'

/** How many groups put each condition first and last, or say that it goes up or down: one square a group. */
const plan = useLessonPlan()
const props = defineProps<{ predictions: Prediction[]; big?: boolean }>()
const tally = computed(() => tallyOf(plan.value, props.predictions))
const counted = computed(() => tally.value.some(({ hands }) => hands !== undefined))
const ends = computed(() => endsOf(plan.value))
const columns = computed(() =>
  predictionOf(plan.value) === 'change' ? ['more', 'the same', 'less'] : [ends.value.most, ends.value.least],
)
const rows = computed(() =>
  predictionOf(plan.value) === 'change'
    ? changeTally(plan.value, props.predictions).map(({ condition, up, same, down }) => ({
        condition,
        counts: [up, same, down],
        hands: undefined,
      }))
    : tally.value.map(({ condition, most, least, hands }) => ({ condition, counts: [most, least], hands })),
)
/** Of one thing alone there is no most and least: its guesses are heaped up. */
const guesses = computed(() =>
  tally.value.length === 1 && predictionOf(plan.value) !== 'change' ? guessesOf(plan.value, props.predictions) : [],
)
const placeOf = (id: string) => plan.value.conditions.findIndex((one) => one.id === id)
</script>

<template>
  <HeapOfNumbers
    v-if="guesses.length > 0"
    :class="{ 'text-huge': big }"
    :bins="heapsOf([guesses], resultUnit(plan))[0]!"
    :caption="`What we guess, in ${resultUnit(plan)}`"
  />
  <table v-else class="tally" :class="{ big, many: tally.length > 5 }">
    <thead>
      <tr>
        <th class="text-left" scope="col"><span class="sr-only">Condition</span></th>
        <th class="text-left" v-for="column in columns" :key="column" scope="col">{{ column }}</th>
        <th class="text-left" v-if="counted" scope="col">hands up</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in rows" :key="one.condition">
        <th class="text-left" scope="row">
          <ConditionBadge
            v-if="placeOf(one.condition) >= 0"
            :size="big ? (tally.length > 5 ? 34 : 44) : 26"
            :letter="letterOf(plan, one.condition)"
            :place="placeOf(one.condition)"
          />
          <span>{{ nameOfCondition(plan, one.condition) }}</span>
        </th>
        <td v-for="(count, column) in one.counts" :key="column">
          <span class="squares inline-flex flex-wrap gap-tight mr-close" :class="{ hollow: column > 0 }"
            ><i class="w-15px h-15px edge-1.5-ink bg-green" v-for="n in count" :key="n"
          /></span>
          {{ count }}
        </td>
        <td v-if="counted">{{ one.hands }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.tally {
  width: 100%;
}
thead th {
  color: var(--soft);
  font-weight: 600;
}
tbody th {
  display: flex;
  align-items: center;
  gap: var(--gap-near);
  font-family: var(--heading);
  font-weight: 400;
}
td,
th {
  padding: var(--gap-tight) var(--gap-near) var(--gap-tight) 0;
}
.squares.hollow i {
  background: none;
}
.big {
  font-size: var(--type-huge);
}
.big th,
.big td {
  padding: var(--gap-near) var(--gap-part) var(--gap-near) 0;
}
.big.many {
  line-height: 1.2;
}
.big.many th,
.big.many td {
  padding: var(--gap-tight) var(--gap-part) var(--gap-tight) 0;
}
.big .squares i {
  width: calc(30 * var(--unit));
  height: calc(30 * var(--unit));
}
.big.many .squares i {
  width: calc(24 * var(--unit));
  height: calc(24 * var(--unit));
}
</style>
