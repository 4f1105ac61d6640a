<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { conditionsByGroup } from '~~/core/arrangement'
import { activeConditions, changedFactor, keptFactors, letterOf, type Group } from '~~/core/lesson'
import { measuredCards, testOf } from '~~/core/test'
import { unitOf } from '~~/core/quantity'
import {
  careLines,
  FRAME_WORDS,
  nameOfCondition,
  question,
  questionSegments,
  readingHeadings,
  variableWords,
  workedOutColumn,
} from '~~/core/wording'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import OnePage from '~/components/print/OnePage.vue'

/** One page for a group: the plan, filled in or to be filled in, and a table to write readings into. */
const plan = useLessonPlan()
const props = defineProps<{ blank?: boolean }>()
const words = computed(() => variableWords(plan.value))
const kept = computed(() => keptFactors(plan.value))
const unit = computed(() => unitOf(testOf(plan.value).unit).symbol)
// A blank sheet is the same for all; a filled one belongs to a group.
const sheets = computed<(Group | undefined)[]>(() => (props.blank ? [undefined] : plan.value.groups))
const headings = computed(() => readingHeadings(plan.value))
const worked = computed(() => workedOutColumn(plan.value))
// A group writes down what is its own: shared out, that is not every condition.
const own = computed(() => conditionsByGroup(plan.value))
const conditionsFor = (group: Group | undefined) =>
  activeConditions(plan.value).filter(({ id }) => !group || own.value.get(group.id)!.includes(id))
const care = computed(() => careLines(plan.value))
const LINES = 4
</script>

<template>
  <div>
    <OnePage v-for="(group, place) in sheets" :key="group?.id ?? 'blank'" class="sheet-page" :class="{ 'new-page': place > 0 }">
      <header>
        <h1 class="text-19pt">{{ plan.title || 'Our test' }}</h1>
        <p v-if="group" class="flex items-center gap-2mm text-14pt">
          <ShapeBadge :size="20" :shape="group.shape" /> {{ group.name }}
        </p>
        <p v-else class="flex items-center gap-2mm text-14pt">Group <span class="line short" /></p>
      </header>
      <p v-if="!blank" class="question my-4mm mx-0 text-15pt font-bold">{{ question(plan) }}</p>
      <p v-else class="question my-4mm mx-0 text-15pt font-bold">
        <template v-for="(segment, part) in questionSegments(plan)" :key="part"
          ><span v-if="segment.card" class="line" /><template v-else>{{ segment.text }}</template></template
        >
      </p>
      <dl>
        <dt class="font-bold">{{ words.changed }}</dt>
        <dd>
          <template v-if="!blank">{{ changedFactor(plan)?.name ?? '…' }}</template>
          <span v-else class="line wide" />
        </dd>
        <dt class="font-bold">{{ words.measured }}</dt>
        <dd>
          <template v-if="!blank">{{
            measuredCards(plan)
              .map(({ name }) => name)
              .join('; ') || '…'
          }}</template>
          <span v-else class="line wide" />
        </dd>
        <dt class="font-bold">{{ words.kept }}</dt>
        <dd>
          <ul v-if="!blank">
            <li v-for="factor in kept" :key="factor.id">{{ factor.name }}{{ factor.how ? `: ${factor.how}` : '' }}</li>
          </ul>
          <span v-for="line in LINES" v-else :key="line" class="line wide" />
        </dd>
        <dt class="font-bold">Before every trial</dt>
        <dd>
          <ul v-if="!blank">
            <li v-for="line in plan.resetList" :key="line"><span class="square" /> {{ line }}</li>
          </ul>
          <span v-for="line in 3" v-else :key="line" class="line wide" />
        </dd>
        <dt class="font-bold">{{ FRAME_WORDS[plan.frame].name }}</dt>
        <dd><span class="line wide" /><span class="line wide" /></dd>
      </dl>
      <table>
        <thead>
          <tr>
            <th>{{ unit ? `in ${unit}` : 'counts' }}</th>
            <th v-for="heading in headings" :key="heading">{{ heading }}</th>
            <th v-if="worked">{{ worked }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="condition in conditionsFor(group)" :key="condition.id">
            <th>{{ letterOf(plan, condition.id) }} {{ blank ? '' : nameOfCondition(plan, condition.id) }}</th>
            <td v-for="heading in headings" :key="heading" />
            <td v-if="worked" />
          </tr>
        </tbody>
      </table>
      <p v-if="!blank && care.length > 0" class="care mt-3mm text-11pt">
        <strong>Take care.</strong>
        <span v-for="{ doer, who, what } in care" :key="doer">
          <strong>{{ doer === 'adult-only' ? 'An adult does this for you' : who }}:</strong> {{ what }}.
        </span>
        The school’s own rules come first.
      </p>
      <p class="found mt-4mm font-bold">We found that <span class="line wide" /><span class="line wide" /></p>
    </OnePage>
  </div>
</template>

<style scoped>
.care span::before {
  content: ' ';
}
header {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  border-bottom: 2px solid #000;
}
.sheet-page {
  font-size: max(9pt, calc(11.5pt * var(--fit)));
  line-height: 1.3;
}
dl {
  display: grid;
  grid-template-columns: 42mm 1fr;
  gap: calc(2.5mm * var(--fit)) 4mm;
}
.line {
  display: inline-block;
  width: 55mm;
  height: max(5.5mm, calc(7mm * var(--fit)));
  border-bottom: 1px solid #000;
}
.line.short {
  width: 40mm;
}
.line.wide {
  display: block;
  width: 100%;
}
.square {
  display: inline-block;
  width: 4mm;
  height: 4mm;
  margin-right: 1.5mm;
  border: 1.2px solid #000;
}
table {
  width: 100%;
  margin-top: calc(5mm * var(--fit));
  table-layout: fixed;
}
th,
td {
  height: max(6mm, calc(9mm * var(--fit)));
  padding: calc(1mm * var(--fit)) 2mm;
  border: 1.2px solid #000;
  font-size: max(9pt, calc(11pt * var(--fit)));
  line-height: 1.15;
  text-align: left;
}
th:first-child {
  width: 44mm;
}
</style>
