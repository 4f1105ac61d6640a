<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { foretell, numberFor, type Trend } from '~~/core/evidence'
import { activeConditions, conditionValue, numberName, withCondition } from '~~/core/lesson'
import { withConditionInEach, testOf } from '~~/core/test'
import { withChallenge } from '~~/core/predictions'
import { writeShort } from '~~/core/quantity'
import { foretoldWords, numberForWords, patternWords, trendLines } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import NumberField from '~/forms/NumberField.vue'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** How the result goes with the numbers, and a prediction to test next. */
const plan = useLessonPlan()
const props = defineProps<{ trend: Trend }>()
const lesson = useLesson()
const words = computed(() => patternWords(plan.value, props.trend))
const at = ref<number | null>(props.trend.next)
watch(
  () => props.trend.next,
  (next) => (at.value = next),
)
const foretold = computed(() => (at.value === null ? undefined : foretell(props.trend, at.value)))
const wanted = ref<number | null>(null)
const found = computed(() => (wanted.value === null ? undefined : numberFor(props.trend, wanted.value)))
const there = computed(() => (at.value === null ? '…' : numberName(plan.value, at.value)))
const known = computed(() => activeConditions(plan.value).some((one) => conditionValue(plan.value, one) === at.value))

/** Each group guesses it at its station, tests it once, and both are laid beside each other. */
function challenge(): void {
  lesson.replace(withChallenge(lesson.plan!, writeShort(at.value!), newId))
  void navigateTo({ query: { part: 'check' } }, { replace: true })
}
function addCondition(): void {
  const [label, whole] = [writeShort(at.value!), lesson.plan!]
  lesson.replace(whole.series.length > 0 ? withConditionInEach(whole, label, newId) : withCondition(whole, newId(), label))
}
</script>

<template>
  <section aria-label="Pattern">
    <h3 class="text-green text-large">{{ words.name }}</h3>
    <p class="large font-heading text-title">{{ words.text }}</p>
    <div class="sheet next grid gap-near mt-wide">
      <h4 class="text-body">A prediction to test next</h4>
      <div class="row items-end">
        <NumberField
          label="At"
          :model-value="at"
          :unit="plan.conditionUnit"
          :whole="plan.conditionUnit === 'count'"
          optional
          @update:model-value="at = $event"
        />
        <VBtn :disabled="at === null || known" @click="addCondition">
          {{ known ? `${there} is in the plan` : `Add ${there} to the plan` }}
        </VBtn>
        <VBtn :disabled="at === null || known" @click="challenge">Give it to the stations as a last challenge</VBtn>
      </div>
      <p v-if="foretold" :class="{ warn: foretold.outside }">
        <span v-if="foretold.outside" aria-hidden="true">▲ </span>{{ foretoldWords(plan, at!, foretold) }}
      </p>
    </div>
    <div class="sheet next grid gap-near mt-wide">
      <h4 class="text-body">Backwards: which number gives a result we want</h4>
      <NumberField
        label="Wanted result"
        :model-value="wanted"
        :unit="testOf(plan).unit"
        optional
        @update:model-value="wanted = $event"
      />
      <template v-if="found">
        <p v-for="line in numberForWords(plan, wanted!, found)" :key="line">{{ line }}</p>
      </template>
    </div>
    <AppFold title="For the teacher" hint="the line, what a bend adds to it, and a second opinion">
      <p v-for="line in trendLines(trend)" :key="line">{{ line }}</p>
    </AppFold>
  </section>
</template>

<style scoped>
.warn {
  padding: var(--gap-close) var(--gap-near);
  border-left: 4px solid var(--brass-mark);
  background: var(--brass-light);
}
</style>
