<script setup lang="ts">
import type { LessonRecord, Plan } from '~~/core/lesson'
import { predictionsByGroup } from '~~/core/predictions'

/** What the class expects, while it does not know yet. */
const props = defineProps<{ plan: Plan; record: LessonRecord }>()
const groups = computed(() => predictionsByGroup(props.plan, props.record.predictions))
const done = computed(() => groups.value.filter((one) => one.stamped).length)
</script>

<template>
  <div class="predict">
    <h2>
      What do we think?
      <span class="soft">{{ done }} of {{ groups.length }} groups have said</span>
    </h2>
    <PredictionTally big :plan="plan" :predictions="record.predictions" />
  </div>
</template>

<style scoped>
h2 {
  margin-bottom: 10px;
  font-size: 34px;
}
h2 span {
  margin-left: 16px;
  font-size: 30px;
  font-weight: 400;
}
</style>
