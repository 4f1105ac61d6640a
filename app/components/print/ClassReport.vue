<script setup lang="ts">
import { evidenceOf } from '~~/core/evidence'
import { activeConditions, changedFactor, keptFactors, letterOf, measuredCard, type LessonRecord, type Plan } from '~~/core/lesson'
import { predictionsByGroup, tallyOf } from '~~/core/predictions'
import {
  agreementSentence,
  conditionWithLetter,
  counted,
  foresight,
  GRADE_NAMES,
  gradeSentence,
  list,
  methodWords,
  nameOfCondition,
  nextQuestions,
  question,
  variableWords,
  writeAverage,
  writeReading,
} from '~~/core/wording'

/** One page: question, prediction, method, results, graph, conclusion, next. */
const ResultsChart = defineAsyncComponent(() => import('~/components/charts/ResultsChart.vue'))
const props = defineProps<{ plan: Plan; record: LessonRecord }>()
const evidence = computed(() => evidenceOf(props.plan, props.record))
const method = computed(() => measuredCard(props.plan)?.method)
const words = computed(() => variableWords(props.plan))
const last = computed(() => props.record.conclusions.at(-1))
const orders = computed(() =>
  predictionsByGroup(props.plan, props.record.predictions).flatMap((one) => (one.stamped ? [one.stamped.order] : [])),
)
const predicted = computed(() =>
  list(
    tallyOf(props.plan, props.record.predictions)
      .filter((one) => one.most > 0)
      .map((one) => `${counted(one.most, 'group')} said ${nameOfCondition(props.plan, one.condition)} most`),
  ),
)
</script>

<template>
  <article class="report">
    <header>
      <h1>{{ plan.title || 'Our test' }}</h1>
      <p>Class {{ plan.className }}{{ plan.date ? `, ${writeDay(plan.date)}` : '' }}</p>
    </header>
    <p class="question">{{ question(plan) }}</p>
    <dl>
      <dt>We predicted</dt>
      <dd>{{ predicted || 'No prediction was written down.' }}</dd>
      <dt>{{ words.changed }}</dt>
      <dd>
        {{ changedFactor(plan)?.name ?? '…' }}:
        {{ list(activeConditions(plan).map((one) => `${letterOf(plan, one.id)} ${nameOfCondition(plan, one.id)}`)) }}
      </dd>
      <dt>{{ words.measured }}</dt>
      <dd>
        {{ measuredCard(plan)?.name ?? '…' }}<template v-if="method">, with a {{ methodWords(method) }}</template>
      </dd>
      <dt>{{ words.kept }}</dt>
      <dd>
        {{
          keptFactors(plan)
            .map((one) => (one.how ? `${one.name} (${one.how})` : one.name))
            .join('; ') || '…'
        }}
      </dd>
      <dt>We used</dt>
      <dd>
        {{
          plan.materials
            .filter((one) => one.per !== 'class')
            .map((one) => one.name)
            .join('; ') || '…'
        }}
      </dd>
      <dt>How we did it</dt>
      <dd>
        {{ counted(plan.groups.length, 'group') }}, each condition {{ counted(plan.repeats, 'time') }}. Before every trial:
        {{ plan.resetList.join('; ') || 'nothing special' }}.
      </dd>
    </dl>
    <template v-if="evidence && evidence.summaries.length > 0 && method">
      <div class="found">
        <table class="ruled">
          <thead>
            <tr>
              <th>Condition</th>
              <th class="figure">Average</th>
              <th class="figure">Lowest to highest</th>
              <th class="figure">Readings</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="summary in evidence.summaries" :key="summary.condition">
              <td>
                {{ conditionWithLetter(plan, summary.condition) }}
              </td>
              <td class="figure">
                <strong>{{ writeAverage(plan, summary.mean, method.unit) }}</strong>
              </td>
              <td class="figure">
                {{ writeReading(plan, summary.lowest, method.instrument === 'number' ? 'count' : method.unit) }} to
                {{ writeReading(plan, summary.highest, method.unit) }}
              </td>
              <td class="figure">{{ summary.count }}</td>
            </tr>
          </tbody>
        </table>
        <p class="sure">
          <strong>How sure: {{ GRADE_NAMES[evidence.grade].toLowerCase() }}.</strong>
          {{ gradeSentence(plan, evidence) }} {{ agreementSentence(plan, evidence) }} {{ foresight(plan, evidence, orders) }}
        </p>
      </div>
      <div class="chart"><ResultsChart paper :plan="plan" :record="record" /></div>
    </template>
    <h2>Our conclusion</h2>
    <p class="conclusion">{{ last?.text || ' ' }}</p>
    <p v-if="last" class="agreed">
      {{ last.agreed ? 'Agreed by the class' : 'A draft' }}{{ last.hands === null ? '' : `, ${last.hands} hands up` }}.
    </p>
    <h2>Next we could ask</h2>
    <p>{{ nextQuestions(plan).slice(0, 3).join(' ') || '…' }}</p>
  </article>
</template>

<style scoped>
.report {
  font-size: 10.5pt;
  line-height: 1.35;
}
header {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  border-bottom: 2px solid #000;
}
h1 {
  font-size: 19pt;
}
.question {
  margin: 3mm 0;
  font-size: 14pt;
  font-weight: 700;
}
dl {
  display: grid;
  grid-template-columns: 34mm 1fr;
  gap: 0.8mm 3mm;
}
dt {
  font-weight: 700;
}
.found {
  display: grid;
  grid-template-columns: 1.35fr 1fr;
  gap: 6mm;
  margin-top: 3mm;
}
.found .ruled {
  align-self: start;
  font-family: var(--heading);
}
.found td,
.found th {
  padding: 0.8mm 1.5mm;
  color: #000;
  font-size: 10pt;
}
.chart {
  height: 66mm;
  margin: 2mm 0;
}
h2 {
  margin-top: 2mm;
  font-size: 12.5pt;
}
.conclusion {
  min-height: 16mm;
  padding: 2mm 3mm;
  border: 1.5px solid #000;
  border-radius: 2mm;
  font-size: 12.5pt;
  white-space: pre-wrap;
}
.agreed {
  font-size: 9.5pt;
}
</style>
