<script setup lang="ts">
import { letterOf, type Plan, type Prediction } from '~~/core/lesson'
import { tallyOf } from '~~/core/predictions'
import { nameOfCondition } from '~~/core/wording'

/** How many groups put each condition first and last: one square a group. */
const props = defineProps<{ plan: Plan; predictions: Prediction[]; big?: boolean }>()
const tally = computed(() => tallyOf(props.plan, props.predictions))
const placeOf = (id: string) => props.plan.conditions.findIndex((one) => one.id === id)
</script>

<template>
  <table class="tally" :class="{ big, many: tally.length > 5 }">
    <thead>
      <tr>
        <th scope="col"><span class="sr-only">Condition</span></th>
        <th scope="col">most</th>
        <th scope="col">least</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in tally" :key="one.condition">
        <th scope="row">
          <ConditionBadge
            :size="big ? (tally.length > 5 ? 34 : 44) : 26"
            :letter="letterOf(plan, one.condition)"
            :place="placeOf(one.condition)"
          />
          <span>{{ nameOfCondition(plan, one.condition) }}</span>
        </th>
        <td>
          <span class="squares"><i v-for="n in one.most" :key="n" /></span>
          {{ one.most }}
        </td>
        <td>
          <span class="squares hollow"><i v-for="n in one.least" :key="n" /></span>
          {{ one.least }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.tally {
  width: 100%;
}
th {
  text-align: left;
}
thead th {
  color: var(--soft);
  font-weight: 600;
}
tbody th {
  display: flex;
  align-items: center;
  gap: 10px;
  font-family: var(--heading);
  font-weight: 400;
}
td,
th {
  padding: 4px 8px 4px 0;
}
.squares {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 3px;
  margin-right: 6px;
}
.squares i {
  width: 15px;
  height: 15px;
  border: 1.5px solid var(--ink);
  background: var(--green);
}
.squares.hollow i {
  background: none;
}
.big {
  font-size: 30px;
}
.big th,
.big td {
  padding: 10px 16px 10px 0;
}
.big.many {
  line-height: 1.2;
}
.big.many th,
.big.many td {
  padding: 3px 16px 3px 0;
}
.big.many tbody th span:last-child {
  overflow: hidden;
  max-width: 520px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.big .squares i {
  width: 30px;
  height: 30px;
}
.big.many .squares i {
  width: 24px;
  height: 24px;
}
</style>
