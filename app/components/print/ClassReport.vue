<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import type { LessonRecord } from '~~/core/lesson'
import { classReport } from '~~/core/wording/reports'
import ReportSheet from '~/components/print/ReportSheet.vue'

/** One page: question, prediction, method, results, graph, conclusion, next. */
const plan = useLessonPlan()
defineProps<{ record: LessonRecord }>()
</script>

<template>
  <ReportSheet :report="classReport(plan, record)" :plan="plan" :record="record" />
</template>
