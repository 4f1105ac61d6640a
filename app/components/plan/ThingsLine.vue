<script setup lang="ts">
import { THINGS, type Things } from '~~/core/lesson'
import { THINGS_WORDS, thingsMeaning } from '~~/core/wording'

/** Fresh or the same: one question in one line, with what the answer means. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
function choose(things: Things): void {
  lesson.edit((draft) => (draft.things = things))
}
</script>

<template>
  <div class="things">
    <div class="row" role="radiogroup" aria-label="What each trial takes">
      <span>Each trial takes</span>
      <label v-for="one in THINGS" :key="one" class="one">
        <input type="radio" name="things" :value="one" :checked="plan.things === one" data-target="things" @change="choose(one)" />
        <span
          >{{ THINGS_WORDS[one].name }} <span class="soft">({{ THINGS_WORDS[one].example }})</span></span
        >
      </label>
    </div>
    <p class="hint">{{ thingsMeaning(plan) }}</p>
  </div>
</template>

<style scoped>
.things {
  margin-top: 14px;
}
.row {
  gap: 6px 18px;
}
.one {
  display: inline-flex;
  gap: 6px;
  align-items: baseline;
}
</style>
