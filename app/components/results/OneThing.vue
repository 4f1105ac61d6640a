<script setup lang="ts">
import { histogram } from '~~/core/charts'
import type { Evidence } from '~~/core/evidence'
import { groupOf, measuredCard, type LessonRecord, type Plan } from '~~/core/lesson'
import { writeShort } from '~~/core/quantity'
import { groupAverages, trialResults } from '~~/core/record'
import { counted, gradeSentence, nameOfCondition, writeAverage } from '~~/core/wording'

/** One condition: nothing to compare with, but an average, a wobble, a heap of readings and what each group found. */
const props = defineProps<{ plan: Plan; record: LessonRecord; evidence: Evidence }>()
const unit = computed(() => measuredCard(props.plan)!.method.unit)
const only = computed(() => props.evidence.summaries[0]!)
const bins = computed(() =>
  histogram(
    trialResults(props.plan, props.record.readings)
      .filter(({ condition }) => condition === only.value.condition)
      .map(({ value }) => value),
  ),
)
const tallest = computed(() => Math.max(1, ...(bins.value ?? []).map(({ count }) => count)))
const groups = computed(() => groupAverages(props.plan, props.record.readings, only.value.condition))
</script>

<template>
  <section aria-label="How sure, explained">
    <p class="large font-heading text-title">{{ gradeSentence(plan, evidence) }}</p>
    <p v-if="evidence.wobble !== undefined">
      The wobble is {{ writeAverage(plan, evidence.wobble, unit) }}: about so far a group’s readings lie from their own average.
    </p>
    <figure v-if="bins" class="heap my-wide mx-0">
      <figcaption>How often each size came, of {{ counted(only.count, 'reading') }}</figcaption>
      <ol class="flex items-end gap-tight mt-close">
        <li v-for="(bin, place) in bins" :key="bin.from">
          <span class="count font-bold">{{ bin.count }}</span>
          <span class="bar" :style="{ height: `${(bin.count / tallest) * 120}px` }" aria-hidden="true" />
          <span class="text-soft text-small">{{
            place < bins.length - 1 ? `from ${writeShort(bin.from)}` : `${writeShort(bin.from)} to ${writeShort(bin.to)}`
          }}</span>
        </li>
      </ol>
    </figure>
    <table class="ruled">
      <caption class="sr-only">
        What each group found of
        {{
          nameOfCondition(plan, only.condition)
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">Group</th>
          <th scope="col" class="figure">Average</th>
          <th scope="col" class="figure">Readings</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in groups" :key="one.group">
          <th scope="row"><GroupName :group="groupOf(plan, one.group)!" /></th>
          <td class="figure">{{ writeAverage(plan, one.average, unit) }}</td>
          <td class="figure">{{ one.count }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.heap li {
  display: grid;
  flex: 1;
  max-width: 96px;
  justify-items: stretch;
  text-align: center;
}
.bar {
  forced-color-adjust: none;
  border: 1.5px solid var(--ink);
  border-bottom-width: 2.5px;
  background: var(--brass-light);
}
</style>
