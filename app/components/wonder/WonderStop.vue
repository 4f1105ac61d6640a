<script setup lang="ts">
import { LONGEST, REMARK_LISTS } from '~~/core/lesson'
import { shapeOf } from '~~/core/test'
import AppFold from '~/components/pieces/AppFold.vue'
import QuestionLine from '~/components/pieces/QuestionLine.vue'
import HookPanel from '~/components/wonder/HookPanel.vue'
import RemarkList from '~/components/wonder/RemarkList.vue'
import TestablePanel from '~/components/wonder/TestablePanel.vue'
import WhoseQuestion from '~/components/wonder/WhoseQuestion.vue'
import GrowingField from '~/forms/GrowingField.vue'
import TextField from '~/forms/TextField.vue'
import { focusTarget } from '~/composables/keys'
import { useLesson } from '~/stores/lesson'

/** What the class saw, guessed and asked, and the question that comes of it. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)

const chosenToLook = ref<string>()
/** The wondering that is looked at, as long as it is there. */
const looking = computed(() => lesson.heard!.wonder.wondered.find(({ id }) => id === chosenToLook.value)?.id)

function look(id: string): void {
  chosenToLook.value = chosenToLook.value === id ? undefined : id
  if (chosenToLook.value) void nextTick(() => focusTarget('testable'))
}

const ready = computed(() => plan.value.measured !== null && (plan.value.changed !== null || !shapeOf(plan.value).needsChange))
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Wonder</h2>
      <p class="soft">Something to look at, what the class says of it, and one question that can be tested.</p>
    </div>
    <TextField
      label="Name of the lesson"
      class="name"
      :model-value="plan.title"
      target="title"
      :longest="LONGEST.name"
      placeholder="for example Soak-up strips"
      @update:model-value="lesson.edit((draft) => (draft.title = $event), 'title')"
    />
    <HookPanel />

    <div class="lists grid grid-cols-3 gap-wide mt-part">
      <RemarkList v-for="name in REMARK_LISTS" :key="name" :name="name" :looking="looking" @look="look" />
    </div>
    <TestablePanel v-if="looking" :id="looking" @close="chosenToLook = undefined" />

    <section class="section sheet asked grid gap-near" aria-labelledby="our-question">
      <h3 id="our-question">Our question</h3>
      <QuestionLine class="line" />
      <WhoseQuestion />
      <div class="row flex-nowrap">
        <MainBtn :to="`/lesson/${lesson.id}/plan`">
          {{ ready ? 'On to the plan' : 'Choose the cards for it' }}
        </MainBtn>
        <p class="hint">It is put together from the cards in the trays, so question and plan never disagree.</p>
      </div>
    </section>
    <AppFold title="Notes for you alone" class="section">
      <GrowingField
        label="Notes for you alone"
        :model-value="plan.notes"
        placeholder="never on the board, a station or the report"
        @update:model-value="lesson.edit((draft) => (draft.notes = $event), 'notes')"
      />
    </AppFold>
  </div>
</template>

<style scoped>
.line {
  font-size: var(--type-large);
}
@media (width < 700px) {
  .lists {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
