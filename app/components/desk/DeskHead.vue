<script setup lang="ts">
import { whenOfJob } from '~~/core/reports'
import { askingClassWords, classWords, dayWords, PRINT_JOB_WORDS, STOP_NAMES, lessonName } from '~~/core/wording'
import type { SaveState } from '~/following/saving'
import { madeUpAddress } from '~/following/madeUp'
import { PRINTOUTS, PRINTOUT_NAMES } from '~/composables/printouts'
import { useLesson } from '~/stores/lesson'
import { useMadeUp } from '~/stores/madeUp'
import { useSecondLook } from '~/stores/secondLook'

/** Loaded when they are first shown. */
const ClassDialog = defineAsyncComponent(() => import('~/components/desk/ClassDialog.vue'))
const ImportDialog = defineAsyncComponent(() => import('~/components/files/ImportDialog.vue'))
const InvestigationInside = defineAsyncComponent(() => import('~/components/shelf/InvestigationInside.vue'))
const KeepLesson = defineAsyncComponent(() => import('~/components/desk/KeepLesson.vue'))
const RehearsalDialog = defineAsyncComponent(() => import('~/components/desk/RehearsalDialog.vue'))

/** Name, class and day of the lesson, whether all is saved, and the ways out: board, print, files. */
defineEmits<{ board: []; keys: [] }>()
const lesson = useLesson()
const madeUp = useMadeUp()
const look = useSecondLook()
const plan = computed(() => lesson.plan!)
const when = computed(() => [plan.value.date && dayWords(plan.value.date), plan.value.clock.start].filter(Boolean).join(', '))
const SAVED: Record<SaveState, string> = {
  saved: 'saved',
  waiting: 'saving …',
  saving: 'saving …',
  away: 'not saved: trying again',
  refused: 'not saved: see below',
}
const next = computed(() => look.readiness?.next)
const pile = computed(() => PRINT_JOB_WORDS[whenOfJob(lesson.record)])
const importing = ref(false)
const settingUp = ref(false)
const keeping = ref(false)
const rehearsing = ref(false)
const lookingInside = ref(false)
</script>

<template>
  <header class="head screen-only px-block pt-wide pb-near">
    <h1>{{ lessonName(plan.title) }}</h1>
    <p class="where soft text-body">
      <LinkBtn data-target="class" @click="settingUp = true">{{
        lesson.together && lesson.asksHere ? askingClassWords(plan) : classWords(plan)
      }}</LinkBtn>
      <template v-if="lesson.partOf && lesson.partOf.id !== lesson.id">
        · an own question in
        <NuxtLink :to="`/lesson/${lesson.partOf.id}/test`">{{ lessonName(lesson.partOf.title) }}</NuxtLink>
      </template>
      <template v-else-if="lesson.together && !lesson.partOf">
        · <NuxtLink :to="`/together/${lesson.together}`">runs together with others</NuxtLink></template
      >
      <template v-if="when">
        ·
        <span class="nowrap">{{ when }}</span>
      </template>
    </p>
    <p class="state text-soft text-small" :class="lesson.saveState" role="status">
      {{ SAVED[lesson.saveState] }}<template v-if="!lesson.connected">, line is down</template>
    </p>
    <div class="row tools flex-nowrap">
      <QuietBtn size="small" :disabled="!lesson.canUndo" title="Ctrl+Z" @click="lesson.undo()"> Undo </QuietBtn>
      <VBtn size="small" :disabled="madeUp.drawn !== undefined" @click="rehearsing = true">Rehearse</VBtn>
      <VBtn size="small" @click="$emit('board')">Board</VBtn>
      <VMenu>
        <template #activator="{ props }">
          <VBtn size="small" v-bind="props">Print and files</VBtn>
        </template>
        <VList role="menu" density="compact" class="ways">
          <VListSubheader role="presentation">Print</VListSubheader>
          <VListItem role="menuitem" :href="madeUpAddress(madeUp.drawn, `/print/${lesson.id}/job`)" target="_blank">
            <VListItemTitle class="font-bold">{{ pile }}</VListItemTitle>
          </VListItem>
          <VListItem
            role="menuitem"
            v-for="name in PRINTOUT_NAMES"
            :key="name"
            :title="PRINTOUTS[name].label"
            :href="madeUpAddress(madeUp.drawn, `/print/${lesson.id}/${name}`)"
            target="_blank"
          />
          <VListSubheader role="presentation">Files</VListSubheader>
          <VListItem
            role="menuitem"
            title="Save the lesson as a file"
            :href="lesson.together && lesson.asksHere ? `/api/together/${lesson.together}/file` : `/api/lessons/${lesson.id}/file`"
          />
          <VListItem role="menuitem" title="Data package (zip)" :href="`/api/lessons/${lesson.id}/package`" />
          <VListItem role="menuitem" title="Results as a spreadsheet (XLSX)" :href="`/api/lessons/${lesson.id}/spreadsheet`" />
          <VListItem role="menuitem" title="Readings as a table (CSV)" :href="`/api/lessons/${lesson.id}/readings.csv`" />
          <VListItem role="menuitem" title="Take readings in from a table" @click="importing = true" />
          <VListItem role="menuitem" title="Keep for others to begin from" @click="keeping = true" />
          <VListItem v-if="plan.investigation" role="menuitem" title="About this investigation" @click="lookingInside = true" />
          <VListItem role="menuitem" title="Keys" @click="$emit('keys')" />
        </VList>
      </VMenu>
      <span v-if="next" class="sr-only">Next: {{ STOP_NAMES[next] }}</span>
    </div>
    <ClassDialog v-if="settingUp" v-model="settingUp" />
    <RehearsalDialog v-if="rehearsing" v-model="rehearsing" />
    <KeepLesson v-if="keeping" v-model="keeping" />
    <InvestigationInside v-if="lookingInside" v-model="lookingInside" :investigation="plan.investigation!" />
    <ImportDialog v-if="importing" v-model="importing" />
  </header>
</template>

<style scoped>
.head {
  display: grid;
  grid-template-areas: 'name state tools' 'where where where';
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: var(--gap-tight) var(--gap-wide);
  align-items: center;
}
.where {
  grid-area: where;
}
.state {
  grid-area: state;
}
.tools {
  grid-area: tools;
}
.head h1 {
  grid-area: name;
  overflow: hidden;
  font-size: var(--type-lead);
  text-overflow: ellipsis;
  white-space: nowrap;
}
.state.away,
.state.refused {
  color: var(--beet);
  font-weight: 700;
}
.ways {
  columns: 2;
}
/* Beside the buttons there would be room for two words of the name. */
@media (900px <= width < 1150px) {
  .head {
    grid-template-areas: 'name name' 'where where' 'tools state';
    grid-template-columns: auto minmax(0, 1fr);
  }
}
@media (width < 900px) {
  .head {
    grid-template-areas: 'name' 'where' 'state' 'tools';
    grid-template-columns: minmax(0, 1fr);
  }
  .tools {
    flex-wrap: wrap;
  }
  .ways {
    columns: 1;
  }
}
</style>
