<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { activeConditions } from '~~/core/lesson'
import { expectedUnit } from '~~/core/measuring'
import { changesAsked } from '~~/core/predictions'
import { changeWords, nameOfCondition } from '~~/core/wording'
import { comparesMoments, testOf } from '~~/core/test'
import ConditionName from '~/components/pieces/ConditionName.vue'
import NumberField from '~/forms/NumberField.vue'
import PickOne from '~/forms/PickOne.vue'

/** Something for every condition: a number with its unit, one of the ordered words, or more, less and the same. */
const plan = useLessonPlan()
const props = defineProps<{ big?: boolean; words?: 'change' | 'words' }>()
const values = defineModel<Record<string, number>>({ required: true })
const method = computed(() => testOf(plan.value).method)
const choices = computed(() =>
  props.words === 'change'
    ? [1, 0, -1].map((value) => ({ value, title: changeWords(value) }))
    : (method.value?.words ?? []).map((title, place) => ({ value: place + 1, title })),
)

const asked = computed(() =>
  props.words === 'change' ? changesAsked(plan.value) : activeConditions(plan.value).map(({ id }) => id),
)

function set(id: string, value: number | null): void {
  const { [id]: _old, ...others } = values.value
  values.value = value === null ? others : { ...others, [id]: value }
}
</script>

<template>
  <ul class="values grid gap-near" :class="{ big }">
    <li v-for="id in asked" :key="id">
      <span v-if="words === 'change' && comparesMoments(plan)" class="name">{{ nameOfCondition(plan, id) }}</span>
      <ConditionName v-else class="name" :id="id" :size="big ? 34 : 24" />
      <PickOne
        v-if="words"
        tiles
        :label="nameOfCondition(plan, id)"
        :model-value="values[id]"
        :options="choices"
        @update:model-value="set(id, $event!)"
      />
      <NumberField
        v-else
        bare
        optional
        :label="`What will we read for ${nameOfCondition(plan, id)}`"
        :unit="expectedUnit(plan)"
        :model-value="values[id] ?? null"
        @update:model-value="set(id, $event)"
      />
    </li>
  </ul>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(120px, 240px) minmax(0, 1fr);
  align-items: center;
  gap: var(--gap-close) var(--gap-wide);
}
.name {
  font-family: var(--heading);
}
.big li {
  grid-template-columns: minmax(0, 1fr);
}
</style>
