<script setup lang="ts">
import { hasBegun } from '~~/core/record'
import { askedAtOnce, mainPlace } from '~~/core/test'
import { mainQuestionChoices, mainQuestionMeaning } from '~~/core/wording'
import PickOne from '~/forms/PickOne.vue'
import { serverNow } from '~/following/serverClock'
import { useLesson } from '~/stores/lesson'

/** Which of several questions at once is the main one; it can be named until something that counts is read. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const options = computed(() => mainQuestionChoices(plan.value))
const read = computed(() => hasBegun(lesson.record.readings))
function choose(place: number | undefined): void {
  const one = askedAtOnce(plan.value)[(place ?? 0) - 1]
  const at = new Date(serverNow()).toISOString()
  lesson.edit((draft) => (draft.mainQuestion = one ? { measure: one.measure, series: one.series, at } : null))
}
</script>

<template>
  <div class="mt-14px">
    <div class="row gap-y-close gap-x-block">
      <span aria-hidden="true">Main question</span>
      <PickOne
        label="Main question"
        target="main-question"
        :disabled="read"
        :model-value="mainPlace(plan)"
        :options="options"
        @update:model-value="choose"
      />
    </div>
    <p class="hint">{{ mainQuestionMeaning(plan, read) }}</p>
  </div>
</template>
