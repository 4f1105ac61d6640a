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
      <h3 id="watch">Read it</h3>
      <label class="field times">
        <span class="sr-only">Times of reading</span>
        <input
          class="box"
          data-target="times"
          :value="written"
          placeholder="0, 1, 2, 5"
          aria-label="Times of reading"
          :aria-invalid="trouble ? true : undefined"
          @change="writeTimes(($event.target as HTMLInputElement).value)"
        />
      </label>
      <select
        class="box unit"
        aria-label="Unit of the times"
        :value="plan.watch.unit"
        @change="lesson.edit((draft) => (draft.watch.unit = ($event.target as HTMLSelectElement).value as 'min' | 'day'))"
      >
        <option value="min">minutes after the start</option>
        <option value="day">days after the start</option>
      </select>
      <label class="field places">
        <span class="sr-only">Places in each</span>
        <input
          class="box"
          :value="plan.watch.places.join(', ')"
          placeholder="places in each: top, middle, bottom"
          aria-label="Places in each"
          @change="lesson.edit((draft) => (draft.watch.places = readNames(($event.target as HTMLInputElement).value, MOST_PLACES)))"
        />
      </label>
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
h3 {
  font-size: 17px;
}
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
