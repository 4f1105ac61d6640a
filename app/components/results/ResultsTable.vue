<script setup lang="ts">
import type { Evidence } from '~~/core/evidence'
import { activeConditions, measuredCard, type LessonRecord, type Plan } from '~~/core/lesson'
import { unitOf } from '~~/core/quantity'
import { currentReadings } from '~~/core/record'
import { counted, nameOfCondition, nameOfGroup, pairWords, writeAverage, writeReading } from '~~/core/wording'

/** Average, middle value, range and how many of each condition; the pairs behind the grade; what was set aside and why. */
const props = defineProps<{ plan: Plan; evidence: Evidence; record: LessonRecord }>()
const unit = computed(() => measuredCard(props.plan)!.method.unit)
const rows = computed(() =>
  activeConditions(props.plan).map((condition) => ({
    condition,
    summary: props.evidence.summaries.find((one) => one.condition === condition.id),
  })),
)
const setAside = computed(() =>
  currentReadings(props.record.readings).filter((reading) => reading.status === 'set-aside' && !reading.practice),
)
</script>

<template>
  <div>
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">
            {{ plan.kind === 'before-after' ? 'Change of each' : 'Condition' }}, in {{ unitOf(unit).symbol || 'counts' }}
          </th>
          <th scope="col" class="figure">Average</th>
          <th scope="col" class="figure">Middle value</th>
          <th scope="col" class="figure">Lowest to highest</th>
          <th scope="col" class="figure">Range</th>
          <th scope="col" class="figure">Readings</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ condition, summary } in rows" :key="condition.id">
          <th scope="row">
            <ConditionName :plan="plan" :id="condition.id" />
          </th>
          <template v-if="summary">
            <td class="figure">
              <strong>{{ writeAverage(plan, summary.mean, unit) }}</strong>
            </td>
            <td class="figure">{{ writeReading(plan, summary.median, unit) }}</td>
            <td class="figure">
              {{ unit === 'place' ? writeReading(plan, summary.lowest, unit) : writeReading(plan, summary.lowest, 'count') }} to
              {{ writeReading(plan, summary.highest, unit) }}
            </td>
            <td class="figure">{{ unit === 'place' ? summary.range : writeReading(plan, summary.range, unit) }}</td>
            <td class="figure">{{ summary.count }}</td>
          </template>
          <td v-else colspan="5" class="soft">no readings yet</td>
        </tr>
      </tbody>
    </table>
    <details v-if="evidence.pairs.length > 0" class="section">
      <summary>Every pair, with the working</summary>
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Pair</th>
            <th scope="col" class="figure">Apart</th>
            <th scope="col" class="figure">Likely between</th>
            <th scope="col">How sure</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="pair in evidence.pairs.map((one) => pairWords(plan, one))" :key="pair.pair">
            <td>{{ pair.pair }}</td>
            <td class="figure">{{ pair.apart }}</td>
            <td class="figure">{{ pair.interval }}</td>
            <td>{{ pair.grade }}</td>
          </tr>
        </tbody>
      </table>
      <p class="hint">
        “Likely between” is a 95 in 100 interval, groups evened out; how sure takes into account that several pairs are looked at.
      </p>
    </details>
    <details v-if="setAside.length > 0" class="section" open>
      <summary>{{ counted(setAside.length, 'reading') }} set aside, shown on the graph as a cross</summary>
      <ul>
        <li v-for="reading in setAside" :key="reading.id">
          {{ nameOfGroup(plan, reading.group) }}, {{ nameOfCondition(plan, reading.condition) }}:
          {{ writeReading(plan, reading.value, reading.unit) }}, because {{ reading.reason }}
        </li>
      </ul>
    </details>
  </div>
</template>

<style scoped>
summary {
  width: fit-content;
  cursor: pointer;
}
</style>
