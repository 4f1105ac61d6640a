<script setup lang="ts">
import { changedFactor, letterOf, LONGEST, withCondition, type Condition } from '~~/core/lesson'
import {
  atLevel,
  baseConditions,
  seriesIn,
  withConditionInEach,
  withLevel,
  withLevelLabel,
  withoutLevel,
  kindOf,
} from '~~/core/test'
import { NUMBER_UNITS, unitOf } from '~~/core/quantity'
import { conditionsWords } from '~~/core/wording'
import { usedIn } from '~~/core/record'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import MoreMenu from '~/components/pieces/MoreMenu.vue'
import LevelHelper from '~/components/plan/LevelHelper.vue'
import SeriesRows from '~/components/plan/SeriesRows.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import GrowingField from '~/forms/GrowingField.vue'
import PickOne from '~/forms/PickOne.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** What we change it to: kinds, or numbers in one unit. Letter, colour and hatch stay with a condition everywhere. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const used = computed(() => usedIn(lesson.record).conditions)
const units = NUMBER_UNITS.filter((code) => code !== 'pieces')
const words = computed(() => conditionsWords(plan.value.kind))
const what = computed(() =>
  kindOf(plan.value).changesOne ? `what we change ${changedFactor(plan.value)?.name ?? 'it'} to` : words.value.what,
)
const numbers = computed(() => plan.value.conditionsAs === 'numbers' && !kindOf(plan.value).improves)

/** Of several series the levels are shown once: what is done to one is done in every series. */
const shown = computed(() => baseConditions(plan.value))

function add(label: string): void {
  const several = seriesIn(plan.value).length > 0
  lesson.replace(several ? withConditionInEach(plan.value, label, newId) : withCondition(plan.value, newId(), label))
}

function markBaseline(id: string): void {
  const none = { ...plan.value, conditions: plan.value.conditions.map((one) => ({ ...one, baseline: false })) }
  const was = plan.value.conditions.find((one) => one.id === id)!.baseline
  lesson.replace(was ? none : withLevel(none, id, (one) => ({ ...one, baseline: true })))
}

function itemsFor(condition: Condition) {
  return [
    { label: condition.baseline ? 'No baseline' : 'Mark as baseline', key: 'b', run: () => markBaseline(condition.id) },
    {
      label: condition.leftOut ? 'Bring back' : 'Leave out',
      key: 'x',
      run: () => lesson.replace(withLevel(plan.value, condition.id, (one) => ({ ...one, leftOut: !condition.leftOut }))),
    },
    ...(atLevel(plan.value, condition.id).some((id) => used.value.has(id))
      ? []
      : [
          {
            label: 'Take away',
            key: 'Delete',
            run: () => lesson.replace(withoutLevel(plan.value, condition.id)),
          },
        ]),
  ]
}
</script>

<template>
  <section class="section" aria-labelledby="conditions">
    <header class="row head">
      <h3 class="text-lead" id="conditions" data-target="conditions" tabindex="-1">{{ words.name }}</h3>
      <span class="soft">
        {{ what
        }}<template v-if="plan.conditions.length === 0 && plan.conditionsAs === 'kinds'"
          >, for example {{ words.example }}</template
        >
      </span>
      <span v-if="!kindOf(plan).improves" class="as flex items-center gap-wide ml-auto text-body">
        <PickOne
          label="What the conditions are"
          :model-value="plan.conditionsAs"
          :options="[
            { value: 'kinds', title: 'kinds' },
            { value: 'numbers', title: 'numbers' },
          ]"
          @update:model-value="lesson.edit((draft) => (draft.conditionsAs = $event!))"
        />
        <ChoiceField
          bare
          label="Unit of the numbers"
          class="unit"
          v-if="plan.conditionsAs === 'numbers'"
          :model-value="plan.conditionUnit"
          @update:model-value="lesson.edit((draft) => (draft.conditionUnit = $event))"
          :options="units.map((code) => ({ value: code, title: unitOf(code).symbol || 'a count' }))"
        />
      </span>
    </header>
    <ul class="conditions flex flex-wrap gap-near mt-near">
      <li v-for="condition in shown" :key="condition.id" class="condition" :class="{ out: condition.leftOut }">
        <ConditionBadge :letter="letterOf(plan, condition.id)" :place="plan.conditions.indexOf(condition)" />
        <div class="words flex-1">
          <GrowingField
            plain
            :label="`Condition ${letterOf(plan, condition.id)}`"
            :target="`condition-${condition.id}`"
            :model-value="condition.label"
            placeholder="no name yet"
            :longest="LONGEST.name"
            @update:model-value="lesson.replace(withLevelLabel(plan, condition.id, $event), `condition-${condition.id}`)"
          />
          <p v-if="condition.baseline || condition.leftOut" class="hint pl-close text-small">
            {{ condition.leftOut ? 'left out' : 'baseline' }}
          </p>
        </div>
        <MoreMenu :label="`More for condition ${letterOf(plan, condition.id)}`" :items="itemsFor(condition)" />
      </li>
      <li class="condition new" :class="{ only: plan.conditions.length === 0 }">
        <QuickAdd
          target="new-condition"
          label="Add a condition"
          :longest="LONGEST.name"
          :placeholder="plan.conditions.length === 0 ? '+ the first' : '+ another'"
          @add="add"
        />
      </li>
    </ul>
    <SeriesRows v-if="seriesIn(plan).length > 0" />
    <LevelHelper v-if="numbers && seriesIn(plan).length === 0" />
  </section>
</template>

<style scoped>
.unit {
  width: 80px;
  min-height: 30px;
  padding: 1px var(--gap-close);
}
.condition {
  display: flex;
  flex: 1 1 148px;
  max-width: 400px;
  align-items: center;
  gap: var(--gap-tight);
  min-height: 46px;
  padding: var(--gap-tight) var(--gap-hair) var(--gap-tight) var(--gap-near);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  font-family: var(--heading);
}
.condition.out {
  border-style: dashed;
  background: transparent;
}
.condition.new {
  flex: 0 1 110px;
  padding: 0;
  border: 0;
  background: transparent;
}
.condition.new.only {
  flex-basis: 220px;
}
.new > :first-child {
  flex: 1;
}
</style>
