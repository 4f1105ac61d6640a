<script setup lang="ts">
import { filteredJournal, JOURNAL_KINDS, journalOf, type JournalKind } from '~~/core/record'
import { momentOfDayWords, journalGroup, JOURNAL_WORDS, journalWords, lessonName } from '~~/core/wording'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import ReadTable from '~/components/pieces/ReadTable.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import TextField from '~/forms/TextField.vue'
import { useOtherEvents } from '~/composables/otherEvents'
import { messageOf } from '~/following/callServer'
import { useLesson } from '~/stores/lesson'

/** Everything that happened in the lesson, with its time. */
const route = useRoute()
const lesson = useLesson()
const missing = ref('')
const others = useOtherEvents()
const kind = ref<JournalKind | ''>('')
const group = ref('')
const words = ref('')
useHead({ title: () => `Journal · ${lesson.plan?.title || 'Lesson'} · Jolly Beaker` })

onMounted(async () => {
  try {
    await lesson.open(String(route.params.id))
  } catch (error) {
    missing.value = messageOf(error)
  }
})
onBeforeUnmount(() => lesson.close())

const lines = computed(() =>
  lesson.plan
    ? filteredJournal(journalOf(lesson.record, others.value), { kind: kind.value || undefined, group: group.value || undefined })
        .map((line) => ({
          line,
          at: line.at,
          what: JOURNAL_WORDS[line.event.kind],
          who: journalGroup(lesson.plan!, line),
          words: journalWords(lesson.plan!, line),
        }))
        .filter((one) => `${one.who} ${one.words}`.toLowerCase().includes(words.value.trim().toLowerCase()))
        .reverse()
    : [],
)
/** A lesson that runs alone has nothing of running together. */
const kinds = computed(() =>
  JOURNAL_KINDS.filter((one) => one !== 'together' || others.value.some(({ body }) => body.kind === one)),
)
const COLUMNS = [
  { key: 'at', title: 'Time' },
  { key: 'what', title: 'What' },
  { key: 'who', title: 'Who' },
  { key: 'words', title: 'Words' },
]
</script>

<template>
  <main class="journal">
    <p v-if="missing">{{ missing }} <NuxtLink to="/">Go back to the shelf</NuxtLink></p>
    <template v-else-if="lesson.plan">
      <header>
        <div>
          <h1 class="text-large">Journal: {{ lessonName(lesson.plan.title) }}</h1>
          <p class="soft">Everything that happened, the latest first.</p>
        </div>
        <div class="row">
          <VBtn size="small" :href="`/api/lessons/${lesson.id}/journal.csv`">Save as a table (CSV)</VBtn>
          <QuietBtn size="small" :to="`/lesson/${lesson.id}/test`">Back to the lesson</QuietBtn>
        </div>
      </header>
      <div class="row items-end my-14px mx-0">
        <ChoiceField
          label="What"
          v-model="kind"
          :options="[{ value: '', title: 'everything' }, ...kinds.map((one) => ({ value: one, title: JOURNAL_WORDS[one] }))]"
        />
        <ChoiceField
          label="Group"
          v-model="group"
          :options="[{ value: '', title: 'all groups' }, ...lesson.plan.groups.map((one) => ({ value: one.id, title: one.name }))]"
        />
        <TextField label="With these letters" class="words" v-model="words" type="search" />
      </div>
      <EmptyNote v-if="lines.length === 0" title="Nothing here yet">
        Readings, observations, predictions, changes of the plan, the board and the stations stand here with their times.
      </EmptyNote>
      <ReadTable v-else :rows="lines" :columns="COLUMNS" caption="What happened, the latest first">
        <template #at="{ row }">
          <span class="nowrap">{{ momentOfDayWords(row.at) }}</span>
        </template>
        <template #words="{ row }">
          <span class="what break-anywhere">{{ row.words }}</span>
          <a
            v-if="row.line.event.kind === 'observation' && row.line.event.observation.picture"
            :href="`/api/lessons/${lesson.id}/pictures/${row.line.event.observation.picture}`"
            target="_blank"
            >look at it</a
          >
        </template>
      </ReadTable>
    </template>
    <p v-else class="soft">Opening …</p>
  </main>
</template>

<style scoped>
.journal {
  width: min(1120px, 100%);
  margin: 0 auto;
  padding: var(--gap-block) var(--gap-block) var(--gap-far);
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  justify-content: space-between;
  gap: var(--gap-near) var(--gap-block);
}
.words {
  flex: 1 1 160px;
  min-width: 0;
  max-width: 320px;
}
</style>
