<script setup lang="ts">
import { counted, restoredWords, schoolDiffersWords, SHELF_PARTS } from '~~/core/wording'
import type { ShelfEntry } from '~~/schemas/contract'
import BeakerMark from '~/components/pieces/BeakerMark.vue'
import MoreMenu from '~/components/pieces/MoreMenu.vue'
import NoticeBar from '~/components/pieces/NoticeBar.vue'
import DataNotices from '~/components/shelf/DataNotices.vue'
import FirstWay from '~/components/shelf/FirstWay.vue'
import WalkOffer from '~/components/shelf/WalkOffer.vue'
import TextField from '~/forms/TextField.vue'
import { chooseFile } from '~/composables/chooseFile'
import { useDesks } from '~/composables/desks'
import { useKeys } from '~/composables/keys'
import { useShelf } from '~/composables/shelf'
import { loadDeskWhenIdle } from '~/composables/stopWork'
import { callServer, messageOf } from '~/following/callServer'
import { useNotices } from '~/stores/notices'

/** Loaded when they are first shown. */
const ChoiceField = defineAsyncComponent(() => import('~/forms/ChoiceField.vue'))
const DesksDialog = defineAsyncComponent(() => import('~/components/shelf/DesksDialog.vue'))
const DifferingSchool = defineAsyncComponent(() => import('~/components/shelf/DifferingSchool.vue'))
const HandOver = defineAsyncComponent(() => import('~/components/shelf/HandOver.vue'))
const KeysDialog = defineAsyncComponent(() => import('~/components/desk/KeysDialog.vue'))
const RunTogether = defineAsyncComponent(() => import('~/components/shelf/RunTogether.vue'))
const ShelfLesson = defineAsyncComponent(() => import('~/components/shelf/ShelfLesson.vue'))
const TogetherShelf = defineAsyncComponent(() => import('~/components/shelf/TogetherShelf.vue'))

useHead({ title: 'Jolly Beaker' })
const notices = useNotices()
const {
  find,
  className,
  classes,
  archived: showArchived,
  lessons,
  left,
  putAway,
  load,
  more: showMore,
} = useShelf((error) => notices.trouble(messageOf(error)))
/** As they come, under the heading of their part; what was put away has one of its own where it is found beside the others. */
const parts = computed(() => {
  const all = lessons.value ?? []
  const standing = showArchived.value ? all : all.filter(({ archived }) => !archived)
  return [
    ...SHELF_PARTS.map(({ part, name }) => ({ name, lessons: standing.filter((one) => one.part === part) })),
    { name: 'Put away', lessons: all.filter((one) => !standing.includes(one)) },
  ].filter((one) => one.lessons.length > 0)
})
const whichClass = computed(() => [
  { value: '', title: 'All classes' },
  ...classes.value.map((name) => ({ value: name, title: `Class ${name}` })),
])
// A lesson is what most people open next, where there is one.
watch(lessons, (first) => first?.length && loadDeskWhenIdle(), { once: true })
const searchBox = ref<HTMLInputElement>()

useKeys({ n: () => void navigateTo('/new'), '/': () => searchBox.value?.focus(), '?': () => (keysOpen.value = true) })
const keysOpen = ref(false)

async function duplicate(lesson: ShelfEntry): Promise<void> {
  await attempt(async () => {
    const { id } = await callServer('POST /api/lessons/[lesson]/duplicate', { path: { lesson: lesson.id } })
    await load()
    notices.done('A copy without readings stands on the shelf.', { label: 'Undo', run: () => setArchived(id, true) })
  })
}

async function archive(lesson: ShelfEntry): Promise<void> {
  await setArchived(lesson.id, !lesson.archived)
  const text = lesson.archived ? 'Back on the shelf.' : 'Put away. Nothing in it is lost.'
  notices.done(text, { label: 'Undo', run: () => setArchived(lesson.id, lesson.archived) })
}

async function setArchived(id: string, archived: boolean): Promise<void> {
  await attempt(async () => {
    await callServer('PUT /api/lessons/[lesson]/archived', { path: { lesson: id }, body: { archived } })
    await load()
  })
}

/** A lesson, one to begin from, a data package with a lesson in it, or a backup of the whole library. */
async function openFile(): Promise<void> {
  const file = await chooseFile('.json,.zip,application/json,application/zip')
  if (!file) return
  await attempt(async () => {
    const zipped = /\.zip$/i.test(file.name)
    const { lessonOfPackage } = zipped ? await import('~~/core/formats') : { lessonOfPackage: () => undefined }
    const text = zipped ? lessonOfPackage(new Uint8Array(await file.arrayBuffer())) : await file.text()
    if (text === undefined) return restore(file)
    const { id, together, startingPoint } = await callServer('POST /api/lessons/open', { body: { text } })
    await navigateTo(startingPoint ? '/new' : together ? `/together/${together}` : `/lesson/${id}/plan`)
  })
}

/** A backup that says otherwise of the school than this one does; the head desk may take that, too. */
const differing = shallowRef<{ file: File; words: string }>()

async function restore(file: File, takeSchool = false): Promise<void> {
  const answer = await callServer('POST /api/library', { file, query: { takeSchool } })
  await load()
  notices.done(restoredWords(answer))
  differing.value = answer.differs ? { file, words: schoolDiffersWords(answer.differs) } : undefined
}
async function takeSchool({ file }: { file: File }): Promise<void> {
  differing.value = undefined
  await attempt(() => restore(file, true))
}

const { mode, desks, others, look: lookAtDesks, leave } = useDesks()
const arranging = ref(false)
const handing = shallowRef<ShelfEntry>()
const joining = shallowRef<ShelfEntry>()
const more = computed(() => [
  { label: 'Plan a term', run: () => void navigateTo('/term/plan') },
  { label: 'Term overview', run: () => void navigateTo('/term') },
  { label: 'Save everything as one file', run: () => void navigateTo('/api/library', { external: true }) },
  ...(mode.value?.own ? [] : [{ label: 'How it is', run: () => void navigateTo('/how-it-is') }]),
  ...(mode.value?.on && mode.value.own === null
    ? [{ label: 'Desks of the classes', run: () => void (arranging.value = true) }]
    : []),
  ...(mode.value?.on ? [{ label: 'Leave the desk on this device', run: () => void attempt(leave) }] : []),
])

async function handed(to: string): Promise<void> {
  await attempt(load)
  notices.done(`Handed over to ${to}.`)
}

async function attempt(work: () => Promise<void>): Promise<void> {
  await work().catch((error: unknown) => notices.trouble(messageOf(error)))
}
</script>

<template>
  <main class="shelf">
    <header class="head flex flex-wrap items-center gap-part">
      <BeakerMark :size="56" :level="0.6" />
      <div>
        <h1 class="text-green text-huge">Jolly Beaker</h1>
        <p class="soft">One question, one fair test, one conclusion the class can defend.</p>
      </div>
      <div class="row ml-auto">
        <TextField
          bare
          label="Find a lesson"
          class="find"
          ref="searchBox"
          v-model="find"
          type="search"
          placeholder="Find a lesson  /"
        />
        <VBtn to="/cupboard">Cupboard</VBtn>
        <VBtn @click="openFile">Open a file</VBtn>
        <MainBtn to="/new">New lesson</MainBtn>
        <MoreMenu label="More for the shelf" :items="more" />
      </div>
    </header>

    <DataNotices />
    <WalkOffer v-if="!find" />

    <section class="board-top flex items-center gap-wide mt-34px pb-close edge-bottom-3-ink" aria-labelledby="shelf-heading">
      <h2 class="text-title mr-auto" id="shelf-heading">
        {{ showArchived ? 'Put away' : mode?.own ? `On the shelf of ${mode.own.name}` : 'On the shelf' }}
      </h2>
      <ChoiceField v-if="classes.length > 1" v-model="className" bare class="of-class" label="Lessons of" :options="whichClass" />
      <QuietBtn v-if="putAway > 0 || showArchived" size="small" @click="showArchived = !showArchived">
        {{ showArchived ? 'Back to the shelf' : `Put away: ${putAway}` }}
      </QuietBtn>
    </section>

    <TogetherShelf v-if="lessons && lessons.length > 1 && !find" />
    <template v-if="lessons?.length">
      <section v-for="part in parts" :key="part.name" class="part mt-18px">
        <h3 class="text-soft text-lead">{{ part.name }}</h3>
        <ul class="lessons">
          <ShelfLesson
            v-for="lesson in part.lessons"
            :key="lesson.id"
            :lesson="lesson"
            :may-hand-over="desks.length > 0"
            @duplicate="duplicate(lesson)"
            @archive="archive(lesson)"
            @hand-over="handing = lesson"
            @together="joining = lesson"
          />
        </ul>
      </section>
    </template>
    <p v-else-if="lessons && (find || className)" class="soft none">
      No lesson{{ className ? ` of class ${className}` : '' }} has {{ find ? `“${find}” in it` : 'been begun' }}.
    </p>
    <FirstWay v-else-if="lessons && !showArchived" />

    <VBtn v-if="left > 0" class="more" @click="showMore"> Show more: {{ counted(left, 'further lesson') }} </VBtn>

    <DesksDialog v-if="arranging" v-model="arranging" :desks="desks" @changed="lookAtDesks" />
    <HandOver
      v-if="handing"
      :model-value="true"
      :lesson="handing"
      :desks="others"
      @update:model-value="handing = undefined"
      @done="handed"
    />

    <DifferingSchool
      v-if="differing"
      :model-value="true"
      :words="differing.words"
      :may-take="!mode?.own"
      @update:model-value="differing = undefined"
      @take="takeSchool(differing)"
    />

    <RunTogether
      v-if="joining"
      :model-value="true"
      :lesson="joining"
      :lessons="lessons ?? []"
      @update:model-value="joining = undefined"
    />

    <KeysDialog v-if="keysOpen" v-model="keysOpen" view="shelf" />
    <NoticeBar />
  </main>
</template>

<style scoped>
.shelf {
  width: min(1080px, 100%);
  margin: 0 auto;
  padding: var(--gap-far) var(--gap-block) var(--gap-far);
}
.head > :nth-child(2) {
  flex: 1 1 260px;
}
.find {
  width: 150px;
}
.of-class {
  width: 170px;
}
.none,
.more {
  margin-top: 20px;
}
</style>
