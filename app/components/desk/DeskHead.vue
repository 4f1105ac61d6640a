<script setup lang="ts">
import { dayWords, STOP_NAMES } from '~~/core/wording'
import type { SaveState } from '~/following/saving'

/** Name, class and day of the lesson, whether all is saved, and the ways out: board, print, files. */
defineEmits<{ board: []; keys: [] }>()
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const when = computed(() => [plan.value.date && dayWords(plan.value.date), plan.value.clock.start].filter(Boolean).join(', '))
const SAVED: Record<SaveState, string> = {
  saved: 'saved',
  waiting: 'saving …',
  saving: 'saving …',
  away: 'not saved: trying again',
  refused: 'not saved: see below',
}
const next = computed(() => lesson.readiness?.next)
const importing = ref(false)
</script>

<template>
  <header class="head screen-only">
    <div class="names">
      <h1>{{ plan.title || 'Lesson without a name' }}</h1>
      <p class="soft">
        Class {{ plan.className
        }}<template v-if="when">
          ·
          <span class="nowrap">{{ when }}</span>
        </template>
      </p>
    </div>
    <p class="state" :class="lesson.saveState" role="status">
      {{ SAVED[lesson.saveState] }}<template v-if="!lesson.connected">, line is down</template>
    </p>
    <div class="row tools">
      <button type="button" class="button small quiet" :disabled="!lesson.canUndo" title="Ctrl+Z" @click="lesson.undo()">
        Undo
      </button>
      <button type="button" class="button small" @click="$emit('board')">Board</button>
      <VMenu>
        <template #activator="{ props }">
          <button type="button" class="button small" v-bind="props">Print and files</button>
        </template>
        <div class="menu sheet">
          <h2>Print</h2>
          <ul class="prints">
            <li v-for="name in PRINTOUT_NAMES" :key="name">
              <NuxtLink class="button quiet" :to="`/print/${lesson.id}/${name}`" target="_blank">{{
                PRINTOUTS[name].label
              }}</NuxtLink>
            </li>
          </ul>
          <h2>Files</h2>
          <ul class="prints">
            <li><a class="button quiet" :href="`/api/lessons/${lesson.id}/file`">Save the lesson as a file</a></li>
            <li><a class="button quiet" :href="`/api/lessons/${lesson.id}/package`">Data package (zip)</a></li>
            <li><a class="button quiet" :href="`/api/lessons/${lesson.id}/spreadsheet`">Results as a spreadsheet (XLSX)</a></li>
            <li><a class="button quiet" :href="`/api/lessons/${lesson.id}/readings.csv`">Readings as a table (CSV)</a></li>
            <li><button type="button" class="button quiet" @click="importing = true">Take readings in from a table</button></li>
            <li><button type="button" class="button quiet" @click="$emit('keys')">Keys</button></li>
          </ul>
        </div>
      </VMenu>
      <span v-if="next" class="sr-only">Next: {{ STOP_NAMES[next] }}</span>
    </div>
    <LazyImportDialog v-if="importing" v-model="importing" />
  </header>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 12px 26px 8px;
}
.names {
  flex: 1;
  min-width: 0;
}
.names p {
  font-size: 15px;
}
.tools {
  flex: none;
  flex-wrap: nowrap;
}
.head h1 {
  overflow: hidden;
  font-size: 17px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.state {
  flex: none;
  color: var(--soft);
  font-size: 14px;
}
.state.away,
.state.refused {
  color: var(--beet);
  font-weight: 700;
}
.menu {
  padding: 8px;
}
.menu h2 {
  padding: 4px 14px 0;
  color: var(--soft);
  font-family: var(--dense);
  font-size: 14px;
  font-weight: 600;
}
.prints {
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.menu .button {
  width: 100%;
  justify-content: flex-start;
}
</style>
