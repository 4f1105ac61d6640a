<script setup lang="ts">
import { momentsOf, MOST_PLACES, readNames, readTimes } from '~~/core/lesson'
import { counted, momentWords } from '~~/core/wording'

/** When each jar is read, and at which places in it. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const written = computed(() => plan.value.watch.times.join(', '))
const trouble = ref('')

function writeTimes(text: string): void {
  const read = readTimes(text)
  trouble.value = read ? '' : 'Write numbers with commas between them, such as 0, 1, 2, 5.'
  if (read) lesson.edit((draft) => (draft.watch.times = read))
}
</script>

<template>
  <section class="section" aria-labelledby="watch">
    <div class="row">
      <h3 class="text-lead" id="watch">Read it</h3>
      <TextField
        bare
        label="Times of reading"
        class="times"
        lazy
        target="times"
        :model-value="written"
        placeholder="for example 0, 1, 2, 5"
        :aria-invalid="trouble ? true : undefined"
        @update:model-value="writeTimes($event)"
      />
      <ChoiceField
        bare
        label="Unit of the times"
        class="unit"
        :model-value="plan.watch.unit"
        @update:model-value="lesson.edit((draft) => (draft.watch.unit = $event))"
        :options="[
          { value: 'min', title: 'minutes after the start' },
          { value: 'day', title: 'days after the start' },
        ]"
      />
      <TextField
        bare
        label="Places in each"
        class="places"
        lazy
        :model-value="plan.watch.places.join(', ')"
        placeholder="for example top, middle, bottom"
        @update:model-value="lesson.edit((draft) => (draft.watch.places = readNames($event, MOST_PLACES)))"
      />
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p v-else class="hint">
      {{ counted(momentsOf(plan).length, 'reading') }} of each:
      {{
        momentsOf(plan)
          .map(({ id }) => momentWords(plan, id))
          .join('; ')
      }}
    </p>
  </section>
</template>

<style scoped>
.times {
  width: 170px;
}
.unit {
  width: 200px;
}
.places {
  flex: 1;
}
</style>
