<script setup lang="ts">
import WithPlan from '~/components/pieces/WithPlan.vue'
import { provideLessonPlan } from '~/composables/lessonPlan'
import { concerns } from '~~/core/clock'
import { isEachChild, type NewReading } from '~~/core/lesson'
import { cellKey, type Cell } from '~~/core/record'
import { stationState, type StationWish } from '~~/core/station'
import {
  comingWords,
  counted,
  lineStateWords,
  missedWords,
  ownLeftWords,
  pausedWords,
  refusedWords,
  soonWords,
} from '~~/core/wording'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import { screenOf } from '~/components/station/screens'
import StationJoin from '~/components/station/StationJoin.vue'
import WarmUpPlay from '~/components/warmUps/WarmUpPlay.vue'
import { focusHeading } from '~/composables/focusHeading'
import { useBell } from '~/composables/sounds'
import { useStation } from '~/composables/station'
import { useTestClock } from '~/composables/testClock'
import { useUnderWay } from '~/composables/underWay'
import { schoolDay } from '~/following/serverClock'
import { provideWritten } from '~/composables/numberEntry'

/** What a child's finger hits. */
const FOR_FINGERS = {
  VBtn: { size: 'x-large' },
  MainBtn: { size: 'x-large' },
  QuietBtn: { size: 'x-large' },
  LinkBtn: { size: 'x-large' },
  VTextField: { density: 'default' },
  VTextarea: { density: 'default' },
  VSelect: { density: 'default' },
}

/** A group's own page: join, predict, then one trial at a time. */
const station = useStation()
const { plan, record, board, group, locked, ownReadings, waiting } = station
provideWritten(() => record.value.readings)
provideLessonPlan(() => plan.value)
useHead({ title: 'Station · Jolly Beaker' })

const own = computed(() => plan.value?.groups.find((one) => one.id === group.value))
const skipped = ref({ prediction: false, practice: false })
const doing = ref<StationWish['doing']>('testing')
const wanted = shallowRef<Cell>()
const fixing = shallowRef<NewReading>()
const now = computed(() => {
  const wish = { doing: doing.value, skipped: skipped.value, wanted: wanted.value, fixing: fixing.value }
  return plan.value && stationState(plan.value, record.value, group.value, schoolDay(), wish)
})
const step = computed(() => now.value?.step)
const trial = computed(() => (step.value && 'trial' in step.value ? step.value.trial : undefined))

const last = computed(() => ownReadings.value.at(-1))
const lineState = computed(() => {
  const { beingKept, line, away } = waiting.value
  // Whether the server can be reached is known best by what was sent last.
  const connected = station.connected.value && !(away && line.length > 0)
  return lineStateWords({ beingKept, waiting: line.length, connected })
})

const { now: at, state: clock, coming } = useTestClock(plan, board)
const { forecast } = useUnderWay(plan, { record, board, state: clock, now: at })
const ownLeft = computed(() => {
  const one = forecast.value?.groups.find((each) => each.group === group.value)
  return one && one.took.length > 0 && !clock.value.paused.now ? ownLeftWords(one) : pausedWords(clock.value)
})
const ownComing = computed(() => coming.value.filter((one) => concerns(one, group.value)))
const next = computed(() => ownComing.value[0])
useBell(
  clock,
  ownComing,
  computed(() => board.value.sound && station.state.value === 'open'),
)

/** Practising on made-up scales; nothing of it is anybody's. */
const warming = ref(false)

/** By now the class may see its numbers. */
function propose(): void {
  doing.value = 'proposing'
  station.lookAgain()
}

/** A child that is done may see the class's numbers, once the server has its own and all others are done too. */
const done = computed(() => now.value?.step.show === 'done' && waiting.value.line.length === 0)
watch(done, (is) => {
  if (is && plan.value && isEachChild(plan.value) && !station.all.value) station.lookAgain()
})

/** Whoever goes by keyboard or by ear goes on where the group does: at its number, or at what it is asked. */
const page = useTemplateRef<HTMLElement>('page')
const place = computed(() =>
  [station.state.value, now.value?.step.show, trial.value && cellKey(trial.value), fixing.value?.id].join(),
)
watch(place, () => focusHeading(page.value), { flush: 'post' })

/** The tablet goes to another child, which types its own code. */
const before = ref({ code: '', name: '' })
function nextChild(): void {
  leaveFor({ code: station.code.value, name: '' })
}
/** The group goes on to another of the investigations that run together. */
function nextInvestigation(): void {
  leaveFor({ code: station.together.value!.code, name: own.value?.name ?? '' })
}
function leaveFor(next: { code: string; name: string }): void {
  before.value = next
  skipped.value = { prediction: false, practice: false }
  doing.value = 'testing'
  station.leave()
}

const screen = computed(() => {
  if (!plan.value || !own.value || !now.value) return undefined
  return screenOf({
    ...{ plan: plan.value, own: own.value, record: record.value, now: now.value, station, fixing: fixing.value, last: last.value },
    goOn: () => (doing.value = 'testing'),
    draw: () => (doing.value = 'observing'),
    propose,
    skip: (what) => (skipped.value[what] = true),
    choose: (cell) => (wanted.value = cell),
    fix: (reading) => (fixing.value = reading),
    written,
    nextChild,
    nextInvestigation,
  })
})

async function written(readings: NewReading[]): Promise<void> {
  wanted.value = undefined
  fixing.value = undefined
  if (readings.length > 0) await station.writeReadings(readings)
}
</script>

<template>
  <VDefaultsProvider :defaults="FOR_FINGERS">
    <main ref="page" class="station">
      <p v-if="station.state.value === 'opening'" class="grid gap-wide m-auto">
        {{ station.connected.value ? 'Opening …' : 'The line is down. Trying again …' }}
      </p>
      <StationJoin v-else-if="station.state.value === 'joining'" :join="station.join" :before="before" />
      <template v-else-if="plan && own && now">
        <header>
          <span class="flex items-center gap-near font-bold">
            <ShapeBadge :size="22" :shape="own.shape" />
            {{ own.name }}
          </span>
          <span
            >{{ now.progress.done }} of {{ now.progress.all }} done<span v-if="ownLeft" class="text-soft">
              · {{ ownLeft }}</span
            ></span
          >
          <span class="line text-leaf" :class="{ bad: lineState.bad }" role="status">
            <span v-if="lineState.bad" aria-hidden="true">▲</span>
            {{ lineState.words }}
          </span>
        </header>
        <section
          v-if="waiting.refused.length > 0"
          class="refused mt-near py-near px-wide edge-1.5-beet rounded bg-beet-light"
          role="alert"
        >
          <p>{{ counted(waiting.refused.length, 'entry', 'entries') }} could not be taken. Show this to your teacher:</p>
          <ul class="my-close mx-0">
            <li v-for="one in waiting.refused" :key="one.id">{{ refusedWords(one.body) }}: {{ one.why }}</li>
          </ul>
          <VBtn @click="station.clearRefused">My teacher has seen it</VBtn>
        </section>
        <p v-if="next" class="coming text-title" :class="{ now: next.seconds <= 0 }" role="timer">
          {{ comingWords(plan, next, group) }} <strong class="nowrap tabular-nums">{{ soonWords(next.seconds) }}</strong>
        </p>
        <p v-if="now.missed.length > 0" class="missed text-body">
          {{ missedWords(now.missed.length) }}
        </p>
        <div v-if="locked" class="paused" role="status">
          <h1>Your teacher has paused the stations</h1>
          <p>Look at the board. What you have entered is kept.</p>
        </div>
        <div v-if="warming" class="work" :inert="locked">
          <h1 class="sr-only">Warm-up</h1>
          <WarmUpPlay @tried="station.warmUp" />
          <p class="mt-wide"><VBtn @click="warming = false">Back to our work</VBtn></p>
        </div>
        <div v-else class="work" :inert="locked">
          <WithPlan v-if="screen" :plan="screen.plan ?? plan">
            <component :is="screen.shows" :key="screen.key" v-bind="screen.told" />
          </WithPlan>
        </div>
        <footer class="flex flex-wrap justify-center gap-x-block mt-auto text-center" :inert="locked">
          <LinkBtn v-if="!warming" class="leave" @click="warming = true">Warm up</LinkBtn>
          <template v-if="doing === 'testing' && now.testing">
            <LinkBtn class="leave" @click="doing = 'observing'">Write, sketch or photograph what you see</LinkBtn>
            <LinkBtn class="leave" @click="doing = 'saying'">Say what you noticed</LinkBtn>
            <LinkBtn v-if="now.begun" class="leave" @click="propose">Offer a sentence</LinkBtn>
            <LinkBtn v-if="now.begun && plan.criteria.length > 0" class="leave" @click="doing = 'telling'">After a visit</LinkBtn>
          </template>
          <LinkBtn v-if="station.together.value?.goesOn" class="leave" @click="nextInvestigation">Another investigation</LinkBtn>
          <LinkBtn class="leave" @click="station.leave">Leave this station</LinkBtn>
        </footer>
      </template>
      <div v-else class="grid gap-wide m-auto">
        <p>This group is not in the plan any more.</p>
        <VBtn @click="station.leave">Join again</VBtn>
      </div>
    </main>
  </VDefaultsProvider>
</template>

<style scoped>
.station {
  display: flex;
  flex-direction: column;
  width: min(1060px, 100%);
  min-height: 100dvh;
  margin: 0 auto;
  padding: 0 var(--gap-part) var(--gap-near);
  font-family: var(--heading);
  font-size: var(--type-lead);
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: var(--gap-tight) var(--gap-wide);
  margin: 0 -16px;
  padding: var(--gap-near) var(--gap-part);
  border-bottom: 1px solid var(--line);
  font-size: var(--type-body);
}
@media (height < 480px) {
  header {
    padding: var(--gap-hair) var(--gap-part);
  }
}
.line.bad {
  color: var(--beet);
  font-weight: 700;
}
.coming,
.missed {
  margin-top: 8px;
  padding: var(--gap-near) var(--gap-wide);
  border-left: 4px solid var(--mark);
}
.coming.now {
  border-color: var(--brass-mark);
  background: var(--brass-light);
}
.paused {
  position: fixed;
  inset: 0;
  z-index: var(--layer-cover);
  display: grid;
  gap: var(--gap-near);
  place-content: center;
  padding: var(--gap-block);
  background: var(--paper);
  text-align: center;
}
.leave {
  color: var(--soft);
  font-size: var(--type-small);
}
</style>
