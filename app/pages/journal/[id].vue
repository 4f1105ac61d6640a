<script setup lang="ts">
import { filteredJournal, JOURNAL_KINDS, journalOf, type JournalKind } from '~~/core/record'
import { momentOfDayWords, journalGroup, JOURNAL_WORDS, journalWords } from '~~/core/wording'

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
        .map((line) => ({ line, who: journalGroup(lesson.plan!, line), words: journalWords(lesson.plan!, line) }))
        .filter((one) => `${one.who} ${one.words}`.toLowerCase().includes(words.value.trim().toLowerCase()))
        .reverse()
    : [],
)
const MOST_SHOWN = 400
</script>

<template>
  <main class="journal">
    <p v-if="missing">{{ missing }} <NuxtLink to="/">Go back to the shelf</NuxtLink></p>
    <template v-else-if="lesson.plan">
      <header>
        <div>
          <h1>Journal: {{ lesson.plan.title || 'Lesson without a name' }}</h1>
          <p class="soft">Everything that happened, the latest first.</p>
        </div>
        <div class="row">
          <VBtn size="small" :href="`/api/lessons/${lesson.id}/journal.csv`">Save as a table (CSV)</VBtn>
          <QuietBtn size="small" :to="`/lesson/${lesson.id}/test`">Back to the lesson</QuietBtn>
        </div>
      </header>
      <div class="row filters">
        <ChoiceField
          label="What"
          v-model="kind"
          :options="[
            { value: '', title: 'everything' },
            ...JOURNAL_KINDS.map((one) => ({ value: one, title: JOURNAL_WORDS[one] })),
          ]"
        />
        <ChoiceField
          label="Group"
          v-model="group"
          :options="[{ value: '', title: 'all groups' }, ...lesson.plan.groups.map((one) => ({ value: one.id, title: one.name }))]"
        />
        <TextField label="With these letters" class="words" v-model="words" type="search" />
      </div>
      <p v-if="lines.length === 0" class="empty-note">
        <strong>Nothing here yet</strong>
        Readings, observations, predictions, changes of the plan, the board and the stations stand here with their times.
      </p>
      <table v-else class="ruled">
        <caption class="sr-only">
          What happened, the latest first
        </caption>
        <thead>
          <tr>
            <th scope="col">Time</th>
            <th scope="col">What</th>
            <th scope="col">Who</th>
            <th scope="col">Words</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(one, place) in lines.slice(0, MOST_SHOWN)" :key="place">
            <td class="nowrap">{{ momentOfDayWords(one.line.at) }}</td>
            <td>{{ JOURNAL_WORDS[one.line.event.kind] }}</td>
            <td>{{ one.who }}</td>
            <td class="what">
              {{ one.words }}
              <a
                v-if="one.line.event.kind === 'observation' && one.line.event.observation.picture"
                :href="`/api/lessons/${lesson.id}/pictures/${one.line.event.observation.picture}`"
                target="_blank"
                >look at it</a
              >
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="lines.length > MOST_SHOWN" class="hint">
        {{ lines.length - MOST_SHOWN }} earlier ones are not shown; the table (CSV) has them all.
      </p>
    </template>
    <p v-else class="soft">Opening …</p>
  </main>
</template>

<style scoped>
.journal {
  max-width: 1120px;
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
h1 {
  font-size: var(--type-large);
}
.filters {
  align-items: flex-end;
  margin: 14px 0;
}
.words {
  flex: 1;
  max-width: 320px;
}
.what {
  overflow-wrap: anywhere;
}
</style>
