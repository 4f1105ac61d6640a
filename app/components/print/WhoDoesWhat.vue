<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { isReadByClock } from '~~/core/test'
import { arrangementOf, secondsOfBatch, turnsGoingRound } from '~~/core/arrangement'
import { fitOf, scarcest, testStartOf, timeAt } from '~~/core/clock'
import { ARRANGEMENT_WORDS, endWords, minuteWords, nameOfGroup, PHASE_NAMES, question, stopwatchWords } from '~~/core/wording'
import ArrangementTable from '~/components/clock/ArrangementTable.vue'
import ReadingTable from '~/components/clock/ReadingTable.vue'
import KitTitle from '~/components/print/KitTitle.vue'

/** The lesson by the clock, who does which condition when, and when shared things and jars come round. */
const plan = useLessonPlan()
const fit = computed(() => fitOf(plan.value))
const phases = computed(() => fit.value.phases.filter(({ minutes }) => minutes > 0))
const testStart = computed(() => testStartOf(fit.value))
const way = computed(() => arrangementOf(plan.value))
const jars = computed(() => isReadByClock(plan.value))
const shared = computed(() => scarcest(plan.value))
const SHOWN_TRIALS = 4
/** Who has a shared thing in the first trials; it goes on in the same rhythm. */
const round = computed(() => {
  const { trial, sideBySide } = plan.value.clock
  if (!shared.value || shared.value.hold === 0 || !fit.value.oneAfterTheOther) return []
  const { copies, hold, after } = shared.value
  return turnsGoingRound({
    groups: plan.value.groups.length,
    instruments: copies,
    trials: Math.min(SHOWN_TRIALS, fit.value.trials),
    trial: secondsOfBatch(trial, Math.max(1, sideBySide)),
    hold,
    after,
  })
})
const thing = computed(() => plan.value.materials.find(({ id }) => id === shared.value?.material)?.name ?? '')
const clockOf = (seconds: number) => {
  const at = timeAt(plan.value.clock.start, testStart.value + Math.floor(seconds / 60))
  return at ? `${at}:${stopwatchWords(seconds % 60).slice(-2)}` : stopwatchWords(seconds)
}
</script>

<template>
  <div>
    <KitTitle what="Who does what, and when" />
    <p class="question mb-3mm text-13pt font-bold">{{ question(plan) }}</p>
    <table class="ruled w-90mm font-heading">
      <tbody>
        <tr v-for="{ phase, start, minutes } in phases" :key="phase">
          <td>{{ timeAt(plan.clock.start, start) ?? `minute ${start}` }}</td>
          <td>
            <strong>{{ PHASE_NAMES[phase] }}</strong>
          </td>
          <td class="figure">{{ minuteWords(minutes) }}</td>
        </tr>
      </tbody>
    </table>
    <p>{{ endWords(plan, fit) }}</p>
    <section class="keep-together">
      <h2 class="mx-0 mt-5mm mb-1mm text-14pt">{{ ARRANGEMENT_WORDS[way].name }}</h2>
      <ArrangementTable :test-start="testStart" />
    </section>
    <section v-if="jars" class="keep-together">
      <h2 class="mx-0 mt-5mm mb-1mm text-14pt">Reading timetable</h2>
      <ReadingTable :test-start="testStart" />
    </section>
    <section v-if="round.length > 0" class="keep-together">
      <h2 class="mx-0 mt-5mm mb-1mm text-14pt">Who has {{ thing }} when</h2>
      <table class="ruled font-heading">
        <thead>
          <tr>
            <th>From</th>
            <th>to</th>
            <th>Group</th>
            <th>Which one</th>
            <th>Trial</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(turn, place) in round" :key="place">
            <td>{{ clockOf(turn.start) }}</td>
            <td>{{ clockOf(turn.end) }}</td>
            <td>{{ nameOfGroup(plan, plan.groups[turn.group]!.id) }}</td>
            <td>no. {{ turn.instrument + 1 }}</td>
            <td>{{ turn.trial + 1 }}</td>
          </tr>
        </tbody>
      </table>
      <p>It goes on in the same rhythm.</p>
    </section>
  </div>
</template>

<style scoped>
.ruled td,
.ruled th {
  padding: 0.8mm 2mm;
  color: #000;
}
</style>
