<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { averageOf, evidenceOf, readingsOfGroup, summarise } from '~~/core/evidence'
import { AVERAGE_WAYS, type AverageWay, type LessonRecord } from '~~/core/lesson'
import { resultUnit, testOf, kindOf } from '~~/core/test'
import { unitOf, withUnit, isAmount, isWord } from '~~/core/quantity'
import { comparedWith, resultsTable, workedOutFor } from '~~/core/record'
import {
  AVERAGE_WORDS,
  averageFigure,
  averageHeading,
  averageWay,
  countsWords,
  evenedAverages,
  failuresSentence,
  rangeWords,
  readingPieces,
  tableTitle,
  workedOutName,
  workedOutWords,
  workingSteps,
  writeFigure,
  writeResult,
} from '~~/core/wording'
import ConditionName from '~/components/pieces/ConditionName.vue'
import MomentTable from '~/components/results/MomentTable.vue'
import WordTable from '~/components/results/WordTable.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import TickField from '~/forms/TickField.vue'
import { useLesson } from '~/stores/lesson'

/** The results of the class or of one group, in one unit: every reading, the class's average with its working, what is worked out from it. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const lesson = useLesson()
const group = ref('')
const ofGroup = computed(() => group.value || undefined)
const showsWorking = ref(false)
const unit = computed(() => resultUnit(plan.value))
/** Whether the class has a choice of averages: times until something have their middle one only. */
const numeric = computed(() => averageWay(plan.value) === plan.value.average && isAmount(unit.value))
const rows = computed(() =>
  resultsTable(plan.value, props.record.readings, ofGroup.value).map((row) => ({
    ...row,
    summary: summarise(row.results),
    pieces: readingPieces(plan.value, row),
  })),
)
/** The class's averages with the groups evened out, where that changes them. */
const evened = computed(() => (group.value === '' ? evenedAverages(plan.value, evidenceOf(plan.value, props.record)) : undefined))
const columns = computed(() => workedOutFor(plan.value))
const compared = computed(
  () =>
    comparedWith(
      plan.value,
      new Map(rows.value.flatMap(({ condition, summary }) => (summary ? [[condition, summary.mean] as const] : []))),
    )?.condition,
)
const averageTitle = computed(() => (averageWay(plan.value) === 'none' ? undefined : averageHeading(plan.value)))
const several = computed(() => kindOf(plan.value).readsTwice || kindOf(plan.value).watches)

/** The rows of whoever the table is of. */
const own = computed(() => (group.value === '' ? props.record : readingsOfGroup(props.record, group.value)).readings)
function figure(row: (typeof rows.value)[number]): string {
  const average = row.summary && averageOf(row.summary, averageWay(plan.value))
  return averageFigure(plan.value, own.value, row.condition, average)
}
const setAverage = (way: AverageWay) => lesson.edit((draft) => (draft.average = way))
const setDigits = (to: string) => lesson.edit((draft) => (draft.averageTo = to === 'mark' ? 'mark' : 'one-more'))
</script>

<template>
  <section aria-label="Table">
    <div class="row gap-y-close gap-x-part mb-near">
      <ChoiceField
        inline
        label="Whose table"
        v-model="group"
        :options="[{ value: '', title: 'the class' }, ...plan.groups.map((one) => ({ value: one.id, title: one.name }))]"
      />
      <template v-if="numeric">
        <ChoiceField
          inline
          label="Average"
          :model-value="plan.average"
          @update:model-value="setAverage($event)"
          :options="AVERAGE_WAYS.map((way) => ({ value: way, title: AVERAGE_WORDS[way].name, hint: AVERAGE_WORDS[way].what }))"
        />
        <ChoiceField
          inline
          v-if="averageTitle"
          label="written"
          :model-value="plan.averageTo"
          @update:model-value="setDigits($event)"
          :options="[
            { value: 'one-more', title: 'with one digit more' },
            { value: 'mark', title: 'to the instrument’s mark' },
          ]"
        />
        <TickField v-if="averageTitle" label="show the working" v-model="showsWorking" />
      </template>
    </div>
    <div class="scroll" tabindex="0" role="group" :aria-label="`Results of ${tableTitle(plan, group).toLowerCase()}`">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">
              {{ ['Condition', countsWords(plan)].filter(Boolean).join(': ') }}, in {{ unitOf(unit).symbol || 'counts' }}
            </th>
            <th scope="col">{{ several ? 'Each result' : 'Readings' }}</th>
            <th v-if="averageTitle" scope="col" class="figure">{{ averageTitle }}</th>
            <th v-if="evened" scope="col" class="figure">Groups evened out</th>
            <template v-if="!isWord(unit)">
              <th scope="col" class="figure">Lowest to highest</th>
            </template>
            <th v-for="column in columns" :key="column" scope="col" class="figure">{{ workedOutName(plan, column, compared) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.condition">
            <th class="min-w-150px" scope="row"><ConditionName :id="row.condition" /></th>
            <td class="readings min-w-200px leading-1.5">
              <template v-for="(piece, place) in row.pieces" :key="place">
                <template v-if="piece.aside === undefined">{{ piece.text }}</template>
                <template v-else>
                  <s class="text-beet">{{ piece.text }}</s> <small class="why">({{ piece.aside }})</small></template
                >{{ place < row.pieces.length - 1 ? ', ' : '' }}
              </template>
              <small v-if="row.summary" class="block text-soft">{{ row.summary.count }} counted</small>
              <span v-if="row.readings.length === 0" class="soft">no readings yet</span>
              <div v-if="showsWorking && row.results.length > 0" class="mt-tight py-tight px-near edge-left-3-green font-heading">
                <p v-for="step in workingSteps(plan, row.results, unit)" :key="step">{{ step }}</p>
              </div>
            </td>
            <td v-if="averageTitle" class="figure">
              <strong>{{ figure(row) }}</strong>
            </td>
            <td v-if="evened" class="figure">
              {{ evened.has(row.condition) ? writeFigure(plan, evened.get(row.condition)!, unit) : '–' }}
            </td>
            <template v-if="!isWord(unit)">
              <td class="figure">
                <template v-if="row.summary">
                  {{ rangeWords(plan, row.summary) }}
                  <small v-if="numeric" class="block text-soft"
                    >range {{ withUnit(writeResult(plan, row.summary.range), unit) }}</small
                  >
                </template>
              </td>
            </template>
            <td v-for="column in columns" :key="column" class="figure">
              {{ row.workedOut[column] === undefined ? '–' : workedOutWords(plan, column, row.workedOut[column]!) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="evened" class="hint">
      Groups evened out: some groups read higher than others, and they did not all do the same. Each condition stands here as if
      every group had done it{{
        plan.average === 'mean' ? '; the graph, the order and the sentences go by this' : '; the order goes by this'
      }}.
    </p>
    <p v-if="failuresSentence(plan, record) !== ''">{{ failuresSentence(plan, record) }}</p>
    <p class="hint">What was set aside is struck through with its reason and counts nowhere. Practice is not shown.</p>
    <MomentTable v-if="several" class="section" :record="record" />
    <WordTable v-if="testOf(plan).way.fromWords" class="section" :record="record" />
  </section>
</template>

<style scoped>
.why {
  color: var(--beet);
}
</style>
