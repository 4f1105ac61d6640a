<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import type { LessonRecord } from '~~/core/lesson'
import { groupReport } from '~~/core/wording/reports'
import ReportSheet from '~/components/print/ReportSheet.vue'

/** A report for each group, a page each. */
const plan = useLessonPlan()
defineProps<{ record: LessonRecord }>()
</script>

<template>
  <div>
    <ReportSheet
      v-for="group in plan.groups"
      :key="group.id"
      class="one"
      :report="groupReport(plan, record, group.id)"
      :plan="plan"
      :record="record"
    />
  </div>
</template>

<style scoped>
.one + .one {
  break-before: page;
}
@media screen {
  .one + .one {
    margin-top: 16mm;
  }
}
</style>
