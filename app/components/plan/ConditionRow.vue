<script setup lang="ts">
import type { Condition } from '~~/core/lesson'
import { LONGEST, changedFactor, letterOf, withCondition, withLabel } from '~~/core/lesson'
import { NUMBER_UNITS, unitOf } from '~~/core/quantity'
import { conditionsWords } from '~~/core/wording'
import { usedIn } from '~~/core/record'

/** What we change it to: kinds, or numbers in one unit. Letter, colour and hatch stay with a condition everywhere. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const used = computed(() => usedIn(lesson.record).conditions)
const units = NUMBER_UNITS.filter((code) => code !== 'pieces')
const words = computed(() => conditionsWords(plan.value.kind))
const what = computed(() =>
  plan.value.kind === 'fair-test' ? `what we change ${changedFactor(plan.value)?.name ?? 'it'} to` : words.value.what,
)
const numbers = computed(() => plan.value.conditionsAs === 'numbers' && plan.value.kind !== 'improve')

function add(label: string): void {
  lesson.replace(withCondition(plan.value, newId(), label))
}

function change(id: string, what: (condition: Condition) => void, typing = ''): void {
  lesson.edit((draft) => what(draft.conditions.find((one) => one.id === id)!), typing)
}

function markBaseline(id: string): void {
  lesson.edit((draft) => {
    for (const one of draft.conditions) one.baseline = one.id === id && !one.baseline
  })
}

function itemsFor(condition: Condition) {
  return [
    { label: condition.baseline ? 'No baseline' : 'Mark as baseline', key: 'b', run: () => markBaseline(condition.id) },
    {
      label: condition.leftOut ? 'Bring back' : 'Leave out',
      key: 'x',
      run: () => change(condition.id, (one) => (one.leftOut = !one.leftOut)),
    },
    ...(used.value.has(condition.id)
      ? []
      : [
          {
            label: 'Take away',
            key: 'Delete',
            run: () => lesson.edit((draft) => (draft.conditions = draft.conditions.filter((one) => one.id !== condition.id))),
          },
        ]),
  ]
}
</script>

<template>
  <section class="section" aria-labelledby="conditions">
    <header class="row head">
      <h3 id="conditions" data-target="conditions" tabindex="-1">{{ words.name }}</h3>
      <span class="soft">{{ what }}</span>
      <span v-if="plan.kind !== 'improve'" class="as">
        <label class="kind">
          <input
            type="radio"
            name="as"
            :checked="plan.conditionsAs === 'kinds'"
            @change="lesson.edit((draft) => (draft.conditionsAs = 'kinds'))"
          />
          kinds
        </label>
        <label class="kind">
          <input
            type="radio"
            name="as"
            :checked="plan.conditionsAs === 'numbers'"
            @change="lesson.edit((draft) => (draft.conditionsAs = 'numbers'))"
          />
          numbers
        </label>
        <select
          v-if="plan.conditionsAs === 'numbers'"
          class="box unit"
          aria-label="Unit of the numbers"
          :value="plan.conditionUnit"
          @change="lesson.edit((draft) => (draft.conditionUnit = ($event.target as HTMLSelectElement).value as never))"
        >
          <option v-for="code in units" :key="code" :value="code">{{ unitOf(code).symbol || 'a count' }}</option>
        </select>
      </span>
    </header>
    <ul class="conditions">
      <li v-for="(condition, place) in plan.conditions" :key="condition.id" class="condition" :class="{ out: condition.leftOut }">
        <ConditionBadge :letter="letterOf(plan, condition.id)" :place="place" />
        <div class="words">
          <GrowingField
            plain
            :label="`Condition ${letterOf(plan, condition.id)}`"
            :target="`condition-${condition.id}`"
            :model-value="condition.label"
            placeholder="no name yet"
            :longest="LONGEST.name"
            @update:model-value="lesson.replace(withLabel(plan, condition.id, $event), `condition-${condition.id}`)"
          />
          <p v-if="condition.baseline || condition.leftOut" class="hint mark">{{ condition.leftOut ? 'left out' : 'baseline' }}</p>
        </div>
        <MoreMenu :label="`More for condition ${letterOf(plan, condition.id)}`" :items="itemsFor(condition)" />
      </li>
      <li class="condition new" :class="{ only: plan.conditions.length === 0 }">
        <QuickAdd
          target="new-condition"
          label="Add a condition"
          :longest="LONGEST.name"
          :placeholder="plan.conditions.length === 0 ? (plan.conditionsAs === 'kinds' ? words.example : '40 cm') : '+ another'"
          @add="add"
        />
      </li>
    </ul>
    <LevelHelper v-if="numbers" />
  </section>
</template>

<style scoped>
.head h3 {
  font-size: 17px;
}
.as {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-left: auto;
  font-size: 15px;
}
.kind {
  display: flex;
  gap: 5px;
  cursor: pointer;
}
.kind input {
  accent-color: var(--green);
}
.unit {
  width: 80px;
  min-height: 30px;
  padding: 1px 6px;
}
.conditions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 8px;
}
.condition {
  display: flex;
  flex: 1 1 148px;
  max-width: 240px;
  align-items: center;
  gap: 4px;
  min-height: 46px;
  padding: 4px 2px 4px 8px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  font-family: var(--heading);
}
.words {
  flex: 1;
  min-width: 0;
}
.condition.out {
  border-style: dashed;
  background: transparent;
}
.condition.out textarea {
  text-decoration: line-through;
}
.mark {
  padding-left: 6px;
  font-size: 13px;
}
.condition.new {
  flex: 0 1 96px;
  padding: 0;
  border: 1.5px dashed var(--mark);
  background: transparent;
}
.condition.new.only {
  flex-basis: 220px;
}
.new input {
  width: 100%;
  min-height: 42px;
  padding: 4px 10px;
  border: 0;
  background: none;
}
.new input::placeholder {
  color: var(--soft);
  opacity: 1;
}
</style>
