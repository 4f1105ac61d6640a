<script setup lang="ts">
/** The trays, the conditions, whether that is fair, and whether the class will see a difference. */
const lesson = useLesson()
</script>

<template>
  <div v-if="lesson.plan">
    <h2 class="sr-only">Plan</h2>
    <QuestionLine :plan="lesson.plan" class="asked" />
    <PlanTrays />
    <ConditionRow />
    <FairCheck />
    <OutlookPanel />
    <MethodPanel />
    <GroupPanel />
    <WordsPanel />
  </div>
</template>

<style scoped>
.asked {
  margin-bottom: 14px;
  font-size: 25px;
}
</style>
