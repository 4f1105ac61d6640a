<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { letterOf, type Group, type Reading } from '~~/core/lesson'
import { cellKey, runsDone, type Cell, type Progress } from '~~/core/record'
import { momentWords, nameOfCondition, readingWords, trialAloud, trialNumbers } from '~~/core/wording'
import type { NewReading } from '~~/core/lesson'
import AppFold from '~/components/pieces/AppFold.vue'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import MindLines from '~/components/pieces/MindLines.vue'
import SetUpDrawing from '~/components/pieces/SetUpDrawing.vue'
import ReadAloud from '~/components/station/ReadAloud.vue'
import StationJobs from '~/components/station/StationJobs.vue'

/** Which trial it is, who does what in it, what has to be so before it; the number before it, and the ways to another one. */
const plan = useLessonPlan()
const props = defineProps<{
  trial: Cell
  group: Group
  progress: Progress
  fixing?: NewReading
  last?: Reading
  /** Something is asked: nothing else is offered meanwhile. */
  asking: boolean
}>()
const emit = defineEmits<{ fix: []; back: []; choose: [cell: Cell] }>()
const dots = computed(() =>
  props.progress.cells.filter(({ condition, moment }) => condition === props.trial.condition && moment === props.trial.moment),
)
const open = computed(() => props.progress.cells.filter((cell) => cell.kept.length === 0 && cellKey(cell) !== cellKey(props.trial)))
const nth = computed(() => trialNumbers(plan.value, props.group.id).get(`${props.trial.condition}/${props.trial.repeat}`))
const moment = computed(() => momentWords(plan.value, props.trial.moment))
/** A name that would take three lines of a phone in the largest letters. */
const LONG = 24
const name = computed(() => nameOfCondition(plan.value, props.trial.condition))
</script>

<template>
  <div class="what grid grid-cols-1 gap-near content-start">
    <div class="condition flex items-center gap-wide">
      <ConditionBadge
        :size="58"
        :letter="letterOf(plan, trial.condition)"
        :place="plan.conditions.findIndex(({ id }) => id === trial.condition)"
      />
      <div>
        <h1 class="break-anywhere" :class="name.length > LONG ? 'text-title' : 'text-huge'">{{ name }}</h1>
        <p v-if="moment" class="text-large font-bold">{{ moment }}</p>
        <p v-if="trial.practice" class="practice py-0 px-near rounded bg-brass-light">Practice: it does not count</p>
        <p
          v-else
          class="dots flex flex-wrap items-center gap-y-hair gap-x-near"
          :aria-label="`Trial ${trial.repeat} of ${plan.repeats}`"
        >
          <i
            class="w-18px h-18px edge-1.5-ink rounded-full"
            v-for="cell in dots"
            :key="cell.repeat"
            :class="{ done: cell.kept.length > 0, now: cell.repeat === trial.repeat }"
          />
          <span class="nth nowrap">trial {{ trial.repeat }}</span>
          <span v-if="nth" class="nth">no. {{ nth }} in your order</span>
        </p>
      </div>
    </div>
    <StationJobs v-if="!fixing" :jobs="plan.jobs" :group="group" :done="runsDone(plan, progress)" />
    <ul v-if="!asking" class="reset-list">
      <li v-for="line in plan.resetList" :key="line">
        <span aria-hidden="true">✓</span>
        {{ line }}
      </li>
    </ul>
    <MindLines v-if="!asking" :plan="plan" :conditions="[trial.condition]" />
    <div class="flex flex-wrap gap-near items-center">
      <slot />
      <ReadAloud :text="trialAloud(plan, trial)" />
    </div>
    <p v-if="last && !fixing" class="last text-soft">
      Last: {{ letterOf(plan, last.condition) }}
      <strong class="text-ink text-large nowrap">{{ readingWords(plan, last) }}</strong>{{ last.practice ? ', practice' : ''
      }}{{ last.status === 'set-aside' ? ', set aside' : '' }}
      <LinkBtn @click="emit('fix')">fix it</LinkBtn>
    </p>
    <p v-if="fixing" class="last text-soft">
      Writing {{ readingWords(plan, fixing) }} anew.
      <LinkBtn @click="emit('back')">leave it</LinkBtn>
    </p>
    <AppFold v-if="plan.investigation && !fixing && !asking" title="How it is set up" class="another">
      <SetUpDrawing :investigation="plan.investigation" />
    </AppFold>
    <AppFold title="Do another one" v-if="open.length > 0 && !fixing && !asking" class="another">
      <div class="row">
        <VBtn v-for="cell in open" :key="cellKey(cell)" @click="emit('choose', cell)">
          {{ letterOf(plan, cell.condition) }} {{ cell.repeat }} {{ momentWords(plan, cell.moment) }}
        </VBtn>
      </div>
    </AppFold>
  </div>
</template>

<style scoped>
.dots .done {
  background: var(--green);
}
.dots .now {
  background: var(--brass-light);
  box-shadow: 0 0 0 2px var(--brass-mark);
}
.another {
  color: var(--soft);
}
@media (height < 480px) {
  .condition h1 {
    font-size: var(--type-title);
  }
  .condition {
    align-items: flex-start;
  }
}
@media (width < 600px) {
  .what {
    display: contents;
  }
  .what > .another {
    order: 2;
  }
}
@media (width < 600px) and (height < 900px) {
  .what > * {
    order: 2;
  }
  .what > .condition {
    order: 0;
  }
}
</style>
