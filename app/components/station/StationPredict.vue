<script setup lang="ts">
import { activeConditions, type Plan } from '~~/core/lesson'
import { FRAME_WORDS } from '~~/core/wording'
import type { NewPrediction } from '~~/schemas/record'

/** The group's order and why, before the first trial that counts. */
const props = defineProps<{ plan: Plan; group: string }>()
const emit = defineEmits<{ stamp: [prediction: NewPrediction]; later: [] }>()
const order = ref<string[]>([])
const reason = ref('')
const whole = computed(() => order.value.length === activeConditions(props.plan).length)
const stamp = () => emit('stamp', { id: newId(), group: props.group, order: order.value, reason: reason.value.trim() })
</script>

<template>
  <form class="predict" @submit.prevent="stamp">
    <QuestionLine :plan="plan" />
    <h1>{{ FRAME_WORDS[plan.frame].order }}</h1>
    <OrderPicker v-model="order" :plan="plan" big />
    <label v-if="whole" class="because">
      {{ FRAME_WORDS[plan.frame].reason }}
      <textarea v-model="reason" rows="2" maxlength="4000" />
    </label>
    <div class="row">
      <button type="button" class="button large" @click="emit('later')">Later</button>
      <button type="submit" class="button main large grow" :disabled="!whole">This is our prediction</button>
    </div>
  </form>
</template>

<style scoped>
.predict {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  padding: 14px 0;
}
h1 {
  font-size: 20px;
}
.because {
  display: grid;
  gap: 4px;
}
.because textarea {
  padding: 8px 12px;
  border: 1.5px solid var(--ink);
  border-radius: var(--corner);
  background: var(--card);
  font-size: 20px;
}
.grow {
  flex: 1;
}
</style>
