<script setup lang="ts">
import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { circuitTogether, placesInRound, roundAt, TOGETHER_VIEWS, viewTogether } from '~~/core/together'
import { fitTogetherWords, placeWords, TOGETHER_VIEW_WORDS, lessonName } from '~~/core/wording'
import BoardFrame from '~/components/board/BoardFrame.vue'
import BoardJoin from '~/components/board/BoardJoin.vue'
import TogetherFound from '~/components/together/TogetherFound.vue'
import { useInterleaving } from '~/composables/interleaving'
import { useKeys } from '~/composables/keys'
import { useTogether } from '~/composables/togetherDesk'
import { serverNow } from '~/following/serverClock'

/** All lessons that run together on the projector: one message at a time. */
const route = useRoute()
const running = useTogether(String(route.params.id))
const { view, members, found, connected, missing, title, change } = running
const together = computed(() => view.value?.together)
const { fit } = useInterleaving(members, together)
const dark = useLocalStorage('board-dark', false)
const shown = computed(() => viewTogether({ view: together.value?.view ?? null }, found.value))
const circuit = computed(() => (together.value?.way === 'circuit' ? circuitTogether(members.value, together.value) : undefined))
const began = computed(() => together.value?.clockStarted ?? null)
const now = ref(serverNow())
const SECOND = 1000
useIntervalFn(() => (now.value = serverNow()), SECOND)
const round = computed(() =>
  began.value === null || !circuit.value ? undefined : roundAt(circuit.value, (now.value - Date.parse(began.value)) / SECOND),
)
const places = computed(() => (circuit.value && round.value !== undefined ? placesInRound(circuit.value, round.value) : []))
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
  <BoardFrame
    :dark="dark"
    :connected="connected"
    :message="
      missing
        ? 'These lessons do not run together any more. Close this window and open the board from the desk.'
        : together
          ? undefined
          : 'Opening …'
    "
    :views="TOGETHER_VIEWS.map((value) => ({ value, title: TOGETHER_VIEW_WORDS[value] }))"
    :shown="shown"
    @show="change({ view: $event })"
  >
    <template #title>
      <h1>{{ title }}</h1>
    </template>
    <template v-if="view && together">
      <BoardJoin v-if="shown === 'join'" :code="view.code" :alone="false" />
      <div v-else-if="shown === 'test'">
        <p v-if="circuit" class="row">
          <strong>{{
            round === undefined ? `${circuit.rounds.length} rounds` : `Round ${round + 1} of ${circuit.rounds.length}`
          }}</strong>
          <VBtn class="text-huge" title="s" @click="turnClock">{{ began === null ? 'Start the rounds' : 'Stop' }}</VBtn>
        </p>
        <p v-else-if="fit">{{ fitTogetherWords(fit) }}</p>
        <p v-if="places.length > 0" class="groups my-near">
          <span v-for="one in places" :key="one.group">{{ one.group }} → {{ placeWords(members, one.lesson) }}</span>
        </p>
        <ul class="investigations">
          <li v-for="one in found" :key="one.lesson">
            <h2>
              {{ lessonName(one.plan.title) }} <span class="soft">{{ one.done }} of {{ one.all }}</span>
            </h2>
            <p v-if="!together.oneLesson || one.groups.length > 1" class="groups">
              <span v-for="group in one.groups" :key="group.id" :class="{ whole: group.all > 0 && group.done === group.all }">
                {{ group.name }} {{ group.done === group.all && group.all > 0 ? '✓' : `${group.done}/${group.all}` }}
              </span>
            </p>
          </li>
        </ul>
      </div>
      <TogetherFound v-else-if="shown === 'overview'" big :found="found" />
      <p v-else class="sentence">{{ together.conclusion || 'Our sentence is still to come.' }}</p>
    </template>
    <template #join>
      join with
      <strong class="nowrap">{{ view?.code }}</strong>
    </template>
  </BoardFrame>
</template>

<style scoped>
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
</style>
