<script setup lang="ts">
import {
  arrangementOf,
  arrangementsFor,
  circuitOf,
  circuitStations,
  conditionsEach,
  fewestShared,
  orderKindOf,
  walkedTimes,
} from '~~/core/arrangement'
import { fitOf, testStartOf } from '~~/core/clock'
import { BOUNDS, LONGEST, activeConditions, TRIAL_ORDERS, type Arrangement, type ExtraStation } from '~~/core/lesson'
import { ARRANGEMENT_WORDS, circuitVerdict, counted, ORDER_WORDS, secondWords } from '~~/core/wording'
import ArrangementTable from '~/components/clock/ArrangementTable.vue'
import ConditionName from '~/components/pieces/ConditionName.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import PickOne from '~/forms/PickOne.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import TextField from '~/forms/TextField.vue'
import TickField from '~/forms/TickField.vue'
import { useBetterRota } from '~/composables/betterRota'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** Who does which condition: everything, some of them, in a circuit, or all at one apparatus. */
const lesson = useLesson()
const notices = useNotices()
const plan = computed(() => lesson.plan!)
const testStart = computed(() => testStartOf(fitOf(plan.value)))
const ways = computed(() => arrangementsFor(plan.value))
const way = computed(() => arrangementOf(plan.value))
const active = computed(() => activeConditions(plan.value))
/** Watching, racing and trying a better one have nothing to mix; in a circuit each condition is a block. */
const canMix = computed(
  () => orderKindOf({ ...plan.value, arrangement: { ...plan.value.arrangement, order: 'mixed' } }) === 'mixed',
)
const hasBaseline = computed(() => active.value.some(({ baseline }) => baseline))
const circuit = computed(() => circuitOf(plan.value))
const whenReady = computed(() => plan.value.arrangement.change === 'when-ready')

function set(change: Partial<Arrangement>): void {
  lesson.edit((draft) => Object.assign(draft.arrangement, change))
}
function setCopies(id: string, copies: number | null): void {
  lesson.edit((draft) => (draft.arrangement.copies[id] = copies ?? 1))
}
function setExtra(id: string, change: Partial<ExtraStation>): void {
  set({ extra: plan.value.arrangement.extra.map((one) => (one.id === id ? { ...one, ...change } : one)) })
}
function addExtra(name: string): void {
  set({ extra: [...plan.value.arrangement.extra, { id: newId(), name, minutes: 5, copies: 1 }] })
}

const { share, look, stop } = useBetterRota(({ draw, finish }) => {
  const saved = circuit.value.finish - finish
  if (saved <= 0) return notices.done('No rota was found that ends sooner.')
  set({ draw })
  notices.done(`The new rota ends ${secondWords(saved)} sooner.`)
})
const verdict = computed(() => circuitVerdict(circuit.value))
</script>

<template>
  <section class="section sheet" aria-labelledby="arrangement">
    <h3 class="text-lead" id="arrangement">Who does what</h3>
    <PickOne
      class="ways"
      tiles
      label="Arrangement"
      :model-value="way"
      :options="ways.map((one) => ({ value: one, title: ARRANGEMENT_WORDS[one].name }))"
      @update:model-value="set({ way: $event })"
    >
      <template #default="{ option }">
        <span class="way grid">
          <strong>{{ option.title }}</strong>
          <span class="text-soft text-small leading-1.3">{{ ARRANGEMENT_WORDS[option.value].what }}</span>
        </span>
      </template>
    </PickOne>
    <div v-if="canMix" class="order my-near mx-0">
      <div class="row mb-10px">
        <span aria-hidden="true">Order of trials</span>
        <PickOne
          label="Order of trials"
          target="trial-order"
          :model-value="plan.arrangement.order"
          :options="TRIAL_ORDERS.map((one) => ({ value: one, title: ORDER_WORDS[one].name }))"
          @update:model-value="set({ order: $event })"
        />
        <TextField
          v-if="plan.arrangement.order === 'blocks'"
          label="because"
          inline
          class="why"
          lazy
          :longest="LONGEST.name"
          placeholder="for example: the water stays hot for one condition only"
          :model-value="plan.arrangement.orderReason"
          @update:model-value="set({ orderReason: $event.trim() })"
        />
      </div>
      <p class="hint">{{ ORDER_WORDS[plan.arrangement.order].what }}</p>
    </div>
    <div v-if="way === 'share-out'" class="row mb-10px">
      <NumberField
        steps
        whole
        label="Conditions for each group"
        :model-value="conditionsEach(plan)"
        :least="fewestShared(plan)"
        :most="active.length"
        @update:model-value="set({ each: $event ?? 2 })"
      />
      <TickField
        v-if="hasBaseline"
        label="every group does the baseline"
        :model-value="plan.arrangement.baselineInEvery"
        @update:model-value="set({ baselineInEvery: $event })"
      />
      <p class="hint">Every condition is done by at least two groups, and two conditions meet in a group as evenly as can be.</p>
    </div>
    <template v-if="way === 'circuit'">
      <div class="row mb-10px">
        <ChoiceField
          label="Groups move"
          :model-value="plan.arrangement.change"
          @update:model-value="set({ change: $event })"
          :options="[
            { value: 'at-bell', title: 'all together, at a bell' },
            { value: 'when-ready', title: 'each when it is ready' },
          ]"
        />
        <NumberField
          label="Walk to the next"
          unit="s"
          :model-value="plan.arrangement.walk"
          v-bind="BOUNDS.walkSeconds"
          @update:model-value="set({ walk: $event ?? 0 })"
        />
        <p class="hint grow">{{ verdict }}</p>
        <template v-if="whenReady && circuit.finish > circuit.bound">
          <VBtn v-if="share === undefined" size="small" @click="look(plan.groups.length, walkedTimes(plan))">
            Look for a better rota
          </VBtn>
          <VBtn v-else size="small" @click="stop"> Stop <progress :value="share" aria-label="How far the search is" /> </VBtn>
        </template>
      </div>
      <ul class="stations" aria-label="Stations">
        <li v-for="station in circuitStations(plan)" :key="station.id">
          <ConditionName v-if="station.measures" :id="station.id" />
          <TextField
            bare
            label="Name of the station"
            class="name"
            v-else
            :longest="LONGEST.name"
            :model-value="plan.arrangement.extra.find(({ id }) => id === station.id)!.name"
            @update:model-value="setExtra(station.id, { name: $event })"
          />
          <span v-if="station.measures" class="soft">{{ secondWords(station.seconds) }}</span>
          <NumberField
            v-else
            bare
            label="Minutes at the station"
            unit="min"
            :model-value="station.seconds / 60"
            v-bind="BOUNDS.minutes"
            @update:model-value="setExtra(station.id, { minutes: $event ?? 5 })"
          />
          <NumberField
            bare
            steps
            whole
            label="How many of this station"
            :model-value="station.copies"
            v-bind="BOUNDS.copies"
            @update:model-value="station.measures ? setCopies(station.id, $event) : setExtra(station.id, { copies: $event ?? 1 })"
          />
          <QuietBtn
            v-if="!station.measures"
            size="small"
            aria-label="Take the station away"
            @click="set({ extra: plan.arrangement.extra.filter(({ id }) => id !== station.id) })"
          >
            ✕
          </QuietBtn>
        </li>
      </ul>
      <QuickAdd
        v-if="plan.arrangement.extra.length < 8"
        label="Add a station without measuring"
        placeholder="+ a station without measuring"
        example="draw the set-up"
        :longest="LONGEST.name"
        @add="addExtra"
      />
    </template>
    <p v-if="way === 'together'" class="hint">
      The class does each condition {{ counted(plan.repeats, 'time') }} in all, the groups in turns.
    </p>
    <ArrangementTable :test-start="testStart" />
  </section>
</template>

<style scoped>
.why {
  flex: 1;
}
.ways {
  --tile: 165px;
  margin: 8px 0 12px;
}
.stations {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: var(--gap-tight) var(--gap-block);
  margin-bottom: 8px;
}
.stations li {
  display: grid;
  grid-template-columns: 1fr auto auto auto;
  gap: var(--gap-near);
  align-items: center;
}
.name {
  min-height: 30px;
  padding: var(--gap-hair) var(--gap-close);
}
</style>
