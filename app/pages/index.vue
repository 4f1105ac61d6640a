<script setup lang="ts">
import { counted, restoredWords } from '~~/core/wording'
import type { ShelfEntry } from '~~/schemas/contract'

useHead({ title: 'Jolly Beaker' })
const notices = useNotices()
const {
  find,
  archived: showArchived,
  lessons,
  left,
  putAway,
  load,
  more: showMore,
} = useShelf((error) => notices.trouble(messageOf(error)))
const choosing = ref(false)
const investigations = ref<{ id: string; title: string; summary: string }[]>([])
const searchBox = ref<HTMLInputElement>()

useKeys({ n: () => void openChooser(), '/': () => searchBox.value?.focus() })

async function openChooser(): Promise<void> {
  choosing.value = true
  await attempt(async () => {
    investigations.value = (await callServer('GET /api/investigations')).investigations
  })
}

async function start(investigation: string | null): Promise<void> {
  await attempt(async () => {
    const { id } = await callServer('POST /api/lessons', { body: { investigation } })
    choosing.value = false
    await navigateTo(`/lesson/${id}/${investigation ? 'plan' : 'wonder'}`)
  })
}

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

/** A lesson, a data package with a lesson in it, or a backup of the whole library. */
async function openFile(): Promise<void> {
  const file = await chooseFile('.json,.zip,application/json,application/zip')
  if (!file) return
  await attempt(async () => {
    const zipped = /\.zip$/i.test(file.name)
    const { lessonOfPackage } = zipped ? await import('~~/core/formats') : { lessonOfPackage: () => undefined }
    const text = zipped ? lessonOfPackage(new Uint8Array(await file.arrayBuffer())) : await file.text()
    if (text === undefined) return restore(file)
    const { id } = await callServer('POST /api/lessons/open', { body: { text } })
    await navigateTo(`/lesson/${id}/plan`)
  })
}

async function restore(file: File): Promise<void> {
  const answer = await callServer('POST /api/library', { file })
  await load()
  notices.done(restoredWords(answer))
}

const { mode, desks, others, look: lookAtDesks, leave } = useDesks()
const arranging = ref(false)
const handing = shallowRef<ShelfEntry>()
const more = computed(() => [
  { label: 'Term overview', run: () => void navigateTo('/term') },
  { label: 'Save everything as one file', run: () => void navigateTo('/api/library', { external: true }) },
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
    <header class="head">
      <BeakerMark :size="56" :level="0.6" />
      <div>
        <h1>Jolly Beaker</h1>
        <p class="soft">One question, one fair test, one conclusion the class can defend.</p>
      </div>
      <div class="row tools">
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
        <MainBtn @click="openChooser">New lesson</MainBtn>
        <MoreMenu label="More for the shelf" :items="more" />
      </div>
    </header>

    <DataNotices />

    <section class="board-top" aria-labelledby="shelf-heading">
      <h2 id="shelf-heading">{{ showArchived ? 'Put away' : mode?.own ? `On the shelf of ${mode.own.name}` : 'On the shelf' }}</h2>
      <QuietBtn v-if="putAway > 0 || showArchived" size="small" @click="showArchived = !showArchived">
        {{ showArchived ? 'Back to the shelf' : `Put away: ${putAway}` }}
      </QuietBtn>
    </section>

    <ul v-if="lessons?.length" class="lessons">
      <ShelfLesson
        v-for="lesson in lessons"
        :key="lesson.id"
        :lesson="lesson"
        :may-hand-over="desks.length > 0"
        @duplicate="duplicate(lesson)"
        @archive="archive(lesson)"
        @hand-over="handing = lesson"
      />
    </ul>
    <p v-else-if="lessons && find" class="empty-note">No lesson has “{{ find }}” in its name, question or class.</p>
    <div v-else-if="lessons && !showArchived" class="empty-note">
      <strong>The shelf is empty</strong>
      A lesson starts with something to look at and one question, such as “How does the kind of paper change how high water climbs?”
      Start from a ready one and change what you like.
    </div>

    <VBtn v-if="left > 0" class="more" @click="showMore"> Show more: {{ counted(left, 'further lesson') }} </VBtn>

    <LazyDesksDialog v-if="arranging" v-model="arranging" :desks="desks" @changed="lookAtDesks" />
    <LazyHandOver
      v-if="handing"
      :model-value="true"
      :lesson="handing"
      :desks="others"
      @update:model-value="handing = undefined"
      @done="handed"
    />

    <LazyAppDialog v-if="choosing" v-model="choosing" title="Start a lesson" :width="620">
      <ul class="choices">
        <li v-for="investigation in investigations" :key="investigation.id">
          <VBtn class="choice" @click="start(investigation.id)">
            <strong>{{ investigation.title }}</strong>
            <span>{{ investigation.summary }}</span>
          </VBtn>
        </li>
        <li>
          <VBtn class="choice plain" @click="start(null)">
            <strong>From nothing</strong>
            <span>Your own question: start with what the class notices and wonders.</span>
          </VBtn>
        </li>
      </ul>
      <template #actions><QuietBtn @click="choosing = false">Not now</QuietBtn></template>
    </LazyAppDialog>
    <NoticeBar />
  </main>
</template>

<style scoped>
.shelf {
  width: min(1080px, 100%);
  margin: 0 auto;
  padding: var(--gap-far) var(--gap-block) var(--gap-far);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-part);
}
.head > :nth-child(2) {
  flex: 1 1 260px;
}
.head h1 {
  color: var(--green);
  font-size: var(--type-huge);
}
.tools {
  margin-left: auto;
}
.find {
  width: 150px;
}
.board-top {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  margin-top: 34px;
  padding-bottom: var(--gap-close);
  border-bottom: 3px solid var(--ink);
}
.board-top h2 {
  font-size: var(--type-title);
}
.empty-note,
.more {
  margin-top: 20px;
}
.choices {
  display: grid;
  gap: var(--gap-near);
}
.choice {
  justify-content: flex-start;
  width: 100%;
  padding: var(--gap-wide);
  font-weight: 400;
  text-align: left;
}
.choice.plain {
  border: 1.5px dashed var(--mark);
}
.choice :deep(.v-btn__content) {
  display: grid;
  gap: var(--gap-hair);
}
.choice strong {
  font-family: var(--heading);
  font-size: var(--type-lead);
}
</style>
