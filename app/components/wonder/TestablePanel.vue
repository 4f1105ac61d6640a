<script setup lang="ts">
import type { TestableCheck } from '~~/core/lesson'
import { chooseWondering, keepForLater, mergeWonderings, testableOf } from '~~/core/wonder'
import { ANSWER_WORDS, becauseWords, CHECK_WORDS, nearestQuestion } from '~~/core/wording'
import ChoiceField from '~/forms/ChoiceField.vue'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** Loaded when it is first asked for. */
const DraftOfWondering = defineAsyncComponent(() => import('~/components/wonder/DraftOfWondering.vue'))

/** Could we test it? Four checks on one wondering with their reasons, the nearest testable question, and what becomes of it. */
const props = defineProps<{ id: string }>()
const emit = defineEmits<{ close: [] }>()
const lesson = useLesson()
const plan = computed(() => lesson.heard!)
const wondering = computed(() => plan.value.wonder.wondered.find((remark) => remark.id === props.id)!)
const testable = computed(() => testableOf(plan.value, wondering.value))
const nearest = computed(() => nearestQuestion(testable.value))
const others = computed(() => plan.value.wonder.wondered.filter((remark) => remark.id !== props.id))
const drafting = ref(false)
const chosen = computed(() => plan.value.asked.chosen === props.id)

function answer(check: TestableCheck, said: string): void {
  lesson.editHeard((draft) => {
    const remark = draft.wonder.wondered.find(({ id }) => id === props.id)!
    const { [check]: _old, ...rest } = remark.answers
    remark.answers = said === '' ? rest : { ...rest, [check]: said === 'yes' }
  })
}

function merge(from: string): void {
  lesson.replace(mergeWonderings(plan.value, props.id, from))
}

function choose(): void {
  lesson.replace(chooseWondering(plan.value, props.id, newId))
}
</script>

<template>
  <section class="sheet mt-14px" aria-labelledby="testable">
    <header class="row">
      <h3 class="text-lead" id="testable" tabindex="-1" data-target="testable">Could we test it?</h3>
      <p class="flex-1 min-w-0 font-heading break-anywhere">“{{ wondering.text }}”</p>
      <QuietBtn size="small" class="close" @click="emit('close')">Close</QuietBtn>
    </header>
    <ul class="checks grid grid-cols-2 gap-y-close gap-x-block my-near mx-0">
      <li v-for="one in testable.answers" :key="one.check" :class="one.answer">
        <span class="mark font-bold" aria-hidden="true">{{
          one.answer === 'yes' ? '✓' : one.answer === 'partly' ? '~' : '✗'
        }}</span>
        <div>
          <strong>{{ CHECK_WORDS[one.check] }}</strong>
          <p class="text-small">
            {{ ANSWER_WORDS[one.answer] }}{{ one.byTeacher ? ', you say.' : '.' }}
            <span class="soft">{{ becauseWords(one.because, plan) }}</span>
          </p>
        </div>
        <ChoiceField
          bare
          :label="`Your answer: ${CHECK_WORDS[one.check]}`"
          :model-value="one.byTeacher ? (one.answer === 'yes' ? 'yes' : 'no') : ''"
          @update:model-value="answer(one.check, $event)"
          :options="[
            { value: '', title: 'as it looks' },
            { value: 'yes', title: 'I say yes' },
            { value: 'no', title: 'I say no' },
          ]"
        />
      </li>
    </ul>
    <p v-if="nearest" class="nearest mx-0 mt-tight mb-10px font-heading">
      <span class="soft block font-dense text-small">The nearest question we could test:</span>
      {{ nearest }}
    </p>
    <p v-else class="soft nearest mx-0 mt-tight mb-10px font-heading">
      No card is near it yet. Say in the plan what could be changed and measured.
    </p>
    <div class="row">
      <MainBtn :disabled="chosen" @click="choose">
        {{ chosen ? 'This is our question' : 'Choose it' }}
      </MainBtn>
      <VBtn @click="drafting = true">Make a draft of it</VBtn>
      <VBtn @click="lesson.replace(keepForLater(plan, id, !wondering.later))">
        {{ wondering.later ? 'Back from next time' : 'Keep for next time' }}
      </VBtn>
      <VMenu v-if="others.length > 0">
        <template #activator="{ props: activator }">
          <VBtn v-bind="activator">Merge with …</VBtn>
        </template>
        <VList role="menu" aria-label="Merge another wondering into this one">
          <VListItem role="menuitem" v-for="other in others" :key="other.id" :title="other.text" @click="merge(other.id)" />
        </VList>
      </VMenu>
    </div>
    <DraftOfWondering v-if="drafting" v-model="drafting" :wondering="wondering" />
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) 132px;
  align-items: start;
  gap: var(--gap-close);
}
.yes .mark {
  color: var(--leaf);
}
.partly .mark {
  color: var(--brass);
}
.no .mark {
  color: var(--beet);
}
@media (width < 900px) {
  .checks {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
