<script setup lang="ts">
import { THINGS, type Things } from '~~/core/lesson'
import { THINGS_WORDS, thingsMeaning } from '~~/core/wording'
import PickOne from '~/forms/PickOne.vue'
import { useLesson } from '~/stores/lesson'

/** Fresh or the same: one question in one line, with what the answer means. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
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
        :model-value="plan.things"
        :options="THINGS.map((one) => ({ value: one, title: THINGS_WORDS[one].name }))"
        @update:model-value="choose"
      >
        <template #default="{ option }">
          {{ option.title }} <span class="soft">({{ THINGS_WORDS[option.value].example }})</span>
        </template>
      </PickOne>
    </div>
    <p class="hint">{{ thingsMeaning(plan) }}</p>
  </div>
</template>
