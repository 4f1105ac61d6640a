<script setup lang="ts">
import WithPlan from '~/components/pieces/WithPlan.vue'
import { useLessonPlan } from '~/composables/lessonPlan'
import { classConclusion } from '~~/core/agree'
import { acrossSeries, everyTable, evidenceOf } from '~~/core/evidence'
import { activeConditions, changedFactor, keptFactors, type LessonRecord, type Plan } from '~~/core/lesson'
import { eachMeasure, measuredCards, testOf } from '~~/core/test'
import { acrossSentences, dayWords, gradesInOne, list, podiumLines, question, tableName, variableWords } from '~~/core/wording'
import { resultsBlock, sureWords } from '~~/core/wording/reports'
import { useFitInside } from '~/composables/fitInside'
import ConditionName from '~/components/pieces/ConditionName.vue'

/** The investigation for the wall: on one A3 sheet, or on four A4 sheets to be joined. */
const PaperChart = defineAsyncComponent(() => import('~/components/charts/PaperChart.vue'))
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; sheets: 'a3' | 'four-a4' }>()
const QUARTERS = ['top left', 'top right', 'bottom left', 'bottom right']
const wall = ref<HTMLElement>()
useFitInside(wall, '.poster')
const evidence = computed(() => evidenceOf(plan.value, props.record))
const podium = computed(() => (evidence.value ? podiumLines(plan.value, evidence.value) : []))
const words = computed(() => variableWords(plan.value))
const acrossOf = (view: Plan) => {
  const across = acrossSeries(view, props.record)
  return across ? acrossSentences(view, across) : []
}
const conclusion = computed(() => classConclusion(props.record.conclusions))
const tables = computed(() =>
  everyTable(plan.value, props.record).map((own, _, all) => ({
    ...own,
    name: tableName(own, all),
    block: resultsBlock(own.plan, own.record)[0],
  })),
)
</script>

<template>
  <div ref="wall" :class="sheets">
    <div
      v-for="quarter in sheets === 'a3' ? [''] : QUARTERS"
      :key="quarter"
      class="page"
      tabindex="0"
      role="group"
      :aria-label="quarter || 'Poster'"
    >
      <p v-if="quarter" class="text-9pt">{{ quarter }}: trim along the dashed line and join</p>
      <div class="window">
        <section
          class="poster flex flex-col gap-7mm p-8mm text-black leading-1.3"
          :class="quarter.replace(' ', '-')"
          :aria-hidden="quarter !== '' && quarter !== 'top left'"
        >
          <h1>{{ question(plan) }}</h1>
          <p class="under">{{ plan.title }} · class {{ plan.className }}{{ plan.date ? `, ${dayWords(plan.date)}` : '' }}</p>
          <div class="columns" :class="{ several: tables.length > 1 }">
            <dl>
              <dt class="font-bold">{{ words.changed }}</dt>
              <dd class="mb-4mm">
                {{ changedFactor(plan)?.name ?? '…' }}
                <ul class="conditions">
                  <li class="py-1mm px-0" v-for="condition in activeConditions(plan)" :key="condition.id">
                    <ConditionName :id="condition.id" :size="34" />
                  </li>
                </ul>
              </dd>
              <dt class="font-bold">{{ words.measured }}</dt>
              <dd v-for="card in measuredCards(plan)" :key="card.id" class="mb-4mm">{{ card.name }}</dd>
              <dt class="font-bold">{{ words.kept }}</dt>
              <dd class="mb-4mm">{{ list(keptFactors(plan).map(({ name }) => name)) || '…' }}</dd>
            </dl>
            <div v-if="tables.length < 2" class="graph min-h-0">
              <PaperChart :record="record" :width="440" :height="430" />
            </div>
          </div>
          <div v-if="tables.length > 1" class="graphs">
            <div v-for="view in eachMeasure(plan)" :key="view.measured ?? ''" class="min-w-0">
              <p class="font-bold">{{ testOf(view).measure?.name }}</p>
              <WithPlan :plan="view"><PaperChart :record="record" :width="440" :height="340" /></WithPlan>
              <p v-for="sentence in acrossOf(view)" :key="sentence">{{ sentence }}</p>
            </div>
          </div>
          <template v-for="{ block, name } in tables" :key="name">
            <table v-if="tables.length < 2 && block?.kind === 'table'">
              <thead>
                <tr>
                  <th v-for="cell in block.head" :key="cell" scope="col">{{ cell }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="row in block.rows" :key="row[0]">
                  <td v-for="(cell, at) in row" :key="at">{{ cell }}</td>
                </tr>
              </tbody>
            </table>
          </template>
          <ol v-if="podium.length > 0" class="flex gap-8mm p-0 font-bold list-none">
            <li v-for="line in podium" :key="line">{{ line }}</li>
          </ol>
          <p v-for="own in tables" :key="own.name" class="sure">
            <strong v-if="own.name">{{ own.name }}. </strong>{{ sureWords(own.plan, own.record) }}
          </p>
          <div class="conclusion">
            <h2>
              We agreed{{
                evidence && evidence.grade !== 'nothing-yet' ? ` (${gradesInOne(everyTable(plan, record)).toLowerCase()})` : ''
              }}
            </h2>
            <p>{{ conclusion?.text || ' ' }}</p>
            <p v-if="conclusion?.agreed && conclusion.hands !== null" class="hands">{{ conclusion.hands }} hands up</p>
          </div>
        </section>
      </div>
    </div>
  </div>
</template>

<style scoped>
/* The whole poster is laid out once, in millimetres; four windows show a quarter of it each. */
.a3 {
  --wide: 273mm;
  --high: 392mm;
}
.four-a4 {
  --wide: 372mm;
  --high: 528mm;
}
.a3 .window,
.poster {
  width: var(--wide);
  height: var(--high);
}
.poster {
  font-size: calc(20pt * var(--fit));
}
.four-a4 .poster {
  font-size: calc(27pt * var(--fit));
}
.four-a4 .window {
  width: calc(var(--wide) / 2);
  height: calc(var(--high) / 2);
  overflow: hidden;
  outline: 1px dashed #000;
}
.four-a4 .page {
  break-after: page;
}
.four-a4 .page:last-child {
  break-after: auto;
}
.top-right,
.bottom-right {
  margin-left: calc(var(--wide) / -2);
}
.bottom-left,
.bottom-right {
  margin-top: calc(var(--high) / -2);
}
h1 {
  font-size: 2.1em;
  line-height: 1.15;
}
h2 {
  font-size: 1.1em;
}
.under {
  border-bottom: 1mm solid #000;
}
.columns {
  display: grid;
  flex: 1;
  grid-template-columns: 0.8fr 1.5fr;
  gap: 8mm;
  min-height: 0;
}
.columns.several {
  flex: none;
  grid-template-columns: 1fr;
}
.several dl {
  columns: 3;
}
.several dt {
  break-after: avoid;
}
.graphs {
  display: grid;
  flex: 1;
  grid-template-columns: repeat(auto-fit, minmax(40%, 1fr));
  gap: 8mm;
  align-content: start;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 1.5mm 4mm;
  border-bottom: 0.4mm solid #000;
  text-align: right;
}
th:first-child,
td:first-child {
  text-align: left;
}
.sure {
  font-size: max(9pt, 0.85em);
}
.conclusion {
  padding: 5mm 7mm;
  border: 1mm solid #000;
  border-radius: 4mm;
}
.conclusion p {
  font-size: 1.35em;
  line-height: 1.3;
}
.conclusion .hands {
  font-size: 1em;
}
@media screen {
  .page {
    overflow-x: auto;
    margin-bottom: 8mm;
  }
}
</style>
