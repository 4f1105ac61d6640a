<script setup lang="ts">
import { activeConditions, conditionName, measuredCard, type Plan } from '~~/core/lesson'
import { expectedUnit } from '~~/core/measuring'
import { changeWords } from '~~/core/wording'

/** Something for every condition: a number with its unit, one of the ordered words, or more, less and the same. */
const props = defineProps<{ plan: Plan; big?: boolean; words?: 'change' | 'words' }>()
const values = defineModel<Record<string, number>>({ required: true })
const method = computed(() => measuredCard(props.plan)?.method)
const choices = computed(() =>
  props.words === 'change'
    ? [1, 0, -1].map((value) => ({ value, name: changeWords(value) }))
    : (method.value?.words ?? []).map((name, place) => ({ value: place + 1, name })),
)

function set(id: string, value: number | null): void {
  const { [id]: _old, ...others } = values.value
  values.value = value === null ? others : { ...others, [id]: value }
}
</script>

<template>
  <ul class="values" :class="{ big }">
    <li v-for="condition in activeConditions(plan)" :key="condition.id">
      <ConditionName class="name" :plan="plan" :id="condition.id" :size="big ? 34 : 24" />
      <span v-if="words" class="choices" role="radiogroup" :aria-label="conditionName(plan, condition)">
        <button
          v-for="choice in choices"
          :key="choice.value"
          type="button"
          class="button"
          role="radio"
          :aria-checked="values[condition.id] === choice.value"
          :class="{ on: values[condition.id] === choice.value }"
          @click="set(condition.id, choice.value)"
        >
          <span v-if="values[condition.id] === choice.value" aria-hidden="true">✓</span>
          {{ choice.name }}
        </button>
      </span>
      <NumberField
        v-else
        bare
        optional
        :label="`What will we read for ${conditionName(plan, condition)}`"
        :unit="method ? expectedUnit(method) : 'count'"
        :model-value="values[condition.id] ?? null"
        @update:model-value="set(condition.id, $event)"
      />
    </li>
  </ul>
</template>

<style scoped>
.values {
  display: grid;
  gap: 8px;
}
li {
  display: grid;
  grid-template-columns: minmax(120px, 240px) minmax(0, 1fr);
  align-items: center;
  gap: 6px 12px;
}
.name {
  font-family: var(--heading);
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.on {
  border-color: var(--green);
  background: var(--green-light);
}
.big li {
  grid-template-columns: minmax(0, 1fr);
}
.big .button {
  flex: 1 0 90px;
  min-height: 56px;
  font-size: 20px;
}
.big :deep(.box) {
  min-height: 56px;
  font-size: 22px;
}
</style>
