<script setup lang="ts">
import { activeConditions, measuredCard, type LessonRecord, type Plan } from '~~/core/lesson'
import { wordCounts } from '~~/core/record'

/** How often each of the ordered words was chosen. */
const props = defineProps<{ plan: Plan; record: LessonRecord }>()
const words = computed(() => measuredCard(props.plan)!.method.words)
const rows = computed(() => wordCounts(props.plan, props.record.readings))
</script>

<template>
  <table class="ruled">
    <thead>
      <tr>
        <th scope="col">How often</th>
        <th v-for="word in words" :key="word" scope="col">{{ word }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(condition, row) in activeConditions(plan)" :key="condition.id">
        <th scope="row">
          <ConditionName :plan="plan" :id="condition.id" />
        </th>
        <td v-for="(count, place) in rows[row]?.counts" :key="place">
          <span class="squares" aria-hidden="true"><i v-for="n in count" :key="n" /></span>
          {{ count }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.squares {
  display: inline-flex;
  flex-wrap: wrap;
  gap: var(--gap-hair);
  max-width: 120px;
}
.squares i {
  width: 11px;
  height: 11px;
  border: 1px solid var(--ink);
  background: var(--green);
}
</style>
