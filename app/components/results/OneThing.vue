<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { classHeap } from '~~/core/charts'
import { oneHeap, type Evidence } from '~~/core/evidence'
import { groupOf, isEachChild, type LessonRecord } from '~~/core/lesson'
import { groupAverages } from '~~/core/record'
import { counted, gradeSentence, heapSentences, nameOfCondition, ownerHeading, ownerWord, writeAverage } from '~~/core/wording'
import { testOf } from '~~/core/test'
import GroupName from '~/components/pieces/GroupName.vue'
import HeapOfNumbers from '~/components/pieces/HeapOfNumbers.vue'

/** One condition: nothing to compare with, but an average, a wobble, a heap of readings and what each group found. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; evidence: Evidence }>()
const unit = computed(() => testOf(plan.value).unit)
const only = computed(() => props.evidence.summaries[0]!)
const groups = computed(() => groupAverages(plan.value, props.record.readings, only.value.condition))
const heap = computed(() => classHeap(plan.value, props.record.readings, only.value.condition))
const sentences = computed(() => {
  const quarters = isEachChild(plan.value) && oneHeap(plan.value, props.record, only.value.condition)
  return quarters ? heapSentences(plan.value, quarters) : []
})
</script>

<template>
  <section aria-label="How sure, explained">
    <p class="large font-heading text-title">{{ gradeSentence(plan, evidence) }}</p>
    <p v-if="evidence.wobble !== undefined">
      The wobble is {{ writeAverage(plan, evidence.wobble, unit) }}: about so far one {{ ownerWord(plan) }}’s readings lie from
      their own average.
    </p>
    <p v-for="one in sentences" :key="one">{{ one }}</p>
    <HeapOfNumbers
      v-if="heap"
      :bins="heap.bins"
      :caption="`How often each size came, of ${counted(heap.count, isEachChild(plan) ? 'number' : 'reading')}`"
    />
    <table class="ruled">
      <caption class="sr-only">
        What each
        {{
          ownerWord(plan)
        }}
        found of
        {{
          nameOfCondition(plan, only.condition)
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ ownerHeading(plan) }}</th>
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
