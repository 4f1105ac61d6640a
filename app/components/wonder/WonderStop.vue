<script setup lang="ts">
import { withGroups } from '~~/core/lesson'
import { WONDER_LISTS } from '~~/core/wording'

/** What the class saw, guessed and asked, and the question that comes of it. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
/** One child away, or one more: the seats are split anew. */
function setChildren(children: number): void {
  lesson.replace(withGroups({ ...plan.value, children }, plan.value.groups.length, newId))
}

const ready = computed(() => plan.value.changed !== null && plan.value.measured !== null)
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Wonder</h2>
      <p class="soft">Something to look at, what the class says of it, and one question that can be tested.</p>
    </div>
    <div class="names">
      <label class="field name">
        <span>Name of the lesson</span>
        <input
          class="box"
          :value="plan.title"
          data-target="title"
          maxlength="200"
          placeholder="such as Soak-up strips"
          @input="lesson.edit((draft) => (draft.title = ($event.target as HTMLInputElement).value), 'title')"
        />
      </label>
      <label class="field">
        <span>Class</span>
        <input
          class="box"
          :value="plan.className"
          maxlength="200"
          @input="lesson.edit((draft) => (draft.className = ($event.target as HTMLInputElement).value), 'class')"
        />
      </label>
      <NumberField
        label="Children"
        :model-value="plan.children"
        :least="0"
        :most="200"
        whole
        @update:model-value="setChildren($event ?? 0)"
      />
    </div>
    <div class="field hook">
      <span class="label">The hook: what the class looks at first</span>
      <GrowingField
        label="The hook"
        :model-value="plan.wonder.hook"
        placeholder="an object, a picture, a quick demonstration"
        @update:model-value="lesson.edit((draft) => (draft.wonder.hook = $event), 'hook')"
      />
    </div>

    <div class="lists">
      <RemarkList v-for="name in WONDER_LISTS" :key="name" :name="name" />
    </div>

    <section class="section sheet asked" aria-labelledby="our-question">
      <h3 id="our-question">Our question</h3>
      <QuestionLine :plan="plan" class="line" />
      <div class="row">
        <NuxtLink :to="`/lesson/${lesson.id}/plan`" class="button main">
          {{ ready ? 'On to the plan' : 'Choose the cards for it' }}
        </NuxtLink>
        <p class="hint">It is put together from the cards in the trays, so question and plan never disagree.</p>
      </div>
    </section>
    <details class="section">
      <summary>Notes for you alone</summary>
      <GrowingField
        label="Notes for you alone"
        :model-value="plan.notes"
        placeholder="never on the board, a station or the report"
        @update:model-value="lesson.edit((draft) => (draft.notes = $event), 'notes')"
      />
    </details>
  </div>
</template>

<style scoped>
.names {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px 110px;
  gap: 12px;
}
.hook {
  margin-top: 10px;
}
.lists {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 14px;
  margin-top: 16px;
}
.asked {
  display: grid;
  gap: 10px;
}
.line {
  font-size: 23px;
}
.asked .row {
  flex-wrap: nowrap;
}
.asked .button {
  flex: none;
}
@media (width < 700px) {
  .names,
  .lists {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
