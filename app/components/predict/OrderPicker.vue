<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { VueDraggable } from 'vue-draggable-plus'
import { activeConditions, conditionName, letterOf } from '~~/core/lesson'
import { endsOf } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import { useDragging } from '~/composables/dragging'

/** An order put together by tapping or dragging: the longest, highest, most first. A tap on a chosen one takes it out again. */
const plan = useLessonPlan()
const props = defineProps<{ big?: boolean; target?: string; ends?: 'first and last' }>()
const order = defineModel<string[]>({ required: true })
const placeOf = (id: string) => plan.value.conditions.findIndex((one) => one.id === id)
const nameOf = (id: string) => conditionName(plan.value, plan.value.conditions[placeOf(id)]!)
const known = computed({ get: () => order.value.filter((id) => placeOf(id) >= 0), set: (ids) => (order.value = ids) })
// What is dragged out of the order is not placed any more; the order itself says which those are.
const rest = computed({
  get: () =>
    activeConditions(plan.value)
      .map(({ id }) => id)
      .filter((id) => !order.value.includes(id)),
  set: () => undefined,
})
const count = computed(() => known.value.length + rest.value.length)
const names = computed(() => (props.ends ? { most: 'first', least: 'last' } : endsOf(plan.value)))
const rank = (place: number) => {
  if (place === 0) return names.value.most
  return place === count.value - 1 ? names.value.least : ''
}
// A condition is dragged by its own face, which is a button.
const dragging = { ...useDragging(), filter: '', group: useId(), draggable: '.item' }
</script>

<template>
  <div class="picker grid gap-near" :class="{ big }">
    <VueDraggable v-model="known" v-bind="dragging" tag="ol" class="slots" :aria-label="`Chosen order, the ${names.most} first`">
      <li v-for="(id, place) in known" :key="id" class="item">
        <span class="rank block text-soft text-small">
          {{ place + 1 }}
          <small v-if="rank(place)">{{ rank(place) }}</small>
        </span>
        <button
          type="button"
          class="chip w-full"
          :aria-label="`Take out ${nameOf(id)}`"
          @click="order = order.filter((other) => other !== id)"
        >
          <ConditionBadge :size="big ? 34 : 24" :letter="letterOf(plan, id)" :place="placeOf(id)" />
          {{ nameOf(id) }}
        </button>
      </li>
      <!-- At a station only the next place is open: what can be put there has to be in sight. -->
      <li v-for="hole in big ? Math.min(1, rest.length) : rest.length" :key="hole">
        <span class="rank block text-soft text-small">
          {{ known.length + hole }}
          <small v-if="rank(known.length + hole - 1)">{{ rank(known.length + hole - 1) }}</small>
        </span>
        <span class="hole" />
      </li>
    </VueDraggable>
    <VueDraggable v-if="rest.length > 0" v-model="rest" v-bind="dragging" class="rest" role="group" aria-label="Not placed yet">
      <button
        v-for="(id, index) in rest"
        :key="id"
        type="button"
        class="chip item"
        :data-target="index === 0 ? target : undefined"
        @click="order = [...known, id]"
      >
        <ConditionBadge :size="big ? 34 : 24" :letter="letterOf(plan, id)" :place="placeOf(id)" />
        {{ nameOf(id) }}
      </button>
    </VueDraggable>
  </div>
</template>

<style scoped>
@media (height < 500px) and (width >= 600px) {
  .picker.big {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    align-items: start;
  }
}
.slots {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: var(--gap-near);
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
  gap: var(--gap-near);
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
  font-size: var(--type-title);
}
.big .rank {
  font-size: var(--type-lead);
}
.big .rank small {
  display: block;
  font-size: var(--type-body);
}
</style>
