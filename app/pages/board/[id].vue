<script setup lang="ts">
import { mdiBellOffOutline, mdiBellOutline, mdiChevronUp, mdiEyeOffOutline, mdiEyeOutline, mdiThemeLightDark } from '@mdi/js'
import { useLocalStorage } from '@vueuse/core'
import { BOARD_VIEWS, firstSeries, isEachChild, type BoardViewName } from '~~/core/lesson'
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
const turnDark = () => (dark.value = !dark.value)
const switches = computed(() => [
  {
    key: 'q',
    title: board.value.results === 'live' ? 'Hide numbers until all are done' : 'Show numbers as they come',
    icon: board.value.results === 'live' ? mdiEyeOffOutline : mdiEyeOutline,
    turn: turnNumbers,
  },
  {
    key: 'm',
    title: board.value.sound ? 'Sound off' : 'Sound on',
    icon: board.value.sound ? mdiBellOffOutline : mdiBellOutline,
    turn: turnSound,
  },
  { key: 'd', title: dark.value ? 'Light board' : 'Dark board', icon: mdiThemeLightDark, turn: turnDark },
])
useKeys({
  ArrowRight: () => void step(1),
  ArrowLeft: () => void step(-1),
  d: turnDark,
  Escape: () => void show({ view: null }),
  s: () => void turnClock(),
  q: () => void turnNumbers(),
  m: () => void turnSound(),
})
</script>

<template>
  <VThemeProvider class="board" with-background :theme="dark ? 'projector' : 'jolly'">
    <p v-if="missing" class="message m-auto">This lesson is not here. Close this window and open the board from the desk.</p>
    <p v-else-if="!plan" class="message m-auto">Opening …</p>
    <template v-else>
      <header>
        <h1 v-if="view === 'wonder'">What do we see? What do we wonder?</h1>
        <QuestionLine v-else as="h1" :plan="plan" />
      </header>
      <main class="flex-1 min-h-0 py-part px-0">
        <BoardJoin v-if="view === 'join'" :code="code" :alone="isEachChild(plan)" />
        <BoardWonder v-else-if="view === 'wonder'" :plan="plan" :record="record" :lesson="String(route.params.id)" />
        <BoardQuestion v-else-if="view === 'question'" :plan="plan" />
        <BoardPredict v-else-if="view === 'predict'" :plan="firstSeries(plan)" :record="record" @count="addPrediction" />
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
        <VMenu location="top start">
          <template #activator="{ props: activator }">
            <VBtn v-bind="activator" class="show" :append-icon="mdiChevronUp">{{ BOARD_WORDS[view] }}</VBtn>
          </template>
          <VList role="menu" aria-label="What the board shows" class="views">
            <VListItem
              role="menuitemradio"
              v-for="one in BOARD_VIEWS"
              :key="one"
              :title="BOARD_WORDS[one]"
              :active="one === view"
              :aria-checked="one === view"
              @click="show({ view: one })"
            />
            <VDivider />
            <VListItem
              role="menuitem"
              v-for="one in switches"
              :key="one.key"
              :title="one.title"
              :prepend-icon="one.icon"
              @click="one.turn"
            >
              <template #append>
                <kbd>{{ one.key }}</kbd>
              </template>
            </VListItem>
          </VList>
        </VMenu>
        <p v-if="connected" class="join text-huge">
          join at
          <span class="nowrap">{{ address }}/station</span>
          with
          <strong class="nowrap">{{ code }}</strong>
        </p>
        <p v-else class="join down text-huge text-beet">
          <span aria-hidden="true">▲</span>
          the line is down, numbers may be old
        </p>
      </footer>
    </template>
  </VThemeProvider>
</template>

<style scoped>
/* Sizes grow with the width of the wall. */
.board {
  --type-body: clamp(24px, 2.2vw, 54px);
  --type-lead: clamp(24px, 2.2vw, 54px);
  --type-title: clamp(24px, 2.2vw, 54px);
  --type-large: clamp(24px, 2.2vw, 54px);
  --type-huge: clamp(26px, 2.35vw, 58px);
  --type-figure: clamp(32px, 3.1vw, 76px);
  --type-clock: clamp(64px, 6.4vw, 160px);
  display: flex;
  flex-direction: column;
  height: 100vh;
  padding: 2vh 3vw 1.5vh;
  background: var(--paper);
  color: var(--ink);
  font-family: var(--heading);
  font-size: var(--type-huge);
}
header h1 {
  font-size: clamp(28px, 2.75vw, 66px);
}
.views {
  font-family: var(--heading);
  font-size: clamp(20px, 1.9vw, 40px);
}
footer {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: var(--gap-block);
  padding-top: var(--gap-near);
  border-top: 2px solid var(--ink);
}
.join strong {
  letter-spacing: 3px;
}
.show {
  font-family: var(--heading);
  font-size: inherit;
}
/* A board that is magnified reads down; what does not fit scrolls in its own frame. */
@media (width < 700px) {
  .board {
    height: auto;
    min-height: 100vh;
  }
  main {
    overflow-x: auto;
  }
  footer {
    flex-wrap: wrap;
  }
  .join .nowrap {
    overflow-wrap: anywhere;
    white-space: normal;
  }
}
</style>
