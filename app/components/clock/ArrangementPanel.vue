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
import {
  BOUNDS,
  LONGEST,
  activeConditions,
  TRIAL_ORDERS,
  type Arrangement,
  type ArrangementWay,
  type ExtraStation,
} from '~~/core/lesson'
import { ARRANGEMENT_WORDS, circuitVerdict, counted, ORDER_WORDS, secondWords } from '~~/core/wording'

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
    <h3 id="arrangement">Who does what</h3>
    <div class="ways" role="radiogroup" aria-label="Arrangement">
      <button
        v-for="one in ways"
        :key="one"
        type="button"
        role="radio"
        class="way"
        :aria-checked="way === one"
        :class="{ on: way === one }"
        @click="set({ way: one as ArrangementWay })"
      >
        <strong>{{ ARRANGEMENT_WORDS[one].name }}</strong>
        <span>{{ ARRANGEMENT_WORDS[one].what }}</span>
      </button>
    </div>
    <div v-if="canMix" class="order">
      <div class="row" role="radiogroup" aria-label="Order of trials">
        <span>Order of trials</span>
        <label v-for="one in TRIAL_ORDERS" :key="one" class="one">
          <input
            type="radio"
            name="trial-order"
            :value="one"
            :checked="plan.arrangement.order === one"
            data-target="trial-order"
            @change="set({ order: one })"
          />
          {{ ORDER_WORDS[one].name }}
        </label>
        <label v-if="plan.arrangement.order === 'blocks'" class="why">
          <span class="soft">because</span>
          <input
            class="box"
            :maxlength="LONGEST.name"
            placeholder="for example: the water stays hot for one condition only"
            :value="plan.arrangement.orderReason"
            @change="set({ orderReason: ($event.target as HTMLInputElement).value.trim() })"
          />
        </label>
      </div>
      <p class="hint">{{ ORDER_WORDS[plan.arrangement.order].what }}</p>
    </div>
    <div v-if="way === 'share-out'" class="row">
      <NumberField
        steps
        whole
        label="Conditions for each group"
        :model-value="conditionsEach(plan)"
        :least="fewestShared(plan)"
        :most="active.length"
        @update:model-value="set({ each: $event ?? 2 })"
      />
      <label v-if="hasBaseline" class="check">
        <input
          type="checkbox"
          :checked="plan.arrangement.baselineInEvery"
          @change="set({ baselineInEvery: ($event.target as HTMLInputElement).checked })"
        />
        every group does the baseline
      </label>
      <p class="hint">Every condition is done by at least two groups, and two conditions meet in a group as evenly as can be.</p>
    </div>
    <template v-if="way === 'circuit'">
      <div class="row">
        <label class="field">
          <span>Groups move</span>
          <select
            class="box"
            :value="plan.arrangement.change"
            @change="set({ change: ($event.target as HTMLSelectElement).value as Arrangement['change'] })"
          >
            <option value="at-bell">all together, at a bell</option>
            <option value="when-ready">each when it is ready</option>
          </select>
        </label>
        <NumberField
          label="Walk to the next"
          unit="s"
          :model-value="plan.arrangement.walk"
          v-bind="BOUNDS.walkSeconds"
          @update:model-value="set({ walk: $event ?? 0 })"
        />
        <p class="hint grow">{{ verdict }}</p>
        <template v-if="whenReady && circuit.finish > circuit.bound">
          <button
            v-if="share === undefined"
            type="button"
            class="button small"
            @click="look(plan.groups.length, walkedTimes(plan))"
          >
            Look for a better rota
          </button>
          <button v-else type="button" class="button small" @click="stop">
            Stop <progress :value="share" aria-label="How far the search is" />
          </button>
        </template>
      </div>
      <ul class="stations" aria-label="Stations">
        <li v-for="station in circuitStations(plan)" :key="station.id">
          <ConditionName v-if="station.measures" :plan="plan" :id="station.id" />
          <input
            v-else
            class="box name"
            :maxlength="LONGEST.name"
            aria-label="Name of the station"
            :value="plan.arrangement.extra.find(({ id }) => id === station.id)!.name"
            @input="setExtra(station.id, { name: ($event.target as HTMLInputElement).value })"
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
          <button
            v-if="!station.measures"
            type="button"
            class="button small quiet"
            aria-label="Take the station away"
            @click="set({ extra: plan.arrangement.extra.filter(({ id }) => id !== station.id) })"
          >
            ✕
          </button>
        </li>
      </ul>
      <QuickAdd
        v-if="plan.arrangement.extra.length < 8"
        label="Add a station without measuring"
        placeholder="+ a station without measuring: draw the set-up"
        :longest="LONGEST.name"
        @add="addExtra"
      />
    </template>
    <p v-if="way === 'together'" class="hint">
      The class does each condition {{ counted(plan.repeats, 'time') }} in all, the groups in turns.
    </p>
    <ArrangementTable :plan="plan" :test-start="testStart" />
  </section>
</template>

<style scoped>
.order {
  margin: 8px 0;
}
.one {
  display: inline-flex;
  gap: 6px;
  align-items: baseline;
}
.why {
  display: flex;
  flex: 1;
  gap: 8px;
  align-items: center;
}
h3 {
  font-size: 17px;
}
.ways {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(165px, 1fr));
  gap: 8px;
  margin: 8px 0 12px;
}
.way {
  display: flex;
  flex-direction: column;
  gap: 2px;
  padding: 8px 10px;
  border: 1.5px solid var(--mark);
  border-radius: var(--corner);
  background: var(--card);
  text-align: left;
  cursor: pointer;
}
.way span {
  color: var(--soft);
  font-size: 14px;
  line-height: 1.3;
}
.way.on {
  border-color: var(--green);
  background: var(--green-light);
  box-shadow: inset 0 0 0 1px var(--green);
}
.row {
  margin-bottom: 10px;
}
.check {
  display: inline-flex;
  gap: 6px;
}
.check input {
  accent-color: var(--green);
}
.stations {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: 4px 18px;
  margin-bottom: 8px;
}
.stations li {
  display: grid;
  grid-template-columns: 1fr auto auto auto;
  gap: 10px;
  align-items: center;
}
.name {
  min-height: 30px;
  padding: 2px 6px;
}
</style>
