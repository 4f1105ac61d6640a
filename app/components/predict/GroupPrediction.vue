<script setup lang="ts">
import { activeConditions, letterOf } from '~~/core/lesson'
import { nearnessOf, type GroupPrediction } from '~~/core/predictions'
import { isCounted } from '~~/core/record'
import { nearnessWords } from '~~/core/wording'

/** One group's prediction at the desk: as it was stamped, later changes of mind, or the picker to take it down. */
const props = defineProps<{ prediction: GroupPrediction; result?: string[] }>()
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const group = computed(() => plan.value.groups.find((one) => one.id === props.prediction.group)!)
const begun = computed(() => lesson.record.readings.some((row) => row.group === group.value.id && isCounted(row)))
const taking = ref(false)
const order = ref<string[]>([])
const reason = ref('')
const whole = computed(() => order.value.length === activeConditions(plan.value).length)
const all = computed(() => [...(props.prediction.stamped ? [props.prediction.stamped] : []), ...props.prediction.later])
// Once every condition has a reading there is an order to lay the prediction beside.
const near = computed(() => {
  const { stamped } = props.prediction
  return stamped && props.result ? nearnessWords(nearnessOf(stamped.order, props.result)) : ''
})
const again = computed(() => (!props.prediction.stamped ? 'Take it down' : begun.value ? 'Changed its mind' : 'Take it anew'))

async function stamp(): Promise<void> {
  const done = await lesson.addPrediction({ id: newId(), group: group.value.id, order: order.value, reason: reason.value.trim() })
  if (!done) return
  taking.value = false
  order.value = []
  reason.value = ''
}
</script>

<template>
  <li class="group">
    <div class="row line">
      <span class="who">
        <ShapeBadge :shape="group.shape" />
        {{ group.name }}
      </span>
      <ul class="said">
        <li v-for="one in all" :key="one.id">
          <strong v-if="one.late" class="late">later:</strong>
          <span class="order">{{ one.order.map((id) => letterOf(plan, id)).join(' > ') }}</span>
          <span v-if="one.reason">“because {{ one.reason }}”</span>
          <span class="soft">{{ new Date(one.at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' }) }}</span>
        </li>
        <li v-if="near" class="near">{{ near }}</li>
        <li v-if="all.length === 0" class="soft">nothing yet</li>
      </ul>
      <button
        v-if="!taking"
        type="button"
        class="button small"
        :class="{ quiet: all.length > 0 }"
        :data-target="`order-${group.id}`"
        :aria-label="`${again}: ${group.name}`"
        @click="taking = true"
      >
        {{ again }}
      </button>
    </div>
    <form v-if="taking" class="sheet form" @submit.prevent="stamp">
      <OrderPicker v-model="order" :plan="plan" />
      <label class="field">
        <span>because …</span>
        <input v-model="reason" class="box" maxlength="4000" placeholder="it is the fluffiest" />
      </label>
      <div class="row">
        <button type="submit" class="button main" :disabled="!whole">{{ begun ? 'Keep as a change of mind' : 'Stamp it' }}</button>
        <button type="button" class="button quiet" @click="taking = false">Not now</button>
        <span v-if="begun" class="hint">This group has begun to test, so it is kept beside the first one.</span>
      </div>
    </form>
  </li>
</template>

<style scoped>
.group {
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.line {
  flex-wrap: nowrap;
}
.who {
  display: flex;
  flex: none;
  align-items: center;
  gap: 8px;
  width: 120px;
  font-family: var(--heading);
}
.said {
  flex: 1;
  min-width: 0;
}
.said li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
}
.order {
  font-family: var(--heading);
  font-weight: 700;
  white-space: nowrap;
}
.near {
  color: var(--leaf);
}
.late {
  color: var(--brass);
}
.form {
  display: grid;
  gap: 12px;
  margin: 8px 0;
}
</style>
