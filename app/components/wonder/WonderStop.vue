<script setup lang="ts">
import { BOUNDS, LONGEST, KIND_SHAPES, REMARK_LISTS, withGroups } from '~~/core/lesson'

/** What the class saw, guessed and asked, and the question that comes of it. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
/** One child away, or one more: the seats are split anew. */
function setChildren(children: number): void {
  lesson.replace(withGroups({ ...plan.value, children }, plan.value.groups.length, newId))
}

const chosenToLook = ref<string>()
/** The wondering that is looked at, as long as it is there. */
const looking = computed(() => lesson.heard!.wonder.wondered.find(({ id }) => id === chosenToLook.value)?.id)

function look(id: string): void {
  chosenToLook.value = chosenToLook.value === id ? undefined : id
  if (chosenToLook.value) void nextTick(() => focusTarget('testable'))
}

const ready = computed(
  () => plan.value.measured !== null && (plan.value.changed !== null || !KIND_SHAPES[plan.value.kind].needsChange),
)
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Wonder</h2>
      <p class="soft">Something to look at, what the class says of it, and one question that can be tested.</p>
    </div>
    <div class="names">
      <TextField
        label="Name of the lesson"
        class="name"
        :model-value="plan.title"
        target="title"
        :longest="LONGEST.name"
        placeholder="such as Soak-up strips"
        @update:model-value="lesson.edit((draft) => (draft.title = $event), 'title')"
      />
      <TextField
        label="Class"
        :model-value="plan.className"
        :longest="LONGEST.name"
        @update:model-value="lesson.edit((draft) => (draft.className = $event), 'class')"
      />
      <NumberField
        label="Children"
        :model-value="plan.children"
        v-bind="BOUNDS.children"
        whole
        @update:model-value="setChildren($event ?? 0)"
      />
    </div>
    <HookPanel />

    <div class="lists">
      <RemarkList v-for="name in REMARK_LISTS" :key="name" :name="name" :looking="looking" @look="look" />
    </div>
    <TestablePanel v-if="looking" :id="looking" @close="chosenToLook = undefined" />

    <section class="section sheet asked" aria-labelledby="our-question">
      <h3 id="our-question">Our question</h3>
      <QuestionLine :plan="plan" class="line" />
      <WhoseQuestion />
      <div class="row">
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
.names {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px 110px;
  gap: var(--gap-wide);
}
.lists {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--gap-wide);
  margin-top: 16px;
}
.asked {
  display: grid;
  gap: var(--gap-near);
}
.line {
  font-size: var(--type-large);
}
.asked .row {
  flex-wrap: nowrap;
}
@media (width < 700px) {
  .names,
  .lists {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
