<script setup lang="ts">
import type { Things } from '~~/core/lesson'
import { thingsAnswered, thingsChoices, thingsMeaning } from '~~/core/wording'
import PickOne from '~/forms/PickOne.vue'
import { useLesson } from '~/stores/lesson'

/** Fresh or the same: one question in one line, with what the answer means. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const options = computed(() => thingsChoices(plan.value))
function choose(things: Things | undefined): void {
  if (things) lesson.edit((draft) => (draft.things = things))
}
</script>

<template>
  <div class="things mt-14px">
    <div class="row gap-y-close gap-x-block">
      <span aria-hidden="true">Each trial takes</span>
      <PickOne
        label="What each trial takes"
        target="things"
        :model-value="thingsAnswered(plan)"
        :options="options"
        @update:model-value="choose"
      >
        <template #default="{ option }">
          {{ option.title }} <span class="soft">({{ options.find(({ value }) => value === option.value)?.example }})</span>
        </template>
      </PickOne>
    </div>
    <p class="hint">{{ thingsMeaning(plan) }}</p>
  </div>
</template>
