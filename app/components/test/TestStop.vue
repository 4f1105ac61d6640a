<script setup lang="ts">
import WithPlan from '~/components/pieces/WithPlan.vue'
import { activeConditions, isEachChild, type Reading } from '~~/core/lesson'
import { eachMeasure, testOf } from '~~/core/test'
import type { Cell } from '~~/core/record'
import { cellTarget, placeToLookAt, targetName } from '~~/core/secondLook'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import CellPanel from '~/components/test/CellPanel.vue'
import ClassGrid from '~/components/test/ClassGrid.vue'
import DeskBalance from '~/components/test/DeskBalance.vue'
import EmptyContainers from '~/components/test/EmptyContainers.vue'
import FailureList from '~/components/test/FailureList.vue'
import ObservationList from '~/components/test/ObservationList.vue'
import OddList from '~/components/test/OddList.vue'
import SeatKeying from '~/components/test/SeatKeying.vue'
import StraysList from '~/components/test/StraysList.vue'
import TestBar from '~/components/test/TestBar.vue'
import TickField from '~/forms/TickField.vue'
import { useCustoms } from '~/composables/customs'
import { useLesson } from '~/stores/lesson'
import { useSecondLook } from '~/stores/secondLook'

/** The class grid to key readings in, the place that is chosen in it and what else happens meanwhile. */
const lesson = useLesson()
const look = useSecondLook()
const { say } = useCustoms()
const plan = computed(() => lesson.plan!)
const ready = computed(
  () => testOf(plan.value).measure !== undefined && activeConditions(plan.value).length > 0 && plan.value.groups.length > 0,
)
const withPractice = ref(useRoute().query.practice === 'yes')
const chosen = shallowRef<Cell | undefined>(placeToLookAt(plan.value, lesson.record.readings, look.findings))

/** Puts the focus on the place of a reading in the grid. */
const goTo = (reading: Reading) => void (look.target = targetName(cellTarget(reading)))
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Test</h2>
      <p class="soft">Type a number, Enter goes down, Tab goes right. A block from a spreadsheet can be pasted.</p>
    </div>
    <TestBar />
    <StraysList />
    <template v-if="ready">
      <SeatKeying v-if="isEachChild(plan)" />
      <OddList @look="goTo" />
      <ClassGrid v-model:chosen="chosen" :with-practice="withPractice" />
      <TickField label="practice columns" class="practice" v-model="withPractice" />
      <CellPanel v-if="chosen" :place="chosen" />
      <DeskBalance />
      <WithPlan v-for="view in eachMeasure(plan)" :key="view.measured ?? ''" :plan="view"><EmptyContainers /></WithPlan>
      <FailureList />
      <ObservationList />
    </template>
    <EmptyNote v-else title="Nothing to write down yet" begin="Say what is changed and measured" :to="`/lesson/${lesson.id}/plan`">
      Readings go into a table of groups and conditions, such as “Alder, {{ say('kitchen roll') }}, first trial: 61 mm”.
    </EmptyNote>
  </div>
</template>

<style scoped>
.practice {
  display: inline-flex;
  gap: var(--gap-close);
  margin-top: 6px;
}
</style>
