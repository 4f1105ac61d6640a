<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { compareTests, poolClasses, type Evidence, type OtherClass } from '~~/core/evidence'
import { activeConditions, type LessonRecord } from '~~/core/lesson'
import {
  dayWords,
  classColumns,
  GRADE_NAMES,
  gradeSentence,
  interactionSentence,
  pooledAgreement,
  testDifferenceWords,
  writeFigure,
  lessonName,
} from '~~/core/wording'
import { testOf } from '~~/core/test'
import type { ShelfEntry } from '~~/schemas/contract'
import ConditionName from '~/components/pieces/ConditionName.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import { callServer, messageOf } from '~/following/callServer'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** The same investigation in another class: where it is not the same test, both results side by side, and both together. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const lesson = useLesson()
const notices = useNotices()
const shelf = shallowRef<ShelfEntry[]>([])
const chosen = ref('')
const other = shallowRef<OtherClass>()
const unit = computed(() => testOf(plan.value).unit)
const tests = computed(() => other.value && compareTests(plan.value, other.value.plan))
const pooled = computed(
  () => other.value && tests.value?.comparable && poolClasses({ plan: plan.value, record: props.record }, other.value, tests.value),
)
const columns = computed(() => {
  if (!pooled.value) return []
  const column = (name: string, evidence: Evidence) => ({
    name,
    evidence,
    summaries: new Map(evidence.summaries.map((summary) => [summary.condition, summary])),
  })
  const [ours, theirs] = classColumns(plan.value.className, other.value!.plan.className)
  return [column(ours, pooled.value.ours), column(theirs, pooled.value.theirs), column('Together', pooled.value.evidence)]
})
const shared = computed(() => {
  const ids = new Set(tests.value?.shared.map(({ ours }) => ours))
  return activeConditions(plan.value).filter(({ id }) => ids.has(id))
})

onMounted(async () => {
  try {
    const { lessons } = await callServer('GET /api/lessons', { query: { most: 1000 } })
    shelf.value = lessons.filter(({ id }) => id !== lesson.id)
  } catch (error) {
    notices.trouble(messageOf(error))
  }
})
watch(chosen, async (id) => {
  other.value = undefined
  if (id === '') return
  try {
    const whole = await callServer('GET /api/lessons/[lesson]', { path: { lesson: id } })
    if (chosen.value === id) other.value = { plan: whole.lesson.plan, record: whole.record }
  } catch (error) {
    notices.trouble(messageOf(error))
  }
})
</script>

<template>
  <section aria-label="Another class">
    <ChoiceField
      label="The same investigation in"
      class="choose"
      v-model="chosen"
      :options="[
        { value: '', title: 'choose a lesson' },
        ...shelf.map((one) => ({
          value: one.id,
          title: `${lessonName(one.title)}, class ${one.className}${one.date ? `, ${dayWords(one.date)}` : ''}`,
        })),
      ]"
    />
    <p v-if="chosen === ''" class="hint">
      A lesson of another teacher can be opened on the shelf from its file. Then both classes are compared here, group by group.
    </p>
    <template v-if="tests">
      <p v-if="!tests.comparable" class="mt-10px text-beet">
        <strong>This is not the same test.</strong> Its numbers do not answer our question, so nothing is put together.
      </p>
      <p v-else-if="tests.differences.length > 0"><strong>Nearly the same test.</strong> Keep in mind:</p>
      <p v-else class="text-leaf"><span aria-hidden="true">✓</span> It is the same test in all that was written down.</p>
      <ul v-if="tests.differences.length > 0" class="differences">
        <li
          class="py-hair px-wide edge-left-4-brass-mark"
          v-for="(one, place) in tests.differences"
          :key="place"
          :class="{ grave: one.grave }"
        >
          {{ testDifferenceWords(one) }}
        </li>
      </ul>
    </template>
    <template v-if="pooled">
      <table class="ruled section">
        <thead>
          <tr>
            <th scope="col">Average</th>
            <th v-for="column in columns" :key="column.name" scope="col" class="figure">{{ column.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="condition in shared" :key="condition.id">
            <th scope="row"><ConditionName :id="condition.id" /></th>
            <td v-for="column in columns" :key="column.name" class="figure">
              <template v-if="column.summaries.has(condition.id)">
                {{ writeFigure(plan, column.summaries.get(condition.id)!.mean, unit) }}
                <small class="soft">of {{ column.summaries.get(condition.id)!.count }}</small>
              </template>
            </td>
          </tr>
          <tr>
            <th scope="row">How sure</th>
            <td v-for="column in columns" :key="column.name" class="figure">
              <strong>{{ GRADE_NAMES[column.evidence.grade] }}</strong>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="large my-near mx-0 font-heading text-lead">{{ interactionSentence(pooled) }}</p>
      <p>
        <strong>Together:</strong> {{ gradeSentence(plan, pooled.evidence) }}
        {{ pooledAgreement(plan, pooled) }}
      </p>
      <p class="hint">Each class’s own level is taken out first, so warmer water in one room does not count as a difference.</p>
    </template>
    <p v-else-if="tests?.comparable" class="hint">Two classes are put together where numbers are measured.</p>
  </section>
</template>

<style scoped>
.choose {
  max-width: 520px;
}
.differences .grave {
  border-color: var(--beet);
}
</style>
