<script setup lang="ts">
import WithPlan from '~/components/pieces/WithPlan.vue'
import { provideLessonPlan } from '~/composables/lessonPlan'
import { mdiBellOffOutline, mdiBellOutline, mdiEyeOffOutline, mdiEyeOutline, mdiThemeLightDark } from '@mdi/js'
import { useLocalStorage } from '@vueuse/core'
import { BOARD_VIEWS, isEachChild, type BoardViewName } from '~~/core/lesson'
import { firstSeries } from '~~/core/test'
import { boardViewFor, numbersAreShown } from '~~/core/secondLook'
import { BOARD_WORDS, underWayShort } from '~~/core/wording'
import BoardAgree from '~/components/board/BoardAgree.vue'
import BoardFrame from '~/components/board/BoardFrame.vue'
import BoardJoin from '~/components/board/BoardJoin.vue'
import BoardPredict from '~/components/board/BoardPredict.vue'
import BoardQuestion from '~/components/board/BoardQuestion.vue'
import BoardResults from '~/components/board/BoardResults.vue'
import BoardTest from '~/components/board/BoardTest.vue'
import BoardWonder from '~/components/board/BoardWonder.vue'
import MadeUpMark from '~/components/pieces/MadeUpMark.vue'
import QuestionLine from '~/components/pieces/QuestionLine.vue'
import { useBoard } from '~/composables/board'
import { useClassMode } from '~/composables/classMode'
import { useKeys } from '~/composables/keys'
import { drawnFrom } from '~/following/madeUp'
import { useBell } from '~/composables/sounds'
import { clockTurned, useTestClock } from '~/composables/testClock'
import { useUnderWay } from '~/composables/underWay'

/** The lesson on the projector: one message at a time. It turns to the view that fits by itself, until the teacher chooses one. */
const route = useRoute()
const {
  whole,
  plan: realPlan,
  record: realRecord,
  board,
  code,
  connected,
  missing,
  addPrediction,
  show,
} = useBoard(String(route.params.id), route.query['made-up'] !== undefined)
/** A made-up class takes the place of the real one, drawn from the same seed as at the desk. */
const madeUp = computed(() => realPlan.value && drawnFrom(route.query, realPlan.value))
const plan = computed(() => madeUp.value?.plan ?? realPlan.value)
const record = computed(() => madeUp.value?.record ?? realRecord.value)
provideLessonPlan(() => plan.value)
watch(whole, (one) => one !== null && void navigateTo(`/together/${one}/board`, { replace: true }))
const { now, state, coming } = useTestClock(plan, board)
const { forecast } = useUnderWay(plan, { record, board, state, now })
const forecastLine = computed(() => (forecast.value ? underWayShort(forecast.value, now.value, state.value.until) : ''))
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
const turnClock = () => show(clockTurned(board.value, state.value))
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
  <BoardFrame
    :dark="dark"
    :connected="connected"
    :message="
      missing ? 'This lesson is not here. Close this window and open the board from the desk.' : plan ? undefined : 'Opening …'
    "
    :views="BOARD_VIEWS.map((value) => ({ value, title: BOARD_WORDS[value] }))"
    :shown="view"
    @show="show({ view: $event })"
  >
    <template #title>
      <h1 v-if="view === 'wonder'">What do we see? What do we wonder?</h1>
      <QuestionLine v-else as="h1" />
    </template>
    <MadeUpMark v-if="madeUp" class="on-board" />
    <template v-if="plan">
      <BoardJoin v-if="view === 'join'" :code="code" :alone="isEachChild(plan)" />
      <BoardWonder v-else-if="view === 'wonder'" :record="record" :lesson="String(route.params.id)" />
      <BoardQuestion v-else-if="view === 'question'" />
      <WithPlan v-else-if="view === 'predict'" :plan="firstSeries(plan)">
        <BoardPredict :record="record" @count="addPrediction" />
      </WithPlan>
      <BoardTest
        v-else-if="view === 'test'"
        :record="record"
        :clock="state"
        :forecast="forecastLine"
        :coming="coming"
        :shown="shown"
        @turn-clock="turnClock"
      />
      <BoardResults v-else-if="view === 'results'" :record="record" :dark="dark" :shown="shown" @show="turnNumbers" />
      <BoardAgree v-else :record="record" :board="board" />
    </template>
    <template #switches>
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
    </template>
    <template #join>
      join at
      <span class="nowrap">{{ address }}/station</span>
      with
      <strong class="nowrap">{{ code }}</strong>
    </template>
  </BoardFrame>
</template>
