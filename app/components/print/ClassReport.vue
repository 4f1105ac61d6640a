<script setup lang="ts">
import type { LessonRecord, Plan } from '~~/core/lesson'
import { classReport } from '~~/core/wording/reports'
import ReportSheet from '~/components/print/ReportSheet.vue'

/** One page: question, prediction, method, results, graph, conclusion, next. */
defineProps<{ plan: Plan; record: LessonRecord }>()
</script>

<template>
  <ReportSheet :report="classReport(plan, record)" :plan="plan" :record="record" />
</template>
