<script setup lang="ts">
import { isEachChild } from '~~/core/lesson'
import { askedAtOnce, kindOf } from '~~/core/test'
import MeasureInHand from '~/components/pieces/MeasureInHand.vue'
import QuestionLine from '~/components/pieces/QuestionLine.vue'
import ConditionRow from '~/components/plan/ConditionRow.vue'
import CountsPanel from '~/components/plan/CountsPanel.vue'
import FairCheck from '~/components/plan/FairCheck.vue'
import GrantedPanel from '~/components/plan/GrantedPanel.vue'
import KindPicker from '~/components/plan/KindPicker.vue'
import MainQuestion from '~/components/plan/MainQuestion.vue'
import MethodPanel from '~/components/plan/MethodPanel.vue'
import OutlookPanel from '~/components/plan/OutlookPanel.vue'
import PlanTrays from '~/components/plan/PlanTrays.vue'
import TellingPanel from '~/components/plan/TellingPanel.vue'
import ThingsLine from '~/components/plan/ThingsLine.vue'
import WatchPanel from '~/components/plan/WatchPanel.vue'
import WordsPanel from '~/components/plan/WordsPanel.vue'
import { usePainted } from '~/composables/idle'
import { provideMeasureInHand } from '~/composables/measureInHand'
import { useLesson } from '~/stores/lesson'

/** The kind of test, the trays, the conditions, whether that is fair, and whether the class will see a difference. */
const lesson = useLesson()
const painted = usePainted()
const { cards, inHand } = provideMeasureInHand()
</script>

<template>
  <div v-if="lesson.plan">
    <h2 class="sr-only">Plan</h2>
    <div class="flex items-start justify-between gap-block mb-14px">
      <QuestionLine class="asked" />
      <KindPicker />
    </div>
    <PlanTrays @look="inHand = $event" />
    <ConditionRow />
    <WatchPanel v-if="kindOf(lesson.plan).watches" />
    <FairCheck v-if="kindOf(lesson.plan).compares && (lesson.plan.changed !== null || !isEachChild(lesson.plan))" />
    <template v-if="painted">
      <ThingsLine />
      <MainQuestion v-if="askedAtOnce(lesson.plan).length > 1" />
      <MeasureInHand v-model="inHand" label="Which measure" :options="cards" />
      <OutlookPanel />
      <TellingPanel />
      <CountsPanel />
      <MethodPanel />
      <GrantedPanel />
      <WordsPanel />
    </template>
  </div>
</template>

<style scoped>
.asked {
  font-size: var(--type-large);
}
</style>
