<script setup lang="ts">
import type { Plan } from '~~/core/lesson'
import { provideLessonPlan } from '~/composables/lessonPlan'

/** What lies in it is about this plan: one of several measures or series. */
const props = defineProps<{ plan: Plan }>()
provideLessonPlan(() => props.plan)
</script>

<template>
  <slot />
</template>
