<script setup lang="ts">
import { evidenceOf } from '~~/core/evidence'
import { activeConditions } from '~~/core/lesson'
import { predictionsByGroup } from '~~/core/predictions'

/** Every group's order and reason, stamped before its first counted reading, and the tally of the class. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const groups = computed(() => predictionsByGroup(plan.value, lesson.record.predictions))
const result = computed(() => {
  const evidence = evidenceOf(plan.value, lesson.record)
  return evidence && evidence.order.length === activeConditions(plan.value).length ? evidence.order : undefined
})
const stamped = computed(() => groups.value.filter((one) => one.stamped).length)
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Predict</h2>
      <p class="soft">Each group's order and reason, before its first counted reading.</p>
      <NuxtLink class="button small slips" :to="`/print/${lesson.id}/slips`" target="_blank">Print slips</NuxtLink>
    </div>
    <div v-if="activeConditions(plan).length < 2" class="empty-note">
      <strong>Nothing to put in order yet</strong>
      A prediction is an order of the conditions, such as “kitchen roll, tissue, card, because it is the fluffiest”.
      <NuxtLink :to="`/lesson/${lesson.id}/plan`">Name two conditions first</NuxtLink>.
    </div>
    <template v-else>
      <section class="sheet tally" aria-labelledby="tally">
        <h3 id="tally">
          The class so far
          <span class="soft">{{ stamped }} of {{ groups.length }} groups</span>
        </h3>
        <PredictionTally :plan="plan" :predictions="lesson.record.predictions" />
      </section>
      <ul class="groups">
        <GroupPrediction v-for="one in groups" :key="one.group" :prediction="one" :result="result" />
      </ul>
    </template>
  </div>
</template>

<style scoped>
.slips {
  margin-left: auto;
}
.tally h3 {
  margin-bottom: 4px;
  font-size: 17px;
}
.tally h3 span {
  margin-left: 8px;
  font-family: var(--dense);
  font-size: 15px;
  font-weight: 400;
}
.groups {
  margin-top: 14px;
}
</style>
