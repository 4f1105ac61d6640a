<script setup lang="ts">
import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { circuitTogether, fitTogether, roundAt, TOGETHER_VIEWS, type TogetherView } from '~~/core/together'
import { fitTogetherWords, TOGETHER_VIEW_WORDS } from '~~/core/wording'

/** All lessons that run together on the projector: one message at a time. */
const route = useRoute()
const running = useTogether(String(route.params.id))
const { view, members, found, connected, missing, title, change } = running
const together = computed(() => view.value?.together)
const { timetable, timed } = useInterleaving(members, together)
const dark = useLocalStorage('board-dark', false)
const done = computed(() => found.value.length > 0 && found.value.every((one) => one.all > 0 && one.done === one.all))
const begun = computed(() => found.value.some((one) => one.done > 0))
const shown = computed<TogetherView>(() => together.value?.view ?? (done.value ? 'overview' : begun.value ? 'test' : 'join'))
const circuit = computed(() => together.value && circuitTogether(members.value, together.value))
const fit = computed(() => timetable.value && timed.value && fitTogether(timetable.value, timed.value.of, together.value!.minutes))
const titleOf = (lesson: string) => members.value.find((one) => one.lesson === lesson)?.plan.title || 'Lesson without a name'
const began = computed(() => together.value?.clockStarted ?? null)
const now = ref(serverNow())
const SECOND = 1000
useIntervalFn(() => (now.value = serverNow()), SECOND)
const round = computed(() =>
  began.value === null || !circuit.value ? undefined : roundAt(circuit.value, (now.value - Date.parse(began.value)) / SECOND),
)
const turnClock = () => change({ clockStarted: began.value === null ? new Date(serverNow()).toISOString() : null })
const step = (by: number) => {
  const at = TOGETHER_VIEWS.indexOf(shown.value) + by
  void change({ view: TOGETHER_VIEWS[Math.min(TOGETHER_VIEWS.length - 1, Math.max(0, at))]! })
}
useKeys({
  s: () => void turnClock(),
  ArrowRight: () => step(1),
  ArrowLeft: () => step(-1),
  Escape: () => void change({ view: null }),
  d: () => (dark.value = !dark.value),
})
useHead({ title: () => `Board · ${title.value}` })
</script>

<template>
  <VThemeProvider class="board" with-background :theme="dark ? 'projector' : 'jolly'">
    <p v-if="missing">These lessons do not run together any more. Close this window and open the board from the desk.</p>
    <p v-else-if="!view || !together">Opening …</p>
    <template v-else>
      <header>
        <h1>{{ title }}</h1>
      </header>
      <main class="flex-1 min-h-0 py-part px-0">
        <BoardJoin v-if="shown === 'join'" :code="view.code" :alone="false" />
        <div v-else-if="shown === 'test'" class="test">
          <p v-if="fit && together.way !== 'circuit'">{{ fitTogetherWords(fit) }}</p>
          <p v-if="together.way === 'circuit' && circuit" class="row">
            <strong>{{
              round === undefined ? `${circuit.rounds.length} rounds` : `Round ${round + 1} of ${circuit.rounds.length}`
            }}</strong>
            <VBtn class="text-huge" @click="turnClock">{{ began === null ? 'Start the rounds' : 'Stop' }}</VBtn>
          </p>
          <ul class="investigations">
            <li v-for="one in found" :key="one.lesson">
              <h2>
                {{ one.plan.title || 'Lesson without a name' }} <span class="soft">{{ one.done }} of {{ one.all }}</span>
              </h2>
              <p class="groups">
                <span v-for="group in one.groups" :key="group.id" :class="{ whole: group.all > 0 && group.done === group.all }">
                  {{ group.name }} {{ group.done === group.all && group.all > 0 ? '✓' : `${group.done}/${group.all}` }}
                </span>
              </p>
            </li>
          </ul>
          <p v-if="together.way === 'circuit' && circuit && round !== undefined" class="groups">
            <span v-for="(name, place) in circuit.groups" :key="name">
              {{ name }} → {{ circuit.rounds[round]![place] ? titleOf(circuit.rounds[round]![place]!) : 'writes up' }}
            </span>
          </p>
        </div>
        <TogetherFound v-else-if="shown === 'overview'" big :found="found" />
        <p v-else class="sentence">{{ together.conclusion || 'Our sentence is still to come.' }}</p>
      </main>
      <footer>
        <VMenu location="top start">
          <template #activator="{ props: activator }">
            <VBtn v-bind="activator" class="show">{{ TOGETHER_VIEW_WORDS[shown] }}</VBtn>
          </template>
          <VList role="menu" aria-label="What the board shows">
            <VListItem
              v-for="one in TOGETHER_VIEWS"
              :key="one"
              role="menuitemradio"
              :title="TOGETHER_VIEW_WORDS[one]"
              :active="one === shown"
              :aria-checked="one === shown"
              @click="change({ view: one })"
            />
          </VList>
        </VMenu>
        <p v-if="connected">
          join with <strong class="nowrap">{{ view.code }}</strong>
        </p>
        <p v-else class="text-beet"><span aria-hidden="true">▲</span> the line is down, numbers may be old</p>
      </footer>
    </template>
  </VThemeProvider>
</template>

<style scoped>
.board {
  --type-body: clamp(24px, 2.2vw, 54px);
  --type-lead: clamp(24px, 2.2vw, 54px);
  --type-title: clamp(24px, 2.2vw, 54px);
  --type-large: clamp(24px, 2.2vw, 54px);
  --type-huge: clamp(26px, 2.35vw, 58px);
  --type-figure: clamp(32px, 3.1vw, 76px);
  display: flex;
  flex-direction: column;
  min-height: 100vh;
  padding: 2vh 3vw 1.5vh;
  background: var(--paper);
  color: var(--ink);
  font-family: var(--heading);
  font-size: var(--type-huge);
}
header h1 {
  font-size: clamp(28px, 2.75vw, 66px);
}
h2 {
  font-size: var(--type-huge);
}
.investigations li {
  padding: var(--gap-near) 0;
  border-bottom: 2px solid var(--line);
}
.groups {
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap-near) var(--gap-part);
  font-size: var(--type-body);
}
.groups span {
  padding: 0 var(--gap-near);
  border: 2px solid var(--ink);
  border-radius: var(--corner);
}
.groups .whole {
  background: var(--green-light);
}
.sentence {
  font-size: var(--type-figure);
  font-weight: 700;
  white-space: pre-wrap;
}
footer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: var(--gap-block);
  padding-top: var(--gap-near);
  border-top: 2px solid var(--ink);
}
footer strong {
  letter-spacing: 3px;
}
.show {
  font-family: var(--heading);
  font-size: inherit;
}
</style>
