<script setup lang="ts">
import { activeConditions, conditionName, letterOf, type Plan } from '~~/core/lesson'

/** An order put together by tapping: the most first. A tap on a chosen one takes it out again. */
const props = defineProps<{ plan: Plan; big?: boolean; target?: string }>()
const order = defineModel<string[]>({ required: true })
const rest = computed(() => activeConditions(props.plan).filter(({ id }) => !order.value.includes(id)))
const placeOf = (id: string) => props.plan.conditions.findIndex((one) => one.id === id)
const nameOf = (id: string) => conditionName(props.plan, props.plan.conditions[placeOf(id)]!)
const known = computed(() => order.value.filter((id) => placeOf(id) >= 0))
const count = computed(() => known.value.length + rest.value.length)
const rank = (place: number) => (place === 0 ? 'most' : place === count.value - 1 ? 'least' : '')
</script>

<template>
  <div class="picker" :class="{ big }">
    <ol class="slots" aria-label="Chosen order, the most first">
      <li v-for="place in count" :key="place">
        <span class="rank">
          {{ place }}
          <small v-if="rank(place - 1)">{{ rank(place - 1) }}</small>
        </span>
        <button
          v-if="known[place - 1]"
          type="button"
          class="chip"
          :aria-label="`Take out ${nameOf(known[place - 1]!)}`"
          @click="order = order.filter((id) => id !== known[place - 1])"
        >
          <ConditionBadge :size="big ? 34 : 24" :letter="letterOf(plan, known[place - 1]!)" :place="placeOf(known[place - 1]!)" />
          {{ nameOf(known[place - 1]!) }}
        </button>
        <span v-else class="hole" />
      </li>
    </ol>
    <div v-if="rest.length > 0" class="rest" role="group" aria-label="Not placed yet">
      <button
        v-for="(condition, index) in rest"
        :key="condition.id"
        type="button"
        class="chip"
        :data-target="index === 0 ? target : undefined"
        @click="order = [...known, condition.id]"
      >
        <ConditionBadge :size="big ? 34 : 24" :letter="letterOf(plan, condition.id)" :place="placeOf(condition.id)" />
        {{ nameOf(condition.id) }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.picker {
  display: grid;
  gap: 10px;
}
.slots {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px;
}
.rank {
  display: block;
  color: var(--soft);
  font-size: 14px;
}
.hole {
  display: block;
  min-height: 38px;
  border: 1.5px dashed var(--mark);
  border-radius: var(--corner);
}
.rest {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.chip {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 38px;
  padding: 4px 12px 4px 6px;
  border: 1.5px solid var(--ink);
  border-radius: var(--corner);
  background: var(--card);
  font-family: var(--heading);
  text-align: left;
  overflow-wrap: anywhere;
  cursor: pointer;
}
.slots .chip {
  width: 100%;
}
.big .slots {
  grid-template-columns: minmax(0, 1fr);
}
.big .slots li {
  display: grid;
  grid-template-columns: 62px minmax(0, 1fr);
  align-items: center;
}
.big .chip,
.big .hole {
  min-height: 56px;
  font-size: 20px;
}
.big .rank {
  font-size: 18px;
}
.big .rank small {
  display: block;
  font-size: 15px;
}
</style>
