<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import type { LessonRecord } from '~~/core/lesson'
import { teacherNotes } from '~~/core/wording/reports'
import ReportSheet from '~/components/print/ReportSheet.vue'

/** For the teacher alone: strengths and next steps of each group, the words used, the skills practised. */
const plan = useLessonPlan()
defineProps<{ record: LessonRecord }>()
</script>

<template>
  <ReportSheet :report="teacherNotes(plan, record)" :plan="plan" :record="record" />
</template>
