<script setup lang="ts">
import { BOUNDS } from '~~/core/lesson'
import { circuitTogether, waitingOf, WAITINGS, type Member, type Together, type TogetherChange } from '~~/core/together'
import {
  boundWords,
  circuitTogetherWords,
  fitTogetherWords,
  lateWords,
  stopwatchWords,
  WAITING_WORDS,
  lessonName,
} from '~~/core/wording'
import TogetherSteps from '~/components/together/TogetherSteps.vue'
import TogetherTimeline from '~/components/together/TogetherTimeline.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import { useInterleaving } from '~/composables/interleaving'

/** One clock for all: the waiting of one investigation is used for the trials of another, group by group; where all go round, their rounds. */
const props = defineProps<{ members: Member[]; together: Together }>()
defineEmits<{ change: [change: TogetherChange] }>()
const { timetable, fit, rows, looking } = useInterleaving(toRef(props, 'members'), toRef(props, 'together'))
const rounds = computed(() => (props.together.way === 'circuit' ? circuitTogether(props.members, props.together) : undefined))
const chosen = ref('')
const group = computed(() => rows.value.find((row) => row.group === chosen.value) ?? rows.value[0])
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
        :label="lessonName(plan.title)"
        :model-value="waitingOf(plan, together.waiting[lesson])"
        :options="WAITINGS.map((value) => ({ value, title: WAITING_WORDS[value] }))"
        @update:model-value="$emit('change', { waiting: { ...together.waiting, [lesson]: $event } })"
      />
    </div>
    <p v-if="rounds" class="large mt-wide" :class="{ 'text-beet': !rounds.fits }">
      <span v-if="!rounds.fits" aria-hidden="true">▲ </span>{{ circuitTogetherWords(rounds, together.minutes) }}
    </p>
    <p v-if="!timetable" class="soft mt-wide" role="status">
      {{ looking ? 'Looking for the best timetable …' : 'No trials yet: say in each lesson what is compared.' }}
    </p>
    <template v-else-if="fit">
      <h2 v-if="rounds" class="mt-wide text-lead">If every group moves on as soon as it is ready, the way there not counted</h2>
      <p class="large mt-wide" :class="{ 'text-beet': !fit.fits }" role="status">
        <span v-if="!fit.fits" aria-hidden="true">▲ </span>{{ fitTogetherWords(fit) }}
      </p>
      <p>{{ lateWords(members, fit) }}</p>
      <p class="hint">{{ boundWords(timetable) }}</p>
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
