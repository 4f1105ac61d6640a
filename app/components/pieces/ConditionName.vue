<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { letterOf } from '~~/core/lesson'
import { nameOfCondition } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'

/** A condition as it is known everywhere: its letter on its colour and hatch, and its name. */
const plan = useLessonPlan()
defineProps<{ id: string; size?: number }>()
</script>

<template>
  <span class="inline-flex items-center gap-near break-anywhere">
    <ConditionBadge
      :size="size ?? 24"
      :letter="letterOf(plan, id)"
      :place="plan.conditions.findIndex((condition) => condition.id === id)"
    />
    <span>{{ nameOfCondition(plan, id) }}</span>
  </span>
</template>
