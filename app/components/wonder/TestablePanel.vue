<script setup lang="ts">
import type { TestableCheck } from '~~/core/lesson'
import { chooseWondering, keepForLater, mergeWonderings, testableOf } from '~~/core/wonder'
import { ANSWER_WORDS, becauseWords, CHECK_WORDS, nearestQuestion } from '~~/core/wording'

/** Could we test it? Four checks on one wondering with their reasons, the nearest testable question, and what becomes of it. */
const props = defineProps<{ id: string }>()
const emit = defineEmits<{ close: [] }>()
const lesson = useLesson()
const plan = computed(() => lesson.heard!)
const wondering = computed(() => plan.value.wonder.wondered.find((remark) => remark.id === props.id)!)
const testable = computed(() => testableOf(plan.value, wondering.value))
const nearest = computed(() => nearestQuestion(testable.value))
const others = computed(() => plan.value.wonder.wondered.filter((remark) => remark.id !== props.id))
const chosen = computed(() => plan.value.asked.chosen === props.id)

function answer(check: TestableCheck, said: string): void {
  lesson.editHeard((draft) => {
    const remark = draft.wonder.wondered.find(({ id }) => id === props.id)!
    const { [check]: _old, ...rest } = remark.answers
    remark.answers = said === '' ? rest : { ...rest, [check]: said === 'yes' }
  })
}

function merge(select: HTMLSelectElement): void {
  const from = select.value
  select.value = ''
  if (from !== '') lesson.replace(mergeWonderings(plan.value, props.id, from))
}

function choose(): void {
  lesson.replace(chooseWondering(plan.value, props.id, newId))
}
</script>

<template>
  <section class="sheet testable" aria-labelledby="testable">
    <header class="row">
      <h3 id="testable" tabindex="-1" data-target="testable">Could we test it?</h3>
      <p class="wondering">“{{ wondering.text }}”</p>
      <button type="button" class="button small quiet close" @click="emit('close')">Close</button>
    </header>
    <ul class="checks">
      <li v-for="one in testable.answers" :key="one.check" :class="one.answer">
        <span class="mark" aria-hidden="true">{{ one.answer === 'yes' ? '✓' : one.answer === 'partly' ? '~' : '✗' }}</span>
        <div>
          <strong>{{ CHECK_WORDS[one.check] }}</strong>
          <p>
            {{ ANSWER_WORDS[one.answer] }}{{ one.byTeacher ? ', you say.' : '.' }}
            <span class="soft">{{ becauseWords(one.because, plan) }}</span>
          </p>
        </div>
        <select
          class="box"
          :aria-label="`Your answer: ${CHECK_WORDS[one.check]}`"
          :value="one.byTeacher ? (one.answer === 'yes' ? 'yes' : 'no') : ''"
          @change="answer(one.check, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">as it looks</option>
          <option value="yes">I say yes</option>
          <option value="no">I say no</option>
        </select>
      </li>
    </ul>
    <p v-if="nearest" class="nearest">
      <span class="soft">The nearest question we could test:</span>
      {{ nearest }}
    </p>
    <p v-else class="soft nearest">No card is near it yet. Say in the plan what could be changed and measured.</p>
    <div class="row">
      <button type="button" class="button main" :disabled="chosen" @click="choose">
        {{ chosen ? 'This is our question' : 'Choose it' }}
      </button>
      <button type="button" class="button" @click="lesson.replace(keepForLater(plan, id, !wondering.later))">
        {{ wondering.later ? 'Back from next time' : 'Keep for next time' }}
      </button>
      <select
        v-if="others.length > 0"
        class="box merge"
        value=""
        aria-label="Merge another wondering into this one"
        @change="merge($event.target as HTMLSelectElement)"
      >
        <option value="">Merge with …</option>
        <option v-for="other in others" :key="other.id" :value="other.id">{{ other.text.slice(0, 60) }}</option>
      </select>
    </div>
  </section>
</template>

<style scoped>
.testable {
  margin-top: 14px;
}
h3 {
  font-size: 17px;
}
.wondering {
  flex: 1;
  min-width: 0;
  font-family: var(--heading);
  overflow-wrap: anywhere;
}
.checks {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 6px 24px;
  margin: 8px 0;
}
li {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) 106px;
  align-items: start;
  gap: 6px;
}
.mark {
  font-weight: 700;
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
li p {
  font-size: 14.5px;
}
li .box {
  min-height: 30px;
  padding: 1px 4px;
  font-size: 14px;
}
.nearest {
  margin: 4px 0 10px;
  font-family: var(--heading);
}
.nearest .soft {
  display: block;
  font-family: var(--dense);
  font-size: 14.5px;
}
.merge {
  width: 160px;
}
@media (width < 900px) {
  .checks {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
