<script setup lang="ts">
import { nextTrial, progressOf } from '~~/core/record'
import { testOf } from '~~/core/test'
import BalanceRound from '~/components/instruments/BalanceRound.vue'
import AppFold from '~/components/pieces/AppFold.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'

/** Weighing two at a time at the desk, for a group without a tablet: it is asked which pair to weigh next, and its order is written down. */
const lesson = useLesson()
const writing = useRecordWriting()
const plan = computed(() => lesson.plan!)
const byBalance = computed(() => testOf(plan.value).way.weighsTwo)
const group = ref(plan.value.groups[0]?.id ?? '')
const progress = computed(() => progressOf(plan.value, lesson.record.readings).find((one) => one.group === group.value))
const trial = computed(() => progress.value && nextTrial(plan.value, progress.value))
</script>

<template>
  <AppFold v-if="byBalance" title="Weigh in pairs here" hint="for a group without a tablet: which two to put on the balance next">
    <ChoiceField
      inline
      label="Whose weighing"
      v-model="group"
      :options="plan.groups.map(({ id, name }) => ({ value: id, title: name }))"
    />
    <BalanceRound
      v-if="trial"
      :key="`${group}-${trial.repeat}`"
      :plan="plan"
      :trial="trial"
      @written="writing.addReadings($event)"
    />
    <p v-else class="soft">All rounds of this group are written down.</p>
  </AppFold>
</template>
