<script setup lang="ts">
import { evidenceOf } from '~~/core/evidence'
import type { LessonRecord, Plan } from '~~/core/lesson'
import { nearnessOfPrediction, predictionsByGroup, resultsForPredictions, stampedOrders } from '~~/core/predictions'
import { foresight, nearnessWords, predictionSentence } from '~~/core/wording'

/** What each group predicted beside what came, and what changed its mind. */
const props = defineProps<{ plan: Plan; record: LessonRecord }>()
const results = computed(() => resultsForPredictions(props.plan, props.record))
const rows = computed(() =>
  predictionsByGroup(props.plan, props.record.predictions).map((one) => ({
    ...one,
    found: props.plan.groups.find(({ id }) => id === one.group)!,
    nearness:
      one.stamped && results.value
        ? nearnessOfPrediction(one.stamped, results.value.order, results.value.values, results.value.same)
        : undefined,
  })),
)
const evidence = computed(() => evidenceOf(props.plan, props.record))
const orders = computed(() => stampedOrders(props.plan, props.record.predictions))
const changed = computed(() => rows.value.filter(({ later }) => later.length > 0).length)
</script>

<template>
  <section aria-label="Predictions and result">
    <p v-if="evidence && orders.length > 0" class="large mb-near font-heading text-title">
      {{ foresight(plan, evidence, orders) }}
    </p>
    <EmptyNote v-if="orders.length === 0" title="Nobody predicted beforehand">
      Predictions that are written down before the first reading stand here beside the result.
    </EmptyNote>
    <table v-else class="ruled">
      <thead>
        <tr>
          <th scope="col">Group</th>
          <th scope="col">Predicted</th>
          <th scope="col">How it came</th>
          <th v-if="changed > 0" scope="col">Changed its mind</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.group">
          <th scope="row"><GroupName :group="row.found" /></th>
          <td>{{ row.stamped ? predictionSentence(plan, row.stamped) : 'nothing written down' }}</td>
          <td>
            {{ row.nearness ? nearnessWords(plan, row.nearness) : row.stamped ? 'when every condition has a result' : '' }}
          </td>
          <td v-if="changed > 0">
            <p v-for="one in row.later" :key="one.id">{{ predictionSentence(plan, one) }}</p>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="plan.challenge === null" class="mt-wide">
      <QuietBtn size="small" :to="{ query: { part: 'check' } }" replace>Check it with something new …</QuietBtn>
    </p>
  </section>
</template>

<style scoped>
.ruled td,
.ruled th {
  vertical-align: top;
}
</style>
