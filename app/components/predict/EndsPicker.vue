<script setup lang="ts">
import { activeConditions, conditionName, letterOf, type Plan } from '~~/core/lesson'

/** The most and the least only: one tap in each row. */
const props = defineProps<{ plan: Plan; big?: boolean }>()
/** [most, least]; an empty string where nothing is chosen yet. */
const ends = defineModel<string[]>({ required: true })
const ROWS = ['most', 'least'] as const

function choose(place: number, id: string): void {
  const both = [ends.value[0] ?? '', ends.value[1] ?? '']
  // One cannot be both: choosing it here frees it there.
  ends.value = both.map((old, other) => (other === place ? id : old === id ? '' : old))
}

const placeOf = (id: string) => props.plan.conditions.findIndex((one) => one.id === id)
</script>

<template>
  <div class="ends" :class="{ big }">
    <fieldset v-for="(row, place) in ROWS" :key="row">
      <legend>{{ row }}</legend>
      <label
        v-for="condition in activeConditions(plan)"
        :key="condition.id"
        class="chip"
        :class="{ on: ends[place] === condition.id }"
      >
        <input
          class="sr-only"
          type="radio"
          :name="row"
          :checked="ends[place] === condition.id"
          @change="choose(place, condition.id)"
        />
        <ConditionBadge :size="big ? 34 : 24" :letter="letterOf(plan, condition.id)" :place="placeOf(condition.id)" />
        {{ conditionName(plan, condition) }}
        <span v-if="ends[place] === condition.id" class="tick" aria-hidden="true">✓</span>
      </label>
    </fieldset>
  </div>
</template>

<style scoped>
.ends {
  display: grid;
  gap: 10px;
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  min-width: 0;
  border: 0;
}
legend {
  float: left;
  width: 58px;
  padding: 6px 0;
  color: var(--soft);
}
.chip {
  border-color: var(--mark);
}
.chip.on {
  border-color: var(--green);
  background: var(--green-light);
}
.chip:has(:focus-visible) {
  outline: 3px solid var(--slate);
  outline-offset: 2px;
}
.tick {
  color: var(--green);
  font-weight: 700;
}
.big .chip {
  min-height: 56px;
  font-size: 20px;
}
.big legend {
  float: none;
  width: auto;
  font-size: 18px;
}
</style>
