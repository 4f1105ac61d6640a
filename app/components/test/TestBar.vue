<script setup lang="ts">
import { BOARD_VIEWS, isEachChild } from '~~/core/lesson'
import { brokenNow } from '~~/core/record'
import {
  BOARD_WORDS,
  brokenWords,
  clockResetWords,
  clockTurnWords,
  comingWords,
  counted,
  pausedWords,
  PHASE_NAMES,
  soonWords,
  stopwatchWords,
} from '~~/core/wording'
import ClassModeDialog from '~/components/test/ClassModeDialog.vue'
import StationsDialog from '~/components/test/StationsDialog.vue'
import UnderWayPanel from '~/components/test/UnderWayPanel.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import TickField from '~/forms/TickField.vue'
import { useClassMode } from '~/composables/classMode'
import { useJoinedStations } from '~/composables/joinedStations'
import { useKeys } from '~/composables/keys'
import { clockStarted, clockTurned, useTestClock } from '~/composables/testClock'
import { useUnderWay } from '~/composables/underWay'
import { useLesson } from '~/stores/lesson'
import { useDeskBoard } from '~/stores/deskBoard'

/** The lesson in hand from the desk: the clock, what the board shows, who has joined. */
const lesson = useLesson()
const onBoard = useDeskBoard()
const plan = computed(() => lesson.plan)
const board = computed(() => onBoard.state)
const { now, state, coming, byHand } = useTestClock(plan, board)
const record = computed(() => lesson.record)
/** A group that cannot go on without another thing. */
const broken = computed(() => (plan.value ? brokenNow(plan.value, record.value) : []))
const { clock, forecast } = useUnderWay(plan, { record, board, state, now })
const { mode, look, address } = useClassMode()
const stations = useJoinedStations()
const dialog = ref<'class-mode' | 'stations'>()
const opened = (name: 'class-mode' | 'stations') =>
  computed({ get: () => dialog.value === name, set: (open) => (dialog.value = open ? name : undefined) })
const classModeOpen = opened('class-mode')
const stationsOpen = opened('stations')
const there = computed(() => stations.value.filter(({ present }) => present).length)
const turnClock = () => void onBoard.show(clockTurned(onBoard.state, state.value))
const paused = computed(() => pausedWords(state.value))
useKeys({
  t: turnClock,
  q: () => void onBoard.show({ results: onBoard.state.results === 'live' ? 'quiet' : 'live' }),
})
</script>

<template>
  <section class="bar" aria-label="The lesson in hand">
    <div class="flex flex-wrap items-center gap-near">
      <span class="label text-soft">{{ PHASE_NAMES[state.phase] }}</span>
      <span class="font-heading text-title font-bold tabular-nums" role="timer">{{ stopwatchWords(state.secondsLeft) }}</span>
      <VBtn size="small" title="t" @click="turnClock">{{ clockTurnWords(state) }}</VBtn>
      <QuietBtn v-if="byHand" size="small" @click="onBoard.show({ clockStarted: null })">{{ clockResetWords(plan!) }}</QuietBtn>
      <QuietBtn v-else-if="state.running && state.phase !== 'test'" size="small" @click="onBoard.show(clockStarted())">
        Start testing now
      </QuietBtn>
      <span v-if="paused" role="status" class="text-brass font-bold">{{ paused }}</span>
    </div>
    <div class="flex flex-wrap items-center gap-near">
      <VBtn size="small" @click="dialog = 'stations'">
        {{ stations.length === 0 ? 'Stations' : `${there} of ${counted(stations.length, 'station')} there` }}
      </VBtn>
      <VBtn v-if="mode" size="small" :variant="mode.on ? 'text' : undefined" @click="dialog = 'class-mode'">
        {{ mode.on ? 'Class mode is on' : 'Let tablets join …' }}
      </VBtn>
      <a class="code" :href="`/station?code=${encodeURIComponent(lesson.code)}`" target="_blank">{{ lesson.code }}</a>
    </div>
    <div class="flex flex-wrap items-center gap-near">
      <ChoiceField
        label="The board shows"
        inline
        class="view"
        :model-value="board.view"
        :options="[{ value: null, title: 'what fits' }, ...BOARD_VIEWS.map((view) => ({ value: view, title: BOARD_WORDS[view] }))]"
        @update:model-value="onBoard.show({ view: $event })"
      />
      <TickField
        title="q"
        label="live numbers"
        :model-value="board.results === 'live'"
        @update:model-value="onBoard.show({ results: $event ? 'live' : 'quiet' })"
      />
      <TickField label="sound" :model-value="board.sound" @update:model-value="onBoard.show({ sound: $event })" />
      <QuietBtn v-if="isEachChild(plan!)" size="small" :to="`/print/${lesson.id}/codes`" target="_blank">Code strips</QuietBtn>
      <QuietBtn v-else size="small" :to="`/print/${lesson.id}/record`" target="_blank">Record sheets</QuietBtn>
      <QuietBtn size="small" :to="`/journal/${lesson.id}`" target="_blank">Journal</QuietBtn>
    </div>
    <p v-if="coming.length > 0" class="w-full" role="status">
      Next: {{ comingWords(plan!, coming[0]!) }} <strong>{{ soonWords(coming[0]!.seconds) }}</strong>
    </p>
    <ul v-if="broken.length > 0" class="w-full font-bold text-beet" role="alert">
      <li v-for="one in broken" :key="one.id">{{ brokenWords(plan!, one) }} Bring another.</li>
    </ul>
    <UnderWayPanel v-if="forecast && clock" :forecast="forecast" :clock="clock" />
    <StationsDialog v-model="stationsOpen" :stations="stations" :clock="state" />
    <ClassModeDialog v-if="mode" v-model="classModeOpen" :mode="mode" :code="lesson.code" :address="address" @changed="look" />
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap-near) var(--gap-block);
  margin-bottom: 12px;
  padding: var(--gap-near) var(--gap-wide);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
}
.code {
  color: var(--ink);
  font-family: var(--heading);
  font-weight: 700;
  letter-spacing: 1px;
  white-space: nowrap;
}
</style>
