<script setup lang="ts">
import { evidenceOf } from '~~/core/evidence'
import type { LessonRecord, Plan } from '~~/core/lesson'
import { predictionsByGroup } from '~~/core/predictions'
import { foresight, GRADE_NAMES } from '~~/core/wording'

/** The class conclusion, in large letters. */
const props = defineProps<{ plan: Plan; record: LessonRecord }>()
const last = computed(() => props.record.conclusions.at(-1))
const evidence = computed(() => evidenceOf(props.plan, props.record))
const orders = computed(() =>
  predictionsByGroup(props.plan, props.record.predictions).flatMap((one) => (one.stamped ? [one.stamped.order] : [])),
)
</script>

<template>
  <div class="agree">
    <p v-if="last" class="text">{{ last.text }}</p>
    <p v-else class="text soft">What do we agree on?</p>
    <p v-if="evidence">
      How sure:
      <strong>{{ GRADE_NAMES[evidence.grade].toLowerCase() }}</strong>
      <template v-if="last?.hands !== null && last?.hands !== undefined">. {{ last.hands }} hands up.</template>
    </p>
    <p v-if="evidence">{{ foresight(plan, evidence, orders) }}</p>
  </div>
</template>

<style scoped>
.agree {
  display: grid;
  gap: 24px;
  padding-top: 24px;
}
.text {
  padding: 26px 34px;
  border: 2.5px solid var(--ink);
  border-top: 0;
  border-radius: 0 0 24px 24px;
  font-size: 42px;
  line-height: 1.4;
  overflow-wrap: anywhere;
}
</style>
