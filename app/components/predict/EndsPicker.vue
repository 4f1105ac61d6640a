<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { activeConditions, conditionName, letterOf } from '~~/core/lesson'
import { endsOf } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import PickOne from '~/forms/PickOne.vue'

/** The most and the least only: one tap in each row. */
const plan = useLessonPlan()
defineProps<{ big?: boolean }>()
/** [most, least]; an empty string where nothing is chosen yet. */
const ends = defineModel<string[]>({ required: true })
const rows = computed(() => [endsOf(plan.value).most, endsOf(plan.value).least])

function choose(place: number, id: string): void {
  const both = [ends.value[0] ?? '', ends.value[1] ?? '']
  // One cannot be both: choosing it here frees it there.
  ends.value = both.map((old, other) => (other === place ? id : old === id ? '' : old))
}

const placeOf = (id: string) => plan.value.conditions.findIndex((one) => one.id === id)
</script>

<template>
  <div class="grid gap-near" :class="{ big }">
    <div v-for="(row, place) in rows" :key="row" class="end">
      <span class="text-soft" aria-hidden="true">{{ row }}</span>
      <PickOne
        tiles
        :label="row"
        :model-value="ends[place] || undefined"
        :options="activeConditions(plan).map((condition) => ({ value: condition.id, title: conditionName(plan, condition) }))"
        @update:model-value="choose(place, $event!)"
      >
        <template #default="{ option }">
          <ConditionBadge :size="big ? 34 : 24" :letter="letterOf(plan, option.value)" :place="placeOf(option.value)" />
          {{ option.title }}
        </template>
      </PickOne>
    </div>
  </div>
</template>

<style scoped>
.end {
  display: grid;
  grid-template-columns: 80px minmax(0, 1fr);
  align-items: center;
}
.big .end {
  grid-template-columns: minmax(0, 1fr);
  font-size: var(--type-title);
}
</style>
