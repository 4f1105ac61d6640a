<script setup lang="ts">
import { cameOut, ownGuesses, type GroupPrediction } from '~~/core/predictions'
import { hasBegun } from '~~/core/record'
import { guessWords, cameOutWords, timeWords, predictionOrderWords, predictionSentence } from '~~/core/wording'
import { isEachChild, type NewPrediction } from '~~/core/lesson'
import { useLessonPlan } from '~/composables/lessonPlan'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import PredictionForm from '~/components/predict/PredictionForm.vue'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'

/** One group's prediction at the desk: as it was stamped, later changes of mind, or the form to take it down. */
const props = defineProps<{ prediction: GroupPrediction }>()
const lesson = useLesson()
const writing = useRecordWriting()
const plan = useLessonPlan()
const group = computed(() => plan.value.groups.find((one) => one.id === props.prediction.group)!)
const begun = computed(() => hasBegun(lesson.record.readings, group.value.id))
const taking = ref(false)
const all = computed(() => [...(props.prediction.stamped ? [props.prediction.stamped] : []), ...props.prediction.later])
// Once every condition has a result there is something to lay the prediction beside.
const near = computed(() => {
  const { stamped } = props.prediction
  const own = ownGuesses(plan.value, lesson.record).filter((guess) => guess.group === group.value.id)
  if (isEachChild(plan.value) && own.length > 0) return own.map((guess) => guessWords(plan.value, guess)).join('; ')
  return stamped ? cameOutWords(plan.value, cameOut(plan.value, lesson.record, stamped)).join(' ') : ''
})
const again = computed(() => (!props.prediction.stamped ? 'Take it down' : begun.value ? 'Changed its mind' : 'Take it anew'))

async function stamp(prediction: NewPrediction): Promise<void> {
  if (await writing.add('prediction', prediction)) taking.value = false
}
</script>

<template>
  <li class="group py-near px-0 edge-bottom-1-line">
    <div class="row line flex-nowrap">
      <span class="flex flex-none items-center gap-near w-120px font-heading">
        <ShapeBadge :shape="group.shape" />
        {{ group.name }}
      </span>
      <ul class="said flex-1 min-w-0">
        <li class="flex flex-wrap gap-y-tight gap-x-near" v-for="one in all" :key="one.id">
          <strong v-if="one.late" class="late text-brass">later:</strong>
          <span class="order font-heading font-bold" :title="predictionSentence(plan, one)">{{
            predictionOrderWords(plan, one)
          }}</span>
          <span v-if="one.reason">“because {{ one.reason }}”</span>
          <span class="soft">{{ timeWords(one.at) }}</span>
        </li>
        <li v-if="near" class="flex flex-wrap gap-y-tight gap-x-near text-leaf">{{ near }}</li>
        <li v-if="all.length === 0" class="soft flex flex-wrap gap-y-tight gap-x-near">nothing yet</li>
      </ul>
      <VBtn
        v-if="!taking"
        size="small"
        :variant="all.length > 0 ? 'text' : undefined"
        :data-target="`order-${group.id}`"
        :aria-label="`${again}: ${group.name}`"
        @click="taking = true"
      >
        {{ again }}
      </VBtn>
    </div>
    <PredictionForm v-if="taking" v-slot="{ whole }" class="sheet form" :group="group.id" @stamp="stamp">
      <MainBtn type="submit" :disabled="!whole">{{ begun ? 'Keep as a change of mind' : 'Stamp it' }}</MainBtn>
      <QuietBtn @click="taking = false">Not now</QuietBtn>
      <span v-if="begun" class="hint">This group has begun to test, so it is kept beside the first one.</span>
    </PredictionForm>
  </li>
</template>

<style scoped>
.form {
  margin: 8px 0;
}
</style>
