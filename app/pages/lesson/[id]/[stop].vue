<script setup lang="ts">
import { provideLessonPlan } from '~/composables/lessonPlan'
import { STOPS, type Stop } from '~~/core/lesson'
import { STOP_NAMES } from '~~/core/wording'
import DeskHead from '~/components/desk/DeskHead.vue'
import DeskPath from '~/components/desk/DeskPath.vue'
import MergeDialog from '~/components/desk/MergeDialog.vue'
import SecondLook from '~/components/desk/SecondLook.vue'
import BeakerMark from '~/components/pieces/BeakerMark.vue'
import MadeUpMark from '~/components/pieces/MadeUpMark.vue'
import NoticeBar from '~/components/pieces/NoticeBar.vue'
import OwnQuestions from '~/components/together/OwnQuestions.vue'
import { focusTarget, useKeys } from '~/composables/keys'
import { madeUpAddress } from '~/following/madeUp'
import { STOP_WORK, loadDeskWhenIdle } from '~/composables/stopWork'
import { callServer, messageOf } from '~/following/callServer'
import { useLesson } from '~/stores/lesson'
import { useWalkThrough } from '~/composables/walkThrough'
import { useMadeUp } from '~/stores/madeUp'
import { useSecondLook } from '~/stores/secondLook'
import { useNotices } from '~/stores/notices'

/** Loaded when they are first shown. */
const DeskWalk = defineAsyncComponent(() => import('~/components/desk/DeskWalk.vue'))
const FindDialog = defineAsyncComponent(() => import('~/components/desk/FindDialog.vue'))
const KeysDialog = defineAsyncComponent(() => import('~/components/desk/KeysDialog.vue'))

/** The desk: the path on the left, the work of one stop, the Second look on the right. */
definePageMeta({ key: (route) => String(route.params.id) })
const route = useRoute()
const lesson = useLesson()
const walkThrough = useWalkThrough()
const madeUp = useMadeUp()
const look = useSecondLook()
const notices = useNotices()
provideLessonPlan(() => lesson.plan)
const missing = ref(false)
const keysOpen = ref(false)
const finding = ref(false)
const walking = ref(false)

const stop = computed<Stop>(() => STOPS.find((one) => one === route.params.stop) ?? 'wonder')
useHead({ title: () => `${STOP_NAMES[stop.value]} · ${lesson.plan?.title || 'Lesson'} · Jolly Beaker` })

onMounted(async () => {
  try {
    await lesson.open(String(route.params.id))
    loadDeskWhenIdle()
    if (route.query.walk !== undefined) await beginWalk()
    if (typeof route.query.at === 'string') look.target = route.query.at
  } catch (error) {
    missing.value = true
    notices.trouble(messageOf(error))
  }
  window.addEventListener('pagehide', sendRest)
})
onBeforeUnmount(() => {
  window.removeEventListener('pagehide', sendRest)
  lesson.close()
})
/** Shown once: whoever leaves it knows where things are. */
async function beginWalk(): Promise<void> {
  walking.value = true
  await callServer('DELETE /api/demo/walk').catch(() => undefined)
}
/** Stops at which there is nothing to do once every group has its own question. */
const OF_GROUPS: readonly Stop[] = ['kit', 'clock', 'predict', 'test', 'results', 'agree']
const sendRest = () => void lesson.flush()

const goTo = (to: Stop) => navigateTo(`/lesson/${route.params.id}/${to}`)
useKeys({
  ...Object.fromEntries(STOPS.map((to, place) => [String(place + 1), () => void goTo(to)])),
  '?': () => (keysOpen.value = true),
  '/': () => (finding.value = true),
  b: () => openBoard(),
  n: () => document.querySelector<HTMLElement>('[data-new] input')?.focus(),
  'mod+z': () => lesson.undo(),
  'mod+shift+z': () => lesson.redo(),
  'mod+y': () => lesson.redo(),
})

function openBoard(): void {
  // Groups with their own questions have one board.
  if (lesson.partOf) return void window.open(`/together/${lesson.together}/board`, `board-${lesson.together}`)
  window.open(madeUpAddress(madeUp.drawn, `/board/${String(route.params.id)}`), `board-${String(route.params.id)}`)
}

/** Where a button of the Second look leads: the place may stand on another stop that is still to come. */
watch(
  () => look.target,
  (target) => {
    if (!target) return
    look.target = undefined
    void focusTarget(target)
  },
)
</script>

<template>
  <div v-if="missing" class="missing">
    <BeakerMark :size="72" :level="0" />
    <h1>This lesson is not here</h1>
    <p>
      It may have been made on another computer.
      <NuxtLink to="/">Go back to the shelf</NuxtLink>.
    </p>
    <NoticeBar />
  </div>
  <div v-else class="desk">
    <a class="skip" href="#work">Skip to the work</a>
    <DeskPath :lesson-id="String(route.params.id)" :stop="stop" />
    <div class="min-w-0">
      <MadeUpMark v-if="madeUp.drawn" class="screen-only">
        <VBtn size="small" @click="walkThrough()">Another class</VBtn>
        <VBtn size="small" @click="madeUp.putAway()">Put it away</VBtn>
      </MadeUpMark>
      <DeskHead v-if="lesson.plan" @board="openBoard" @keys="keysOpen = true" />
      <main id="work" class="work" tabindex="-1">
        <OwnQuestions v-if="lesson.asksHere && stop !== 'wonder'" class="section" :stop="stop" />
        <component :is="STOP_WORK[stop]" v-if="lesson.plan && !(lesson.allElsewhere && OF_GROUPS.includes(stop))" :key="stop" />
        <h2 v-else-if="lesson.plan" class="sr-only">{{ STOP_NAMES[stop] }}</h2>
        <p v-else class="soft">Opening the lesson …</p>
      </main>
    </div>
    <SecondLook v-if="lesson.plan" :stop="stop" />
    <DeskWalk v-if="walking && lesson.plan" @leave="walking = false" />
    <KeysDialog v-if="keysOpen" v-model="keysOpen" :view="stop" />
    <FindDialog v-if="finding" v-model="finding" @board="openBoard" />
    <MergeDialog />
    <NoticeBar />
  </div>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: 200px minmax(0, 1fr) auto;
  min-height: 100vh;
}
.work {
  padding: var(--gap-tight) var(--gap-block) var(--gap-far);
  outline: none;
}
.skip {
  position: absolute;
  left: -9999px;
  z-index: var(--layer-head);
  padding: var(--gap-near) var(--gap-wide);
  background: var(--card);
}
.skip:focus {
  left: 8px;
  top: 8px;
}
.missing {
  display: grid;
  gap: var(--gap-wide);
  justify-items: center;
  padding: 18vh var(--gap-block);
}
@media (width < 900px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
