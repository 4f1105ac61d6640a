<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import type { LessonRecord } from '~~/core/lesson'
import { classReport, type OwnQuestions } from '~~/core/wording/reports'
import ReportSheet from '~/components/print/ReportSheet.vue'

/** One page, a second one where each group asks its own: question, prediction, method, results, graph, conclusion, next. */
const plan = useLessonPlan()
defineProps<{ record: LessonRecord; own?: OwnQuestions | undefined }>()
</script>

<template>
  <ReportSheet :report="classReport(plan, record, own)" :plan="plan" :record="record" />
</template>
