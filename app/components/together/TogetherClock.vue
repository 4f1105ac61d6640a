<script setup lang="ts">
import { BOUNDS } from '~~/core/lesson'
import { fitTogether, stepsByGroup, waitingOf, WAITINGS, type Member, type Together, type TogetherChange } from '~~/core/together'
import { boundWords, fitTogetherWords, stopwatchWords } from '~~/core/wording'

/** One clock for all: the waiting of one investigation is used for the trials of another, group by group. */
const props = defineProps<{ members: Member[]; together: Together }>()
defineEmits<{ change: [change: TogetherChange] }>()
const { timetable, timed } = useInterleaving(toRef(props, 'members'), toRef(props, 'together'))
const fit = computed(() => timetable.value && timed.value && fitTogether(timetable.value, timed.value.of, props.together.minutes))
const rows = computed(() =>
  timetable.value && timed.value ? stepsByGroup(timetable.value, timed.value.of, timed.value.groups) : [],
)
const chosen = ref('')
const group = computed(() => rows.value.find((row) => row.group === chosen.value) ?? rows.value[0])
const WAITING_NAMES = { free: 'hands are free while it runs', watched: 'somebody watches all the time' }
const titleOf = (lesson: string) => props.members.find((one) => one.lesson === lesson)?.plan.title || 'Lesson without a name'
const late = computed(() => Object.entries(fit.value?.late ?? {}).map(([lesson, count]) => `${titleOf(lesson)}: ${count}`))
</script>

<template>
  <section aria-label="Clock">
    <div class="row items-end">
      <NumberField
        label="Minutes for testing"
        :model-value="together.minutes"
        v-bind="BOUNDS.lessonMinutes"
        @update:model-value="$emit('change', { minutes: $event ?? 1 })"
      />
      <ChoiceField
        v-for="{ lesson, plan } in members"
        :key="lesson"
        :label="plan.title || 'Lesson without a name'"
        :model-value="waitingOf(plan, together.waiting[lesson])"
        :options="WAITINGS.map((value) => ({ value, title: WAITING_NAMES[value] }))"
        @update:model-value="$emit('change', { waiting: { ...together.waiting, [lesson]: $event } })"
      />
    </div>
    <p v-if="!timetable" class="soft mt-wide" role="status">
      {{
        timed && timed.ask.trials.length > 0
          ? 'Looking for the best timetable …'
          : 'No trials yet: say in each lesson what is compared.'
      }}
    </p>
    <template v-else-if="fit">
      <p class="large mt-wide" :class="{ 'text-beet': !fit.fits }" role="status">
        <span v-if="!fit.fits" aria-hidden="true">▲ </span>{{ fitTogetherWords(fit) }}
      </p>
      <p v-if="late.length > 0">Not in time: {{ late.join('; ') }}.</p>
      <p class="hint">{{ boundWords(timetable) }} In half minutes, so that people can keep to it.</p>
      <TogetherTimeline :rows="rows" :members="members" :there="fit.there" :finish="timetable.finish" class="mt-wide" />
      <ChoiceField
        v-if="rows.length > 1"
        inline
        class="mt-wide"
        label="Trial by trial for"
        :model-value="group?.group ?? ''"
        :options="rows.map((row) => ({ value: row.group, title: row.group }))"
        @update:model-value="chosen = $event"
      />
      <TogetherSteps v-if="group" :steps="group.steps" :members="members" />
      <p class="soft">The last trial ends {{ stopwatchWords(timetable.finish) }} after testing began.</p>
    </template>
  </section>
</template>
