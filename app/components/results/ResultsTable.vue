<script setup lang="ts">
import { averageOf, evidenceOf, summarise } from '~~/core/evidence'
import { AVERAGE_WAYS, measuredCard, type AverageWay, type LessonRecord, type Plan } from '~~/core/lesson'
import { unitOf } from '~~/core/quantity'
import { comparedWith, resultsTable, workedOutFor } from '~~/core/record'
import {
  AVERAGE_WORDS,
  evenedAverages,
  readingPieces,
  tableTitle,
  workedOutName,
  workedOutWords,
  workingSteps,
  writeFigure,
  writeReading,
} from '~~/core/wording'

/** The results of the class or of one group, in one unit: every reading, the class's average with its working, what is worked out from it. */
const props = defineProps<{ plan: Plan; record: LessonRecord }>()
const lesson = useLesson()
const group = ref<string>()
const showsWorking = ref(false)
const unit = computed(() => measuredCard(props.plan)!.method.unit)
const numeric = computed(() => measuredCard(props.plan)?.method.instrument === 'number')
const rows = computed(() =>
  resultsTable(props.plan, props.record.readings, group.value).map((row) => ({
    ...row,
    summary: summarise(row.results),
    pieces: readingPieces(props.plan, row),
  })),
)
/** The class's averages with the groups evened out, where that changes them. */
const evened = computed(() =>
  group.value === undefined ? evenedAverages(props.plan, evidenceOf(props.plan, props.record)) : undefined,
)
const columns = computed(() => workedOutFor(props.plan))
const compared = computed(
  () =>
    comparedWith(
      props.plan,
      new Map(rows.value.flatMap(({ condition, summary }) => (summary ? [[condition, summary.mean] as const] : []))),
    )?.condition,
)
const averageTitle = computed(() => (props.plan.average === 'none' ? undefined : AVERAGE_WORDS[props.plan.average].name))
const several = computed(() => props.plan.kind === 'before-after' || props.plan.kind === 'over-time')

function figure(row: (typeof rows.value)[number]): string {
  const average = row.summary && averageOf(row.summary, numeric.value ? props.plan.average : 'mean')
  return average === undefined ? '–' : writeFigure(props.plan, average, unit.value)
}
const setAverage = (way: AverageWay) => lesson.edit((draft) => (draft.average = way))
const setDigits = (to: string) => lesson.edit((draft) => (draft.averageTo = to === 'mark' ? 'mark' : 'one-more'))
</script>

<template>
  <section aria-label="Table">
    <div class="row tools">
      <label class="row">
        <span class="soft">Of</span>
        <select v-model="group" class="box" aria-label="Whose table">
          <option :value="undefined">the class</option>
          <option v-for="one in plan.groups" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </label>
      <template v-if="numeric">
        <label class="row">
          <span class="soft">Average</span>
          <select class="box" :value="plan.average" @change="setAverage(($event.target as HTMLSelectElement).value as AverageWay)">
            <option v-for="way in AVERAGE_WAYS" :key="way" :value="way" :title="AVERAGE_WORDS[way].what">
              {{ AVERAGE_WORDS[way].name }}
            </option>
          </select>
        </label>
        <label v-if="averageTitle" class="row">
          <span class="soft">written</span>
          <select class="box" :value="plan.averageTo" @change="setDigits(($event.target as HTMLSelectElement).value)">
            <option value="one-more">with one digit more</option>
            <option value="mark">to the instrument’s mark</option>
          </select>
        </label>
        <label v-if="averageTitle" class="tick">
          <input v-model="showsWorking" type="checkbox" />
          show the working
        </label>
      </template>
    </div>
    <div class="scroll" tabindex="0" role="group" :aria-label="`Results of ${tableTitle(plan, group).toLowerCase()}`">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">{{ several ? 'Result of each' : 'Condition' }}, in {{ unitOf(unit).symbol || 'counts' }}</th>
            <th scope="col">{{ several ? 'Each result' : 'Readings' }}</th>
            <th v-if="averageTitle || !numeric" scope="col" class="figure">{{ numeric ? averageTitle : 'Average' }}</th>
            <th v-if="evened" scope="col" class="figure">Groups evened out</th>
            <template v-if="unit !== 'words'">
              <th scope="col" class="figure">Lowest to highest</th>
            </template>
            <th v-for="column in columns" :key="column" scope="col" class="figure">{{ workedOutName(plan, column, compared) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.condition">
            <th scope="row"><ConditionName :id="row.condition" :plan="plan" /></th>
            <td class="readings">
              <template v-for="(piece, place) in row.pieces" :key="place">
                <template v-if="piece.aside === undefined">{{ piece.text }}</template>
                <template v-else>
                  <s>{{ piece.text }}</s> <small class="why">({{ piece.aside }})</small></template
                >{{ place < row.pieces.length - 1 ? ', ' : '' }}
              </template>
              <small v-if="row.summary" class="below">{{ row.summary.count }} counted</small>
              <span v-if="row.readings.length === 0" class="soft">no readings yet</span>
              <div v-if="showsWorking && row.results.length > 0" class="working">
                <p v-for="step in workingSteps(plan, row.results, unit)" :key="step">{{ step }}</p>
              </div>
            </td>
            <td v-if="averageTitle || !numeric" class="figure">
              <strong>{{ figure(row) }}</strong>
            </td>
            <td v-if="evened" class="figure">
              {{ evened.has(row.condition) ? writeFigure(plan, evened.get(row.condition)!, unit) : '–' }}
            </td>
            <template v-if="unit !== 'words'">
              <td class="figure">
                <template v-if="row.summary">
                  {{ writeReading(plan, row.summary.lowest, numeric ? 'count' : unit) }} to
                  {{ writeReading(plan, row.summary.highest, unit) }}
                  <small v-if="numeric" class="below">range {{ writeReading(plan, row.summary.range, unit) }}</small>
                </template>
              </td>
            </template>
            <td v-for="column in columns" :key="column" class="figure">
              {{ row.workedOut[column] === undefined ? '–' : workedOutWords(plan, column, row.workedOut[column]!, unit) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="evened" class="hint">
      Groups evened out: some groups read higher than others, and they did not all do the same. Each condition stands here as if
      every group had done it; the order and the sentences go by this.
    </p>
    <p class="hint">What was set aside is struck through with its reason and counts nowhere. Practice is not shown.</p>
    <MomentTable v-if="several" class="section" :plan="plan" :record="record" />
    <WordTable v-if="unit === 'words'" class="section" :plan="plan" :record="record" />
  </section>
</template>

<style scoped>
.tools {
  gap: 6px 16px;
  margin-bottom: 8px;
}
.box {
  width: auto;
}
.below {
  display: block;
}
tbody th {
  min-width: 150px;
}
.readings {
  min-width: 200px;
  line-height: 1.5;
}
s {
  color: var(--beet);
}
.why {
  color: var(--beet);
}
small {
  color: var(--soft);
}
.working {
  margin-top: 4px;
  padding: 4px 10px;
  border-left: 3px solid var(--green);
  font-family: var(--heading);
}
</style>
