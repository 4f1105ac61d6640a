<script setup lang="ts">
import { BOARD_VIEWS, type BoardViewName } from '~~/core/lesson'
import { BOARD_WORDS, comingWords, counted, PHASE_NAMES, soonWords, stopwatchWords } from '~~/core/wording'

/** The lesson in hand from the desk: the clock, what the board shows, who has joined. */
const lesson = useLesson()
const plan = computed(() => lesson.plan)
const board = computed(() => lesson.board)
const { state, coming, byHand } = useTestClock(plan, board)
const { mode, look, address } = useClassMode()
const stations = useJoinedStations()
const dialog = ref<'class-mode' | 'stations'>()
const opened = (name: 'class-mode' | 'stations') =>
  computed({ get: () => dialog.value === name, set: (open) => (dialog.value = open ? name : undefined) })
const classModeOpen = opened('class-mode')
const stationsOpen = opened('stations')
const there = computed(() => stations.value.filter(({ present }) => present).length)
const turnClock = () => void lesson.show(clockTurned(lesson.board))
useKeys({
  t: turnClock,
  q: () => void lesson.show({ results: lesson.board.results === 'live' ? 'quiet' : 'live' }),
})
</script>

<template>
  <section class="bar" aria-label="The lesson in hand">
    <div class="part">
      <span class="label">{{ PHASE_NAMES[state.phase] }}</span>
      <span class="time" role="timer">{{ stopwatchWords(state.secondsLeft) }}</span>
      <button type="button" class="button small" title="t" @click="turnClock">{{ byHand ? 'Stop' : 'Start the clock' }}</button>
    </div>
    <div class="part">
      <button type="button" class="button small" @click="dialog = 'stations'">
        {{ stations.length === 0 ? 'Stations' : `${there} of ${counted(stations.length, 'station')} there` }}
      </button>
      <button v-if="mode" type="button" class="button small" :class="{ quiet: mode.on }" @click="dialog = 'class-mode'">
        {{ mode.on ? 'Class mode is on' : 'Let tablets join …' }}
      </button>
      <a class="code" :href="`/station?code=${encodeURIComponent(lesson.code)}`" target="_blank">{{ lesson.code }}</a>
    </div>
    <div class="part">
      <label class="sr-only" for="board-view">The board shows</label>
      <span class="label" aria-hidden="true">Board</span>
      <select
        id="board-view"
        class="box view"
        :value="board.view ?? ''"
        @change="lesson.show({ view: (($event.target as HTMLSelectElement).value || null) as BoardViewName | null })"
      >
        <option value="">what fits</option>
        <option v-for="view in BOARD_VIEWS" :key="view" :value="view">{{ BOARD_WORDS[view] }}</option>
      </select>
      <label class="tick" title="q">
        <input
          type="checkbox"
          :checked="board.results === 'live'"
          @change="lesson.show({ results: ($event.target as HTMLInputElement).checked ? 'live' : 'quiet' })"
        />
        live numbers
      </label>
      <label class="tick">
        <input
          type="checkbox"
          :checked="board.sound"
          @change="lesson.show({ sound: ($event.target as HTMLInputElement).checked })"
        />
        sound
      </label>
      <NuxtLink class="button small quiet" :to="`/print/${lesson.id}/record`" target="_blank">Record sheets</NuxtLink>
      <NuxtLink class="button small quiet" :to="`/journal/${lesson.id}`" target="_blank">Journal</NuxtLink>
    </div>
    <p v-if="coming.length > 0" class="coming" role="status">
      Next: {{ comingWords(plan!, coming[0]!) }} <strong>{{ soonWords(coming[0]!.seconds) }}</strong>
    </p>
    <StationsDialog v-model="stationsOpen" :stations="stations" />
    <ClassModeDialog v-if="mode" v-model="classModeOpen" :mode="mode" :code="lesson.code" :address="address" @changed="look" />
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  margin-bottom: 12px;
  padding: 8px 12px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
}
.part {
  display: flex;
  align-items: center;
  gap: 8px;
}
.label {
  color: var(--soft);
}
.time {
  font-family: var(--heading);
  font-size: 21px;
  font-weight: 700;
  font-variant-numeric: tabular-nums;
}
.view {
  width: auto;
  min-height: 30px;
  padding: 2px 6px;
}
.tick {
  display: inline-flex;
  gap: 5px;
  align-items: center;
  white-space: nowrap;
}
.tick input {
  accent-color: var(--green);
}
.code {
  color: var(--ink);
  font-family: var(--heading);
  font-weight: 700;
  letter-spacing: 1px;
  white-space: nowrap;
}
.coming {
  width: 100%;
}
</style>
