<script setup lang="ts">
import { activeConditions, BOUNDS, conditionName, LONGEST } from '~~/core/lesson'
import {
  bestOf,
  canBeNothing,
  canWeighEmpty,
  countedFor,
  countedPlace,
  countedUntil,
  countsOf,
  resultUnit,
  watchedPlaces,
  type ResolvedMethod,
} from '~~/core/test'
import { bestChoices, countedChoice, countsLine, eachExample, eachIsChoices, placeChoices } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import TextField from '~/forms/TextField.vue'
import TickField from '~/forms/TickField.vue'
import { useMeasureInHand } from '~/composables/measureInHand'

/** Which figure speaks for a trial, what is best, and what is known of it from elsewhere. */
const { plan, method, way, editMethod } = useMeasureInHand()
const choices = computed(() => countedFor(plan.value).map((value) => ({ value, ...countedChoice(plan.value, value) })))
const example = computed(() => choices.value.find(({ value }) => value === countsOf(plan.value))?.hint)
const places = computed(() => watchedPlaces(plan.value))
const byNumber = computed(() => way.value.isAmount)
function set<Part extends keyof ResolvedMethod>(part: Part, value: ResolvedMethod[Part], typing = ''): void {
  editMethod((own) => ({ ...own, [part]: value }), typing)
}
function setMost(condition: string, most: number | null): void {
  const { [condition]: _old, ...others } = method.value!.mostPossible
  set('mostPossible', most === null ? others : { ...others, [condition]: most })
}
const setCounts = (value: string) => value !== 'reading' && set('counts', value as ResolvedMethod['counts'])
</script>

<template>
  <AppFold v-if="method && (byNumber || choices.length > 1)" title="What counts" :hint="countsLine(plan)">
    <div class="three-columns">
      <div v-if="choices.length > 1">
        <ChoiceField
          label="What counts of each trial"
          target="counts"
          :model-value="countsOf(plan)"
          :options="choices"
          @update:model-value="setCounts"
        />
        <p class="hint">{{ example }}</p>
      </div>
      <div v-if="byNumber">
        <ChoiceField
          label="Each number is"
          target="each-is"
          :model-value="method.eachIs"
          :options="eachIsChoices()"
          @update:model-value="set('eachIs', $event)"
        />
        <p class="hint">{{ eachExample(plan) }}</p>
      </div>
      <div v-if="canWeighEmpty(plan)">
        <TickField
          label="Containers are weighed empty first"
          :model-value="method.weighsEmpty"
          @update:model-value="set('weighsEmpty', $event)"
        />
        <p class="hint">then only what is in them counts; the empty ones are written down at Test</p>
      </div>
      <ChoiceField
        v-if="places.length > 0"
        label="Which place counts"
        :model-value="countedPlace(plan) === 'apart' ? null : (countedPlace(plan) as number)"
        :options="placeChoices(plan)"
        @update:model-value="set('countsPlace', $event)"
      />
      <div v-if="canBeNothing(plan)">
        <TickField
          label="Only the size counts"
          target="by-size"
          :model-value="method.bySize"
          @update:model-value="set('bySize', $event)"
        />
        <p class="hint">3 less is as much as 3 more; without it 3 less is the lower one</p>
      </div>
      <template v-if="countsOf(plan) === 'until'">
        <ChoiceField
          v-if="way.fromWords"
          label="Until it is"
          :model-value="countedUntil(plan) ?? 1"
          :options="method.words.map((title, place) => ({ value: place + 1, title }))"
          @update:model-value="set('countsUntil', $event)"
        />
        <NumberField
          v-else
          label="Until it reaches"
          target="counts-until"
          optional
          :unit="method.unit"
          :model-value="method.countsUntil"
          @update:model-value="set('countsUntil', $event)"
        />
      </template>
      <ChoiceField
        label="What is best"
        target="best"
        :model-value="bestOf(plan)"
        @update:model-value="set('best', $event)"
        :options="bestChoices(plan)"
      />
      <NumberField
        v-if="method.best === 'nearest'"
        label="Nearest to"
        optional
        :unit="resultUnit(plan)"
        :model-value="method.bestNumber"
        @update:model-value="set('bestNumber', $event)"
      />
      <template v-if="byNumber">
        <div>
          <NumberField
            label="A value known from elsewhere"
            target="known"
            optional
            :unit="resultUnit(plan)"
            :model-value="method.known"
            @update:model-value="set('known', $event)"
          />
          <p class="hint">a usual amount, or what a rule predicts: a line on the graph</p>
        </div>
        <template v-if="method.known !== null">
          <TextField
            label="What it is"
            :model-value="method.knownName"
            :longest="LONGEST.name"
            placeholder="for example the usual amount"
            @update:model-value="set('knownName', $event, 'known-name')"
          />
          <div>
            <NumberField
              label="How often a week one child does it"
              optional
              :model-value="method.knownWeekly"
              v-bind="BOUNDS.timesAWeek"
              @update:model-value="set('knownWeekly', $event)"
            />
            <p class="hint">then Results say what a saving adds up to</p>
          </div>
        </template>
      </template>
    </div>
    <fieldset v-if="byNumber && countsOf(plan) === 'reading'" class="ends">
      <legend>The most that can be read</legend>
      <p class="hint">
        Where the string, the table or the watch ends. A reading there is “at least”, and one beyond it is asked about.
      </p>
      <div class="three-columns">
        <NumberField
          v-for="condition in activeConditions(plan)"
          :key="condition.id"
          optional
          :label="conditionName(plan, condition)"
          :unit="method.unit"
          :model-value="method.mostPossible[condition.id] ?? null"
          @update:model-value="setMost(condition.id, $event)"
        />
      </div>
    </fieldset>
  </AppFold>
</template>
