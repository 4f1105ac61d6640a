<script setup lang="ts">
import { AGES, BOUNDS, fittingCards, KINDS, LONGEST, practisedBySome, TOPICS, type LookedFor } from '~~/core/lesson'
import { AGE_WORDS, KIND_WORDS, TOPIC_WORDS } from '~~/core/wording'
import type { Investigations } from '~~/schemas/contract'
import NoticeBar from '~/components/pieces/NoticeBar.vue'
import InvestigationCard from '~/components/shelf/InvestigationCard.vue'
import type { Plan } from '~~/core/lesson'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import TextField from '~/forms/TextField.vue'
import TickField from '~/forms/TickField.vue'
import { chooseTextFile } from '~/composables/chooseFile'
import { callServer, messageOf } from '~/following/callServer'
import { useNotices } from '~/stores/notices'

/** Loaded when they are first shown. */
const InvestigationInside = defineAsyncComponent(() => import('~/components/shelf/InvestigationInside.vue'))
const DraftSheet = defineAsyncComponent(() => import('~/components/draft/DraftSheet.vue'))

/** Which lesson? The library as cards, for the class that stands above them. */
useHead({ title: 'Which lesson? · Jolly Beaker' })
const notices = useNotices()
const library = shallowRef<Investigations>()
const className = ref('')
const children = ref<number | null>(null)
const ANYTHING: LookedFor = { topic: '', kind: '', minutes: 0, age: '', practises: '', there: false }
const wanted = ref({ ...ANYTHING })

const looking = ref<string>()
/** What the teacher has in mind, as a draft is made of it. */
const line = ref('')
onMounted(() => attempt(load))

async function load(): Promise<void> {
  library.value = await callServer('GET /api/investigations')
  // What was typed meanwhile stays.
  className.value ||= library.value.className
  children.value ??= library.value.children
}

const TIMES = [45, 60, 75, 90]
const filters = {
  topic: [{ value: '', title: 'Any topic' }, ...TOPICS.map((value) => ({ value, title: TOPIC_WORDS[value] }))],
  kind: [{ value: '', title: 'Any kind' }, ...KINDS.map((value) => ({ value, title: KIND_WORDS[value].name }))],
  age: [{ value: '', title: 'Any age' }, ...AGES.map((value) => ({ value, title: AGE_WORDS[value] }))],
  minutes: [{ value: 0, title: 'Any length' }, ...TIMES.map((value) => ({ value, title: `Up to ${value} min` }))],
} as const
const practised = computed(() => [
  { value: '', title: 'Any skill' },
  ...practisedBySome(library.value?.investigations ?? []).map((title) => ({ value: title, title })),
])
const shown = computed(() => library.value && fittingCards(library.value.investigations, wanted.value))

async function start(investigation: string | null, withWhatIsThere = false): Promise<void> {
  await attempt(async () => {
    const body = { investigation, className: className.value, children: children.value ?? undefined, withWhatIsThere }
    const { id, changed } = await callServer('POST /api/lessons', { body })
    if (changed !== '') notices.done(changed)
    await navigateTo(`/lesson/${id}/${investigation ? 'plan' : 'wonder'}`)
  })
}

async function takeDraft(plan: Plan): Promise<void> {
  await attempt(async () => {
    const { id } = await callServer('POST /api/lessons', { body: { investigation: null, draft: plan } })
    await navigateTo(`/lesson/${id}/plan`)
  })
}

async function remove(id: string): Promise<void> {
  await attempt(async () => {
    await callServer('DELETE /api/investigations/[investigation]', { path: { investigation: id } })
    await load()
    notices.done('Taken out of the library. Lessons that began from it stay.')
  })
}

async function openFile(): Promise<void> {
  const text = await chooseTextFile('.json,application/json')
  if (text === undefined) return
  await attempt(async () => {
    const { id, startingPoint } = await callServer('POST /api/lessons/open', { body: { text } })
    if (!startingPoint) return void (await navigateTo(`/lesson/${id}/plan`))
    await load()
    notices.done('It stands in the library now, among our own.')
  })
}

async function attempt(work: () => Promise<void>): Promise<void> {
  await work().catch((error: unknown) => notices.trouble(messageOf(error)))
}
</script>

<template>
  <main class="library">
    <header class="row head">
      <QuietBtn to="/">‹ Shelf</QuietBtn>
      <h1 class="text-huge">Which lesson?</h1>
      <p class="soft">Ready ones to change as you like, or your own from nothing.</p>
      <QuietBtn class="ml-auto" @click="openFile">Open a file</QuietBtn>
    </header>
    <div class="row mx-0 mt-14px mb-18px">
      <TextField v-model="className" inline label="For class" :longest="LONGEST.name" class="class" />
      <NumberField v-model="children" inline label="Children" v-bind="BOUNDS.children" whole />
      <span class="row filters">
        <ChoiceField v-model="wanted.topic" bare label="Topic" :options="filters.topic" />
        <ChoiceField v-model="wanted.kind" bare label="Kind of test" :options="filters.kind" />
        <ChoiceField v-model="wanted.practises" bare label="Practises" :options="practised" />
        <ChoiceField v-model="wanted.age" bare label="Age" :options="filters.age" />
        <ChoiceField v-model="wanted.minutes" bare label="Length" :options="filters.minutes" />
        <TickField v-model="wanted.there" class="there" label="We have it all" />
      </span>
    </div>
    <DraftSheet
      v-if="library"
      v-model="line"
      class="sheet mb-part"
      :into="{ className, children: children ?? 0 }"
      take="Begin with this draft"
      @take="takeDraft"
    />
    <ul v-if="shown" class="cards" aria-label="Lessons to begin from">
      <InvestigationCard
        v-for="one in shown"
        :key="one.id"
        :investigation="one"
        @take="start(one.id)"
        @take-what-is-there="start(one.id, true)"
        @look="looking = one.id"
        @remove="remove(one.id)"
      />
      <li class="sheet own">
        <h2 class="text-title">From nothing</h2>
        <p>Your own question: start with what the class notices and wonders.</p>
        <VBtn aria-label="From nothing: begin" @click="start(null)">Begin</VBtn>
      </li>
    </ul>
    <p v-if="shown?.length === 0" class="row none">
      No lesson fits all of that.
      <VBtn size="small" @click="wanted = { ...ANYTHING }">Show all</VBtn>
    </p>
    <InvestigationInside
      v-if="looking"
      :key="looking"
      :investigation="looking"
      may-take
      :model-value="true"
      @update:model-value="looking = undefined"
      @take="start(looking)"
    />
    <NoticeBar />
  </main>
</template>

<style scoped>
.library {
  width: min(1180px, 100%);
  margin: 0 auto;
  padding: var(--gap-block);
}
.class {
  width: 210px;
}
.filters > * {
  width: 150px;
}
.filters > .there {
  width: auto;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(330px, 100%), 1fr));
  gap: var(--gap-block);
  padding: 0;
  list-style: none;
}
.own {
  display: grid;
  gap: var(--gap-near);
  align-content: center;
  justify-items: start;
  border-style: dashed;
}
</style>
