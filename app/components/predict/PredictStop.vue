<script setup lang="ts">
import { activeConditions } from '~~/core/lesson'
import { firstSeries, forMeasure, predictionOf, predictionsFor, seriesIn } from '~~/core/test'
import { predictionsByGroup } from '~~/core/predictions'
import { countedOwners, PREDICT_WORDS, predictionPrompt } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import FrameChoice from '~/components/predict/FrameChoice.vue'
import GroupPrediction from '~/components/predict/GroupPrediction.vue'
import HandsUp from '~/components/predict/HandsUp.vue'
import MeasureInHand from '~/components/pieces/MeasureInHand.vue'
import WithPlan from '~/components/pieces/WithPlan.vue'
import PredictionTally from '~/components/predict/PredictionTally.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import { provideMeasureInHand } from '~/composables/measureInHand'
import { useCustoms } from '~/composables/customs'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'

/** Every group's prediction and reason, stamped before its first counted reading; hands up; and the tally of the class. */
const lesson = useLesson()
const writing = useRecordWriting()
const { say } = useCustoms()
const { cards, inHand } = provideMeasureInHand()
/** Of several series the first is predicted. */
const plan = computed(() => firstSeries(forMeasure(lesson.plan!, inHand.value)))
const series = computed(() => seriesIn(lesson.plan!)[0])
const groups = computed(() => predictionsByGroup(plan.value, lesson.record.predictions))
const stamped = computed(() => groups.value.filter((one) => one.stamped).length)
const ways = computed(() => predictionsFor(plan.value))
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Predict</h2>
      <p class="soft">{{ predictionPrompt(plan) }}{{ series ? ` It is about ${series.name}.` : '' }}</p>
      <VBtn size="small" class="ml-auto" :to="`/print/${lesson.id}/slips`" target="_blank">Print slips</VBtn>
    </div>
    <EmptyNote
      v-if="activeConditions(plan).length === 0 || ways.length === 0"
      title="Nothing to predict yet"
      begin="Name what you compare"
      :to="`/lesson/${lesson.id}/plan`"
    >
      A prediction is an order of the conditions, a number or a line, such as “{{ say('kitchen roll') }}, tissue, card, because it
      is the fluffiest”.
    </EmptyNote>
    <template v-else>
      <MeasureInHand v-model="inHand" label="What is predicted" :options="cards" />
      <div class="row items-end mb-wide">
        <ChoiceField
          label="They predict"
          :model-value="predictionOf(plan)"
          @update:model-value="lesson.edit((draft) => (draft.predictAs = $event))"
          :options="ways.map((way) => ({ value: way, title: PREDICT_WORDS[way] }))"
        />
        <FrameChoice label="in the words" />
      </div>
      <WithPlan :key="inHand" :plan="plan">
        <section class="sheet tally" data-target="predictions" aria-labelledby="tally">
          <h3 class="mb-tight text-lead" id="tally">
            The class so far
            <span class="soft ml-near font-dense text-body font-normal"
              >{{ stamped }} of {{ countedOwners(plan, groups.length) }}</span
            >
          </h3>
          <PredictionTally :predictions="lesson.record.predictions" />
        </section>
        <AppFold
          title="Hands up"
          hint="without tablets or slips: the whole class, counted here or on the board"
          v-if="activeConditions(plan).length > 1"
        >
          <HandsUp :predictions="lesson.record.predictions" @count="writing.add('prediction', $event)" />
        </AppFold>
        <ul class="groups mt-14px">
          <GroupPrediction v-for="one in groups" :key="one.group" :prediction="one" />
        </ul>
      </WithPlan>
    </template>
  </div>
</template>
