<script setup lang="ts">
import type { LessonRecord, Plan } from '~~/core/lesson'
import { teacherNotes } from '~~/core/wording/reports'
import ReportSheet from '~/components/print/ReportSheet.vue'

/** For the teacher alone: strengths and next steps of each group, the words used, the skills practised. */
defineProps<{ plan: Plan; record: LessonRecord }>()
</script>

<template>
  <ReportSheet :report="teacherNotes(plan, record)" :plan="plan" :record="record" />
</template>
