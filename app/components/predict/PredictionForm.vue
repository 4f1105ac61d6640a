<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { LONGEST } from '~~/core/lesson'
import { emptyDraft, finished, isWhole, type PredictionDraft } from '~~/core/predictions'
import { FRAME_WORDS } from '~~/core/wording'
import type { NewPrediction } from '~~/core/lesson'
import { measureSaid, testOf } from '~~/core/test'
import EndsPicker from '~/components/predict/EndsPicker.vue'
import LineSketch from '~/components/predict/LineSketch.vue'
import OrderPicker from '~/components/predict/OrderPicker.vue'
import ValuesPicker from '~/components/predict/ValuesPicker.vue'
import LongField from '~/forms/LongField.vue'
import { newId } from '~/following/newId'

/** What a group thinks and why, in the way that this class predicts; the same at the desk and at a station. */
const plan = useLessonPlan()
const props = defineProps<{ group: string; big?: boolean }>()
const emit = defineEmits<{ stamp: [prediction: NewPrediction] }>()
const draft = ref<PredictionDraft>(emptyDraft(plan.value))
const reason = ref('')
const whole = computed(() => isWhole(plan.value, draft.value))
// The teacher chose another way of predicting meanwhile: what was tapped for the old one does not answer it.
watch(
  () => emptyDraft(plan.value).as,
  () => (draft.value = emptyDraft(plan.value)),
)

function stamp(): void {
  if (!whole.value) return
  const done = finished(plan.value, draft.value)
  emit('stamp', { id: newId(), group: props.group, ...done, reason: reason.value.trim(), measure: measureSaid(plan.value) })
}
</script>

<template>
  <form class="grid grid-cols-1 gap-wide" :class="{ big }" @submit.prevent="stamp">
    <OrderPicker v-if="draft.as === 'order'" v-model="draft.order" :big="big" />
    <EndsPicker v-else-if="draft.as === 'most-least'" v-model="draft.order" :big="big" />
    <LineSketch v-else-if="draft.as === 'line'" v-model="draft.values" :big="big" />
    <ValuesPicker
      v-else
      v-model="draft.values"
      :big="big"
      :words="draft.as === 'change' ? 'change' : testOf(plan).way.fromWords ? 'words' : undefined"
    />
    <LongField
      v-if="whole || !big"
      :label="FRAME_WORDS[plan.frame].reason"
      class="because"
      v-model="reason"
      :rows="big ? 2 : 1"
      :longest="LONGEST.text"
      placeholder="for example it is the fluffiest"
    />
    <div class="row actions"><slot :whole="whole" /></div>
  </form>
</template>

<style scoped>
.because {
  display: grid;
  gap: var(--gap-tight);
}
</style>
