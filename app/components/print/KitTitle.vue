<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { dayWords } from '~~/core/wording'

/** Heads a list of the kit: what it is, for which lesson and day. */
const plan = useLessonPlan()
defineProps<{ what: string }>()
</script>

<template>
  <header>
    <h1 class="text-20pt">{{ what }}</h1>
    <p>
      {{ plan.title || 'Lesson' }}, class {{ plan.className }}{{ plan.date ? `, ${dayWords(plan.date)}` : ''
      }}{{ plan.clock.start ? `, ${plan.clock.start}` : '' }}
    </p>
  </header>
</template>

<style scoped>
header {
  margin-bottom: 4mm;
  border-bottom: 2px solid #000;
}
</style>
