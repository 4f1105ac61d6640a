<script setup lang="ts">
import { fitOf, fitsInTime, testEndsOf } from '~~/core/clock'
import { BOUNDS, type Clock, type Phase } from '~~/core/lesson'
import { isReadByClock } from '~~/core/test'
import { lessonPace } from '~~/core/record'
import { fitVerdict, paceWords, reallyTookWords, testEndWords } from '~~/core/wording'
import ArrangementPanel from '~/components/clock/ArrangementPanel.vue'
import JobsPanel from '~/components/clock/JobsPanel.vue'
import MendsPanel from '~/components/clock/MendsPanel.vue'
import OverDaysPanel from '~/components/clock/OverDaysPanel.vue'
import PhasePanel from '~/components/clock/PhasePanel.vue'
import ReadingsPanel from '~/components/clock/ReadingsPanel.vue'
import TimeBar from '~/components/clock/TimeBar.vue'
import PrintMenu from '~/components/pieces/PrintMenu.vue'
import NumberField from '~/forms/NumberField.vue'
import WhenField from '~/forms/WhenField.vue'
import { callServer, messageOf } from '~/following/callServer'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** Does it fit: the phases on one bar, with the bell, and the sum behind the test. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const fit = computed(() => fitOf(plan.value))
const ends = computed(() => testEndsOf(plan.value))
const tight = computed(() => !fitsInTime(plan.value))
const phase = ref<Phase>('test')

const resize = (phase: Exclude<Phase, 'test'>, minutes: number) =>
  lesson.edit((draft) => (draft.clock.phases[phase] = minutes), `phase-${phase}`)
const notices = useNotices()
const took = computed(() => lessonPace(plan.value, lesson.record))
onMounted(() => lesson.lookAround())

/** What the class's lessons told so far is not used any more, here and in its next plans. */
async function forget(): Promise<void> {
  const body = { className: plan.value.className, forget: true }
  await callServer('PUT /api/class-pace', { body })
    .then(() => set('pace', null))
    .catch((error: unknown) => notices.trouble(messageOf(error)))
}

function set<Part extends keyof Clock>(part: Part, value: Clock[Part]): void {
  lesson.edit((draft) => (draft.clock[part] = value))
}
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Clock</h2>
      <p class="soft">Does it fit before the bell?</p>
      <div class="ml-auto self-center"><PrintMenu :names="['rota', 'jobs']" /></div>
    </div>
    <p class="verdict mb-wide text-green font-heading text-huge font-bold" :class="{ over: tight }">
      <span v-if="tight" aria-hidden="true">▲</span>
      {{ fitVerdict(fit, ends) }}
      <span v-if="ends" class="text-ink text-lead font-normal">{{ testEndWords(plan, ends) }}</span>
    </p>
    <p v-if="plan.clock.pace" class="mb-wide flex flex-wrap gap-x-block">
      {{ paceWords(plan) }}
      <LinkBtn @click="set('pace', null)">Plan as for any class</LinkBtn>
      <LinkBtn @click="forget">Forget it for {{ plan.className }}</LinkBtn>
    </p>
    <p v-if="took" class="mb-wide">{{ reallyTookWords(plan, took) }}</p>
    <TimeBar v-model="phase" data-target="time-bar" :fit="fit" :ends="ends" @resize="resize" />
    <PhasePanel v-model="phase" :fit="fit" />
    <MendsPanel />
    <section class="section sheet when flex flex-wrap gap-block">
      <WhenField
        is="day"
        label="Day"
        target="date"
        :model-value="plan.date"
        @update:model-value="lesson.edit((draft) => (draft.date = $event))"
      />
      <WhenField is="time" label="Starts at" :model-value="plan.clock.start" @update:model-value="set('start', $event)" />
      <NumberField
        steps
        label="Minutes until the bell"
        :model-value="plan.clock.minutes"
        v-bind="BOUNDS.lessonMinutes"
        whole
        @update:model-value="set('minutes', $event ?? 60)"
      />
    </section>
    <ArrangementPanel />
    <ReadingsPanel v-if="isReadByClock(plan)" />
    <OverDaysPanel />
    <JobsPanel />
  </div>
</template>

<style scoped>
.verdict.over {
  color: var(--beet);
}
.when .field {
  width: 170px;
}
</style>
