<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { BOARD_VIEWS, type BoardViewName } from '~~/core/lesson'
import { boardViewFor, numbersAreShown } from '~~/core/secondLook'
import { BOARD_WORDS } from '~~/core/wording'

/** The lesson on the projector: one message at a time. It turns to the view that fits by itself, until the teacher chooses one. */
const route = useRoute()
const { plan, record, board, code, connected, missing, addPrediction, show } = useBoard(String(route.params.id))
const { state, coming, byHand } = useTestClock(plan, board)
const dark = useLocalStorage('board-dark', false)
const view = computed<BoardViewName>(() => board.value.view ?? (plan.value ? boardViewFor(plan.value, record.value) : 'question'))
const shown = computed(() => plan.value !== undefined && numbersAreShown(plan.value, record.value.readings, board.value))
const { address } = useClassMode()
useBell(
  state,
  coming,
  computed(() => board.value.sound),
)
useHead({ title: () => `Board · ${plan.value?.title || 'Lesson'}` })

const step = (by: number) =>
  show({ view: BOARD_VIEWS[Math.min(BOARD_VIEWS.length - 1, Math.max(0, BOARD_VIEWS.indexOf(view.value) + by))]! })
const turnClock = () => show(clockTurned(board.value))
const turnNumbers = () => show({ results: board.value.results === 'live' ? 'quiet' : 'live' })
const turnSound = () => show({ sound: !board.value.sound })
useKeys({
  ArrowRight: () => void step(1),
  ArrowLeft: () => void step(-1),
  d: () => (dark.value = !dark.value),
  Escape: () => void show({ view: null }),
  s: () => void turnClock(),
  q: () => void turnNumbers(),
  m: () => void turnSound(),
})
</script>

<template>
  <div class="board" :class="{ projector: dark }">
    <p v-if="missing" class="message">This lesson is not here. Close this window and open the board from the desk.</p>
    <p v-else-if="!plan" class="message">Opening …</p>
    <template v-else>
      <header>
        <h1 v-if="view === 'wonder'">What do we see? What do we wonder?</h1>
        <QuestionLine v-else as="h1" :plan="plan" />
      </header>
      <main>
        <BoardJoin v-if="view === 'join'" :code="code" />
        <BoardWonder v-else-if="view === 'wonder'" :plan="plan" :record="record" :lesson="String(route.params.id)" />
        <BoardQuestion v-else-if="view === 'question'" :plan="plan" />
        <BoardPredict v-else-if="view === 'predict'" :plan="plan" :record="record" @count="addPrediction" />
        <BoardTest
          v-else-if="view === 'test'"
          :plan="plan"
          :record="record"
          :clock="state"
          :by-hand="byHand"
          :coming="coming"
          :shown="shown"
          @turn-clock="turnClock"
        />
        <BoardResults
          v-else-if="view === 'results'"
          :plan="plan"
          :record="record"
          :dark="dark"
          :shown="shown"
          @show="turnNumbers"
        />
        <BoardAgree v-else :plan="plan" :record="record" :board="board" />
      </main>
      <footer>
        <nav aria-label="Views of the board">
          <button
            v-for="one in BOARD_VIEWS"
            :key="one"
            type="button"
            :aria-current="one === view ? 'page' : undefined"
            :aria-label="BOARD_WORDS[one]"
            :title="BOARD_WORDS[one]"
            @click="show({ view: one })"
          >
            <i :class="{ here: one === view }" />
          </button>
          <button
            type="button"
            :aria-label="board.results === 'live' ? 'Hide numbers until all are done' : 'Show numbers as they come'"
            :title="`${board.results === 'live' ? 'Numbers are shown as they come' : 'Numbers are hidden until all are done'} (q)`"
            @click="turnNumbers"
          >
            <svg viewBox="0 0 24 24" width="28" height="28" aria-hidden="true" fill="none" stroke="currentColor" stroke-width="2">
              <path d="M2 12c4-7 16-7 20 0-4 7-16 7-20 0z" />
              <circle cx="12" cy="12" r="3" />
              <path v-if="board.results === 'quiet'" d="M4 21L20 3" />
            </svg>
          </button>
          <button
            type="button"
            :aria-label="board.sound ? 'Sound off' : 'Sound on'"
            :title="`Sound is ${board.sound ? 'on' : 'off'} (m)`"
            @click="turnSound"
          >
            <svg viewBox="0 0 24 24" width="28" height="28" aria-hidden="true" fill="none" stroke="currentColor" stroke-width="2">
              <path d="M5 17h14l-2-3v-4a5 5 0 0 0-10 0v4zM10 20a2 2 0 0 0 4 0" />
              <path v-if="!board.sound" d="M3 21L21 3" />
            </svg>
          </button>
          <button
            type="button"
            class="mode"
            :aria-label="dark ? 'Light board' : 'Dark board'"
            :title="`${dark ? 'Light' : 'Dark'} board (d)`"
            @click="dark = !dark"
          >
            <svg viewBox="0 0 24 24" width="26" height="26" aria-hidden="true">
              <circle cx="12" cy="12" r="9" fill="none" stroke="currentColor" stroke-width="2" />
              <path d="M12 3a9 9 0 0 1 0 18z" fill="currentColor" />
            </svg>
          </button>
        </nav>
        <p v-if="connected" class="join">
          join at
          <span class="nowrap">{{ address }}/station</span>
          with
          <strong class="nowrap">{{ code }}</strong>
        </p>
        <p v-else class="join down">
          <span aria-hidden="true">▲</span>
          the line is down, numbers may be old
        </p>
      </footer>
    </template>
  </div>
</template>

<style scoped>
.board {
  display: flex;
  flex-direction: column;
  height: 100vh;
  padding: 30px 44px 16px;
  background: var(--paper);
  color: var(--ink);
  font-family: var(--heading);
  font-size: 30px;
}
header h1 {
  font-size: clamp(34px, 3.1vw, 60px);
}
main {
  flex: 1;
  min-height: 0;
  padding: 16px 0;
}
footer {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 20px;
  padding-top: 10px;
  border-top: 2px solid var(--ink);
}
.join {
  font-size: 28px;
}
.join strong {
  letter-spacing: 3px;
}
.down {
  color: var(--beet);
}
nav {
  display: flex;
}
nav button {
  display: grid;
  place-items: center;
  width: 40px;
  height: 44px;
  border: 0;
  background: none;
  color: var(--ink);
  cursor: pointer;
}
nav i {
  width: 20px;
  height: 20px;
  border: 2px solid var(--ink);
  border-radius: 50%;
}
nav .here {
  background: var(--green);
}
.message {
  margin: auto;
}
</style>
