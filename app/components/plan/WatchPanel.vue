<script setup lang="ts">
import { LONGEST, type NamedMoment } from '~~/core/lesson'
import {
  hasNamedMoments,
  momentsOf,
  MOST_NAMED,
  MOST_PLACES,
  readNames,
  readTimes,
  withNamedMoment,
  withNamedMoments,
} from '~~/core/test'
import { counted, momentWords } from '~~/core/wording'
import ChoiceField from '~/forms/ChoiceField.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import TextField from '~/forms/TextField.vue'
import TickField from '~/forms/TickField.vue'
import { useLesson } from '~/stores/lesson'

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
const named = computed(() => hasNamedMoments(plan.value))
type When = 'min' | 'day' | 'named'
const when = computed<When>(() => (named.value ? 'named' : plan.value.watch.unit))
const FIRST = ['dry', 'wet', 'dry again']

function choose(to: When): void {
  if (to === 'named')
    return lesson.replace(FIRST.reduce((grown, name) => withNamedMoment(grown, name), withNamedMoments(plan.value, [])))
  const times = named.value ? withNamedMoments(plan.value, []) : plan.value
  lesson.replace({ ...times, watch: { ...times.watch, unit: to } })
}
const rewrite = (id: string, change: Partial<NamedMoment>) =>
  lesson.replace(
    withNamedMoments(
      plan.value,
      plan.value.watch.named.map((one) => (one.id === id ? { ...one, ...change } : one)),
    ),
    `moment-${id}`,
  )
const without = (id: string) =>
  lesson.replace(
    withNamedMoments(
      plan.value,
      plan.value.watch.named.filter((one) => one.id !== id),
    ),
  )
</script>

<template>
  <section class="section" aria-labelledby="watch">
    <div class="row">
      <h3 class="text-lead" id="watch">Read it</h3>
      <TextField
        v-if="!named"
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
        :model-value="when"
        @update:model-value="choose($event)"
        :options="[
          { value: 'min', title: 'minutes after the start' },
          { value: 'day', title: 'days after the start' },
          { value: 'named', title: 'at moments with names' },
        ]"
      />
      <TextField
        v-if="!named"
        bare
        label="Places in each"
        class="places"
        lazy
        :model-value="plan.watch.places.join(', ')"
        placeholder="for example top, middle, bottom"
        @update:model-value="lesson.edit((draft) => (draft.watch.places = readNames($event, MOST_PLACES)))"
      />
    </div>
    <ol v-if="named" class="moments">
      <li v-for="(one, place) in plan.watch.named" :key="one.id" class="row">
        <span aria-hidden="true">{{ place + 1 }}</span>
        <TextField
          bare
          class="times"
          :label="`Moment ${place + 1}`"
          :model-value="one.name"
          :longest="LONGEST.name"
          @update:model-value="rewrite(one.id, { name: $event })"
        />
        <TickField label="at home" :model-value="one.atHome" @update:model-value="rewrite(one.id, { atHome: $event })" />
        <QuietBtn
          v-if="plan.watch.named.length > 2"
          size="small"
          :aria-label="`Take away moment ${place + 1}`"
          @click="without(one.id)"
        >
          ✕
        </QuietBtn>
      </li>
      <li v-if="plan.watch.named.length < MOST_NAMED">
        <QuickAdd
          label="Add a moment"
          placeholder="+ another moment"
          class="times"
          :longest="LONGEST.name"
          @add="lesson.replace(withNamedMoment(plan, $event))"
        />
      </li>
    </ol>
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
.moments {
  display: grid;
  gap: var(--gap-close);
  margin: 8px 0;
}
.unit {
  width: 200px;
}
.places {
  flex: 1;
}
</style>
