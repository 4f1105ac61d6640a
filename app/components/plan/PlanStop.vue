<script setup lang="ts">
import { isEachChild } from '~~/core/lesson'
import { kindOf } from '~~/core/test'

/** The kind of test, the trays, the conditions, whether that is fair, and whether the class will see a difference. */
const lesson = useLesson()
const painted = usePainted()
const { cards, inHand } = provideMeasureInHand()
</script>

<template>
  <div v-if="lesson.plan">
    <h2 class="sr-only">Plan</h2>
    <div class="flex items-start justify-between gap-block mb-14px">
      <QuestionLine :plan="lesson.plan" class="asked" />
      <KindPicker />
    </div>
    <PlanTrays @look="inHand = $event" />
    <ConditionRow />
    <WatchPanel v-if="kindOf(lesson.plan).watches" />
    <FairCheck v-if="kindOf(lesson.plan).compares && (lesson.plan.changed !== null || !isEachChild(lesson.plan))" />
    <template v-if="painted">
      <ThingsLine v-if="!kindOf(lesson.plan).watches" />
      <MeasureInHand v-model="inHand" label="Which measure" :options="cards" />
      <OutlookPanel />
      <TellingPanel />
      <CountsPanel />
      <MethodPanel />
      <WordsPanel />
    </template>
  </div>
</template>

<style scoped>
.asked {
  font-size: var(--type-large);
}
</style>
